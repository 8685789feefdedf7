/**
 * Coming up to pitch: every string that rises lets the others sink, so there are rounds. {@link
 * rosinedpeg.core.rounds.NextRound} says which string to touch next and how far the others follow, by a {@link
 * rosinedpeg.core.rounds.Coupling} that is usual or learned.
 */
@NullMarked
package rosinedpeg.core.rounds;

import org.jspecify.annotations.NullMarked;
