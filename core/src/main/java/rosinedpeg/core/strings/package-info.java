/** A string: where it sits, what it is made of, how hard it pulls and how far it stretches. */
package rosinedpeg.core.strings;
