/**
 * Whether a string fits an instrument, told before anything comes off: its end, its silk, its length on the peg, its pitch
 * and its pull. All of it is in {@link rosinedpeg.core.fit.FitCheck}.
 */
@NullMarked
package rosinedpeg.core.fit;

import org.jspecify.annotations.NullMarked;
