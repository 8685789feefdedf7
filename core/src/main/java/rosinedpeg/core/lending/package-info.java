/**
 * Instruments that go out and come back. Begin with {@link rosinedpeg.core.lending.Loan}; {@link rosinedpeg.core.lending.ConditionChange}
 * says what became of an instrument while it was out, {@link rosinedpeg.core.lending.ShelfWear} what that comes to over many loans, and
 * {@link rosinedpeg.core.lending.Turn} what happens to a shelf when a term changes. The look an instrument gets on its way is
 * {@link rosinedpeg.core.inspection.LookOver}.
 */
@NullMarked
package rosinedpeg.core.lending;

import org.jspecify.annotations.NullMarked;
