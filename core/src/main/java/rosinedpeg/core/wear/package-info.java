/** How far a string is used up, and when it is due. */
package rosinedpeg.core.wear;
