/**
 * How long work takes at one bench. {@link rosinedpeg.core.pace.HandsOn} reads off a ledger how long a run took, {@link
 * rosinedpeg.core.pace.LearnedPace} what the next will take. Begin with the latter.
 */
@NullMarked
package rosinedpeg.core.pace;

import org.jspecify.annotations.NullMarked;
