/**
 * Judgements as values: what was found, how bad it is, and the figures it rests on. Words belong to the screen. Begin with
 * {@link rosinedpeg.core.finding.Finding}; {@link rosinedpeg.core.finding.FindingKind} lists all there are.
 */
@NullMarked
package rosinedpeg.core.finding;

import org.jspecify.annotations.NullMarked;
