package rosinedpeg.core.clearance;

import static java.util.Objects.requireNonNull;

/**
 * Something touches in the pegbox: tuning one string then moves another, and a string breaks at the touch.
 *
 * @param clearance what touches, and where
 * @param otherSideMm the same clearance if the string were wound on the other side of its hole
 * @param cure what to do about it
 */
public record Touch(Clearance clearance, double otherSideMm, Cure cure) {

    /** Checks that nothing is missing. */
    public Touch {
        requireNonNull(clearance, "clearance");
        requireNonNull(cure, "cure");
    }

    /** What to do about a touch, the first cure first. */
    public enum Cure {
        /** Wound on the other side of its hole the string touches nothing. */
        WIND_ON_OTHER_SIDE,
        /** It would touch there too: a repairer moves a hole or takes wood away. */
        REFER_TO_REPAIRER
    }
}
