/**
 * How good a figure is that was learned from records: the {@link rosinedpeg.core.estimate.Interval} it lies in, and the {@link
 * rosinedpeg.core.estimate.Posterior} that interval is read off.
 */
@NullMarked
package rosinedpeg.core.estimate;

import org.jspecify.annotations.NullMarked;
