/**
 * How a figure came about: which numbers went into it, where each is known from, and which of them moves it most. Begin with
 * {@link rosinedpeg.core.working.Worked}, the figures that can be asked, and {@link rosinedpeg.core.working.Working}, the
 * answer.
 */
package rosinedpeg.core.working;
