/** The care of strings and bow between changes. */
package rosinedpeg.core.care;
