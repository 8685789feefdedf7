/** The grooves that strings lie in at bridge and nut, and what guards the wood under I. */
package rosinedpeg.core.grooves;
