/**
 * Lessons on the practice instrument: what is to be found out by hand, whether it was, and when it comes back. {@link
 * rosinedpeg.core.lesson.Lesson} says what is asked, {@link rosinedpeg.core.lesson.BestHands} how it is done well,
 * {@link rosinedpeg.core.lesson.Course} how far somebody has come, {@link rosinedpeg.core.lesson.QuickChange} how long a string takes.
 */
@NullMarked
package rosinedpeg.core.lesson;

import org.jspecify.annotations.NullMarked;
