/** Numbers that carry their unit, their origin and their allowed range. */
package rosinedpeg.core.figure;
