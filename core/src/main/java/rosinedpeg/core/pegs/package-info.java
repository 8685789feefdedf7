/** Pegs: what their signs mean, and when a peg that wears its way in will run out. */
package rosinedpeg.core.pegs;
