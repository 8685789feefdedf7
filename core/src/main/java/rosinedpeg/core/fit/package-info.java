/** Whether a string fits an instrument, told before anything comes off. */
package rosinedpeg.core.fit;
