package rosinedpeg.core.stock;

import static java.util.Objects.requireNonNull;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A string that lies ready, as far as its turn to be taken goes. Strings age in their packets, so that the oldest goes first; one that
 * nobody knows the age of counts as the oldest.
 *
 * @param boughtOn when it was bought; empty when nobody knows
 * @param enteredAt when it came into the drawer, which decides between those bought on one day
 * @param worn for an old string kept as a spare how far it is used up, 1 for spent; empty for a new one
 * @param where where it lies
 */
public record Lying(Optional<LocalDate> boughtOn, Instant enteredAt, Optional<Double> worn, Where where) {

    /** Where a string lies. */
    public enum Where {
        /** In the drawer. */
        DRAWER,
        /** In the case of the instrument it is wanted for, for whatever happens on the way. */
        OWN_CASE,
        /** In the case of another. */
        OTHER_CASE
    }

    private static final List<Where> EMERGENCY_FROM = List.of(Where.OWN_CASE, Where.DRAWER, Where.OTHER_CASE);

    private static final Comparator<Lying> OLDEST_FIRST = Comparator.comparing(
                    (Lying string) -> string.boughtOn.orElse(LocalDate.MIN))
            .thenComparing(Lying::enteredAt);

    /**
     * The order of a planned change: new strings from the drawer, the oldest first; what lies in its case only when the
     * drawer has none, and what lies in another's only when nothing else is left. Old strings are never put on by plan.
     */
    public static final Comparator<Lying> PLANNED =
            Comparator.comparing(Lying::where).thenComparing(OLDEST_FIRST);

    /**
     * The order when a string has broken: an old one first, the least worn of them, for it is stretched already and holds soonest; then
     * what lies in its case, which is there for that; then a new one from the drawer, and at last one from the case of another.
     */
    public static final Comparator<Lying> EMERGENCY = Comparator.comparing(
                    (Lying string) -> string.worn.orElse(Double.MAX_VALUE))
            .thenComparing(string -> EMERGENCY_FROM.indexOf(string.where))
            .thenComparing(OLDEST_FIRST);

    /**
     * Checks the parts.
     *
     * @throws IllegalArgumentException when it is worn less than 0
     */
    public Lying {
        requireNonNull(boughtOn, "boughtOn");
        requireNonNull(enteredAt, "enteredAt");
        requireNonNull(where, "where");
        worn.ifPresent(share -> {
            if (!(share >= 0) || share.isInfinite()) {
                throw new IllegalArgumentException("worn is " + share + "; it must be 0 or more");
            }
        });
    }
}
