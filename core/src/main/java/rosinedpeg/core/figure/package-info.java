/**
 * Numbers that carry their unit, their origin and their allowed range. A {@link rosinedpeg.core.figure.Figure} says whether
 * it was measured, learned, worked out or is a default; a {@link rosinedpeg.core.figure.Range} refuses what is outside it,
 * by name; {@link rosinedpeg.core.figure.Evidence} is what a learned figure is learned from.
 */
@NullMarked
package rosinedpeg.core.figure;

import org.jspecify.annotations.NullMarked;
