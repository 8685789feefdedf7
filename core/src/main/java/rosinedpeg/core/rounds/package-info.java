/** Coming up to pitch: every string that rises lets the others sink, so there are rounds. */
package rosinedpeg.core.rounds;
