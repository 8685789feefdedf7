/**
 * A practice instrument: what a person does to it, and what comes of it. Nothing real can break here. {@link
 * rosinedpeg.core.simulation.PracticeInstrument} takes an {@link rosinedpeg.core.simulation.Action} and answers with {@link
 * rosinedpeg.core.simulation.Consequence}s, by the same rules as the plans.
 */
@NullMarked
package rosinedpeg.core.simulation;

import org.jspecify.annotations.NullMarked;
