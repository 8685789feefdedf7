/** Judgements as values: what was found, how bad it is, and the figures it rests on. Words belong to the screen. */
package rosinedpeg.core.finding;
