package rosinedpeg.core.bench;

import static rosinedpeg.core.figure.Finite.requireFinite;

/** What a pitch reading means while strings are being brought up. */
public enum PitchJudgement {
    /** Within 5 cents. */
    AT_PITCH,
    /** Within 50 cents below: the fine tuner or a small turn does it. */
    NEARLY,
    /** Further below. */
    STILL_RISING,
    /** Up to 30 cents above, as a new string is left overnight. */
    A_LITTLE_OVER,
    /** Further above: let it down at once. */
    TOO_HIGH;

    /** Within this a string counts as in tune. */
    public static final double TOLERANCE_CENTS = 5;

    /** {@return what a reading in cents from pitch means} */
    public static PitchJudgement of(double cents) {
        requireFinite("cents", cents);
        if (Math.abs(cents) <= TOLERANCE_CENTS) {
            return AT_PITCH;
        }
        if (cents > 0) {
            return cents <= 30 ? A_LITTLE_OVER : TOO_HIGH;
        }
        return cents >= -50 ? NEARLY : STILL_RISING;
    }
}
