/**
 * Pitches, the reference A, and intervals in cents; and what a share of tension sounds like, {@link
 * rosinedpeg.core.pitch.Cents}.
 */
@NullMarked
package rosinedpeg.core.pitch;

import org.jspecify.annotations.NullMarked;
