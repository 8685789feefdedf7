package rosinedpeg.core.clearance;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

/**
 * Something touches in the pegbox: tuning one string then moves another, and a string breaks at the touch.
 *
 * @param clearance what touches, and where
 * @param otherwiseMm the same clearance if the string were wound as the cure says; with nothing to be cured by winding, on
 *     the other side of its hole
 * @param cure what to do about it
 */
public record Touch(Clearance clearance, double otherwiseMm, Cure cure) {

    /** Checks that nothing is missing. */
    public Touch {
        requireFinite("otherwiseMm", otherwiseMm);
        requireNonNull(clearance, "clearance");
        requireNonNull(cure, "cure");
    }

    /** What to do about a touch, the first cure first. */
    public enum Cure {
        /** Wound on the other side of its hole the string touches nothing. */
        WIND_ON_OTHER_SIDE,
        /** With every turn on the knob's side, side by side from the hole, it touches nothing. */
        WIND_STRAIGHT,
        /** It would touch there too: a repairer moves a hole or takes wood away. */
        REFER_TO_REPAIRER
    }
}
