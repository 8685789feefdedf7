/**
 * Looks an instrument over: everything that was measured and noticed, judged at once. {@link
 * rosinedpeg.core.inspection.Inspection} judges a {@link rosinedpeg.core.inspection.Condition}; a usual value never makes a
 * finding, only what somebody measured or saw. {@link rosinedpeg.core.inspection.LookOver} is the look of two minutes without a rule,
 * when an instrument goes out and when it comes back.
 */
@NullMarked
package rosinedpeg.core.inspection;

import org.jspecify.annotations.NullMarked;
