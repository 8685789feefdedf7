package rosinedpeg.core.stock;

import static java.util.Objects.requireNonNull;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;

/**
 * A string that lies ready, as far as its turn to be taken goes. Strings age in their packets, so that the oldest goes first; one that
 * nobody knows the age of counts as the oldest.
 *
 * @param boughtOn when it was bought; empty when nobody knows
 * @param enteredAt when it came into the drawer, which decides between those bought on one day
 * @param worn for an old string kept as a spare how far it is used up, 1 for spent; empty for a new one
 * @param inCase whether it lies in an instrument's case, for whatever happens on the way
 */
public record Lying(Optional<LocalDate> boughtOn, Instant enteredAt, Optional<Double> worn, boolean inCase) {

    private static final Comparator<Lying> OLDEST_FIRST = Comparator.comparing(
                    (Lying string) -> string.boughtOn.orElse(LocalDate.MIN))
            .thenComparing(Lying::enteredAt);

    /**
     * The order of a planned change: new strings from the drawer, the oldest first; what lies in a case only when the drawer has none.
     * Old strings are never put on by plan.
     */
    public static final Comparator<Lying> PLANNED =
            Comparator.comparing(Lying::inCase).thenComparing(OLDEST_FIRST);

    /**
     * The order when a string has broken: an old one first, the least worn of them, for it is stretched already and holds soonest; then
     * what lies in the case, which is there for that; then a new one from the drawer.
     */
    public static final Comparator<Lying> EMERGENCY = Comparator.comparing(
                    (Lying string) -> string.worn.orElse(Double.MAX_VALUE))
            .thenComparing(Lying::inCase, Comparator.reverseOrder())
            .thenComparing(OLDEST_FIRST);

    /**
     * Checks the parts.
     *
     * @throws IllegalArgumentException when it is worn less than 0
     */
    public Lying {
        requireNonNull(boughtOn, "boughtOn");
        requireNonNull(enteredAt, "enteredAt");
        worn.ifPresent(share -> {
            if (!(share >= 0) || share.isInfinite()) {
                throw new IllegalArgumentException("worn is " + share + "; it must be 0 or more");
            }
        });
    }
}
