/**
 * How a figure came about: which numbers went into it, where each is known from, and which of them moves it most. Begin with
 * {@link rosinedpeg.core.working.Working}, the answer, and {@link rosinedpeg.core.working.InstrumentFigure}, the figures of an
 * instrument that can be asked; those of wear, settling, tuning and time stand beside it, each with its grounds.
 */
@NullMarked
package rosinedpeg.core.working;

import org.jspecify.annotations.NullMarked;
