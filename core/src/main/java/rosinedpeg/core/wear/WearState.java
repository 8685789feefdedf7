package rosinedpeg.core.wear;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** What the wear of a string asks for, worst last. */
public enum WearState {
    GOOD,
    /** Due within a month. */
    SOON,
    /** Nobody knows how old it is: treated as due. */
    AGE_UNKNOWN,
    DUE,
    /** It can cut a finger and can fail. */
    CHANGE_NOW;

    private static final double SOON_MONTHS = 1;

    /**
     * Judges a string.
     *
     * @param wear how far it is used up; empty when nobody knows how old it is
     * @param signs what was seen or heard on it
     * @param demand how fresh it has to be
     * @param hoursPerWeek how much it is played, 0 to 168 h a week
     * @return what that asks for
     */
    public static WearState of(Optional<Wear> wear, Set<WearSign> signs, Demand demand, double hoursPerWeek) {
        if (signs.contains(WearSign.WINDING_OPEN)) {
            return CHANGE_NOW;
        }
        if (wear.isEmpty()) {
            return AGE_UNKNOWN;
        }
        double monthsLeft = wear.get().monthsLeft(demand.threshold(), hoursPerWeek);
        if (monthsLeft <= 0) {
            return DUE;
        }
        return monthsLeft <= SOON_MONTHS ? SOON : GOOD;
    }

    /**
     * How long a state lasts while the string only grows older, at a rate of playing.
     *
     * @param wear how far it is used up
     * @param threshold the worn share from which it is due
     * @param hoursPerWeek how much it is played, 0 to 168 h a week
     * @return hours until {@link #of} says something else of it, more than 0; empty when it is due and age makes it no more so
     */
    public static OptionalDouble hoursUntilNext(Wear wear, double threshold, double hoursPerWeek) {
        double monthsLeft = wear.monthsLeft(threshold, hoursPerWeek);
        if (monthsLeft <= 0) {
            return OptionalDouble.empty();
        }
        double months = monthsLeft <= SOON_MONTHS ? monthsLeft : monthsLeft - SOON_MONTHS;
        // A month is reckoned in weeks where playing is concerned and as a twelfth of a year where age is; worn out is
        // worn out.
        double share = months * wear.sharePerMonth(hoursPerWeek);
        return OptionalDouble.of(share / wear.sharePerHourOfAge(hoursPerWeek));
    }

    /** {@return whether it should be changed at the next opportunity} */
    public boolean isDue() {
        return compareTo(AGE_UNKNOWN) >= 0;
    }
}
