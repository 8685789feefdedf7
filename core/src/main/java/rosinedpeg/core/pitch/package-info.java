/** Pitches, the reference A, and intervals in cents. */
package rosinedpeg.core.pitch;
