package rosinedpeg.core.settling;

import org.hipparchus.distribution.continuous.TDistribution;

/** What a drop of a new string is to be put down to. */
public enum Behaviour {
    /** As the core would have it. */
    SETTLING,
    /** More than one would expect, but settling may explain it yet: another reading tells. */
    UNDECIDED,
    /** More than the core explains, in the first hours: the turns on the peg still draw tight. */
    BEDDING_IN,
    /** Far more than settling can explain, later on: the peg creeps back. */
    SLIPPING;

    /** Settling alone goes so far once in so many readings: then it is not what it is. */
    private static final double NOT_SETTLING = 1 / 450.0;
    /** From here on it may be something else. */
    private static final double MAY_BE_MORE = 1 / 20.0;
    /** Turns are tight after this share of τ. */
    static final double BEDDING_IN_SHARE = 0.2;

    /**
     * Judges a drop by how rarely settling alone would go as far, by Student's t: the fewer readings a spread rests on, the
     * less it says.
     *
     * @param spreads by how many spreads it is more than was expected
     * @param readings how many readings the spread rests on, above 0
     * @param early whether turns may still draw tight
     * @return what it is to be put down to
     */
    static Behaviour of(double spreads, double readings, boolean early) {
        double asFar = 1 - new TDistribution(readings).cumulativeProbability(spreads);
        if (asFar > MAY_BE_MORE) {
            return SETTLING;
        }
        if (asFar > NOT_SETTLING) {
            return UNDECIDED;
        }
        return early ? BEDDING_IN : SLIPPING;
    }

    /** {@return whether what was lost says nothing of how the string settles} */
    public boolean cutOut() {
        return this == BEDDING_IN || this == SLIPPING;
    }
}
