package rosinedpeg.web.instrument;

import java.util.Set;
import rosinedpeg.core.wear.WearSign;

/** What the wear of a string asks for, worst last. */
public enum WearState {
    GOOD,
    /** Due within a month. */
    SOON,
    AGE_UNKNOWN,
    DUE,
    /** It can cut a finger and can fail. */
    CHANGE_NOW;

    static WearState of(boolean ageUnknown, Set<WearSign> signs, double monthsLeft) {
        if (signs.contains(WearSign.WINDING_OPEN)) {
            return CHANGE_NOW;
        }
        if (ageUnknown) {
            return AGE_UNKNOWN;
        }
        if (monthsLeft <= 0) {
            return DUE;
        }
        return monthsLeft <= 1 ? SOON : GOOD;
    }
}
