/**
 * The tailpiece: {@link rosinedpeg.core.tailpiece.Afterlength} and the note it sounds, the cord, what is left of a {@link
 * rosinedpeg.core.tailpiece.FineTuner}'s travel, and how heavy it all is.
 */
@NullMarked
package rosinedpeg.core.tailpiece;

import org.jspecify.annotations.NullMarked;
