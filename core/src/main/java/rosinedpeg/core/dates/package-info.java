/** When to change strings for a performance. */
package rosinedpeg.core.dates;
