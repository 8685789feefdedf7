/** The tailpiece: afterlength and the note it sounds, the cord, and what is left of a fine tuner's travel. */
package rosinedpeg.core.tailpiece;
