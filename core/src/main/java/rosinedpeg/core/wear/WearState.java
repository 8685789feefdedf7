package rosinedpeg.core.wear;

import java.util.Optional;
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

    /** {@return whether it should be changed at the next opportunity} */
    public boolean isDue() {
        return compareTo(AGE_UNKNOWN) >= 0;
    }
}
