package rosinedpeg.core.hearing;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * How an open string rang, as its partials tell over most of a second after a pluck.
 *
 * <p>Those of an even string lie at {@code n·f·√(1 + B·n²)} (Fletcher, 1964). Where a string is heavier or lighter than elsewhere, each partial
 * moves by what lies where it swings: {@code δfₙ/fₙ = −∫ε(x)·sin²(nπx/L) dx / L}, ε being how much heavier, as a share (Rayleigh, 1877).
 * A winding that is worn flat where fingers land, or dirt under the bow, moves each of them by another amount, and no line fits them any more.
 * The body of the instrument moves the low ones too, a few cents, but by the same amount on every day: what a string is judged by
 * is how it rang when it was new, not a perfect one.
 *
 * @param stiffness B, 0 to 0.01
 * @param scatterCents how far its partials lie off the line, the usual distance, 0 to 50 cents
 * @param partials how many the line was laid through, 4 to 32
 */
public record Ringing(double stiffness, double scatterCents, int partials) {

    /** What B can be. */
    public static final Range STIFFNESS = new Range(0, 0.01, Unit.SHARE);
    /** What the distance can be. */
    public static final Range SCATTER = new Range(0, 50, Unit.CENT);
    /** Two say nothing of what lies off their line. */
    public static final Range PARTIALS = new Range(4, 32, Unit.RATIO);

    private static final double CENTS_PER_SHARE = 1200 / Math.log(2);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public Ringing {
        STIFFNESS.require("stiffness", stiffness);
        SCATTER.require("scatterCents", scatterCents);
        PARTIALS.require("partials", partials);
    }

    /**
     * How far stiffness puts a partial above so many times the lowest.
     *
     * @param partial which, 1 to 32
     * @return cents, 0 or more
     * @throws IllegalArgumentException when there is no such partial
     */
    public double sharpCents(int partial) {
        if (partial < 1 || partial > PARTIALS.high()) {
            throw new IllegalArgumentException("partial is " + partial + "; 1 to " + (int) PARTIALS.high());
        }
        return CENTS_PER_SHARE / 2 * Math.log((1 + stiffness * partial * partial) / (1 + stiffness));
    }
}
