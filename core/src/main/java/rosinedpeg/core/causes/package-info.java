/** From what is seen or heard to what is behind it, and the check that tells the causes apart. */
package rosinedpeg.core.causes;
