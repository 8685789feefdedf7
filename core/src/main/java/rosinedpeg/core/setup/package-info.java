/** An instrument as it is set up: its family and size, its tuning, and what was measured on it. */
package rosinedpeg.core.setup;
