/** How a string winds on its peg. */
package rosinedpeg.core.winding;
