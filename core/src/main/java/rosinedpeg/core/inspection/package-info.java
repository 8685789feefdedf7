/** Looks an instrument over: everything that was measured and noticed, judged at once. */
package rosinedpeg.core.inspection;
