/** The inside of the pegbox: its walls and floor, its shafts and their holes, and where strings go in. */
package rosinedpeg.core.pegbox;
