package rosinedpeg.core.hearing;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.List;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * How far a string stopped in its middle sounds from the harmonic that is touched at the same place.
 *
 * <p>The harmonic is the second partial of the whole string, the stopped note the first of the half next to the bridge. On an even string they
 * differ only by what pressing stretches it, which stays the same. A string that has become lighter in the other half, where
 * fingers land, has sharper harmonics and the same stopped notes: its fifths and octaves are false up the board.
 *
 * @param cents stopped from harmonic, −100 to 100, below 0 for flat
 * @param doubtCents how well that is known, a standard deviation, above 0 to 100 cents
 */
public record Octave(double cents, double doubtCents) {

    /** How far the two can lie apart; beyond it one of them was another note. */
    public static final Range CENTS = new Range(-100, 100, Unit.CENT);
    /** A finger finds the same place so well, as far as it moves the pitch; a default of our own. */
    public static final double PLACED_CENTS = 2;

    private static final double CENTS_PER_OCTAVE = 1200;
    private static final Range DOUBT = new Range(0.01, 100, Unit.CENT);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public Octave {
        CENTS.require("cents", cents);
        DOUBT.require("doubtCents", doubtCents);
    }

    /** {@return whether what sounds so many cents from the octave is the open string, ringing still} */
    public static boolean isOpenString(double cents) {
        return Math.abs(requireFinite("cents", cents) + CENTS_PER_OCTAVE) <= CENTS.high();
    }

    /** {@return an octave that was read once, with the doubt of a finger's place in each of the two} */
    public static Octave once(double cents) {
        return new Octave(CENTS.require("cents", cents), PLACED_CENTS * Math.sqrt(2));
    }

    /**
     * An octave that was plucked some times.
     *
     * @param harmonicsCents what the harmonic sounded each time, from twice the open string, at least one
     * @param stoppedCents what the stopped note sounded each time, at least one
     * @return the difference of their means; its doubt falls with their number, and grows with how far they lie apart
     * @throws IllegalArgumentException when one of the two was never plucked
     * @throws rosinedpeg.core.figure.OutOfRangeException when they lie further apart than an octave does
     */
    public static Octave of(List<Double> harmonicsCents, List<Double> stoppedCents) {
        if (harmonicsCents.isEmpty() || stoppedCents.isEmpty()) {
            throw new IllegalArgumentException("an octave wants both: " + harmonicsCents + " and " + stoppedCents);
        }
        double harmonic = mean("harmonicsCents", harmonicsCents);
        double stopped = mean("stoppedCents", stoppedCents);
        return new Octave(
                stopped - harmonic,
                Math.min(
                        DOUBT.high(),
                        Math.hypot(doubtOfMean(harmonicsCents, harmonic), doubtOfMean(stoppedCents, stopped))));
    }

    private static double mean(String name, List<Double> values) {
        double sum = 0;
        for (double value : values) {
            sum += requireFinite(name, value);
        }
        return sum / values.size();
    }

    /** Few readings that happen to agree are not known better than a finger is placed. */
    private static double doubtOfMean(List<Double> values, double mean) {
        double squares = values.stream()
                .mapToDouble(value -> (value - mean) * (value - mean))
                .sum();
        double spread = values.size() < 2 ? 0 : Math.sqrt(squares / (values.size() - 1));
        return Math.max(PLACED_CENTS, spread) / Math.sqrt(values.size());
    }
}
