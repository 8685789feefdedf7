/**
 * How far a string is used up, {@link rosinedpeg.core.wear.Wear}, and what that asks for, {@link
 * rosinedpeg.core.wear.WearState}. Playing uses up its hours, mere time its months, and what is seen or heard on it counts
 * with both.
 */
@NullMarked
package rosinedpeg.core.wear;

import org.jspecify.annotations.NullMarked;
