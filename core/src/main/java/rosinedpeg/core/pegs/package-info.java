/**
 * Pegs: what their signs mean, what treats them, and when a peg that wears its way in will run out. Begin with {@link
 * rosinedpeg.core.pegs.PegDiagnosis} and {@link rosinedpeg.core.pegs.CollarTrend}.
 */
@NullMarked
package rosinedpeg.core.pegs;

import org.jspecify.annotations.NullMarked;
