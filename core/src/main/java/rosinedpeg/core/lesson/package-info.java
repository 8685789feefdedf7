/**
 * Lessons on the practice instrument: what is to be found out by hand, whether it was, and when it comes back. {@link
 * rosinedpeg.core.lesson.Lesson} says what is asked, {@link rosinedpeg.core.lesson.BestHands} how it is done well.
 */
@NullMarked
package rosinedpeg.core.lesson;

import org.jspecify.annotations.NullMarked;
