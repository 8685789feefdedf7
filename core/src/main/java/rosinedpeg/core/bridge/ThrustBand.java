package rosinedpeg.core.bridge;

import static rosinedpeg.core.figure.Finite.requireFinite;

/** What the thrust margin asks for. */
public enum ThrustBand {
    UPRIGHT,
    /** It stands, but not well: it is eased upright today, back or forwards as it leans. */
    EASE_TODAY,
    /** Stop tuning, take tension off, straighten. */
    STOP_AND_STRAIGHTEN,
    /** Support it with the hand now. */
    FALLING;

    /** {@return whether no string may be raised until the bridge is straightened} */
    public boolean stopsTuning() {
        return compareTo(STOP_AND_STRAIGHTEN) >= 0;
    }

    /** {@return the band of a thrust margin: upright from 0.6, to be eased from 0.3, stop from 0} */
    public static ThrustBand of(double margin) {
        requireFinite("margin", margin);
        if (margin >= 0.6) {
            return UPRIGHT;
        }
        if (margin >= 0.3) {
            return EASE_TODAY;
        }
        return margin >= 0 ? STOP_AND_STRAIGHTEN : FALLING;
    }
}
