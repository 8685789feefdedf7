package rosinedpeg.core.pitch;

import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * An interval in hundredths of an equally tempered semitone; negative means flat.
 *
 * @param value the interval, finite
 */
public record Cents(double value) {

    private static final double LOG_2 = Math.log(2);
    private static final Range FRACTION = new Range(1e-6, 4, Unit.SHARE);

    /**
     * Checks the value.
     *
     * @throws IllegalArgumentException when it is infinite or not a number
     */
    public Cents {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("value is " + value + "; it must be a finite number of cents");
        }
    }

    /**
     * The interval from one frequency up to another: {@code 1200·log2(to/from)}.
     *
     * @param fromHz the lower end, above 0
     * @param toHz the upper end, above 0
     * @return the interval
     * @throws IllegalArgumentException when a frequency is not above 0
     */
    public static Cents between(double fromHz, double toHz) {
        requireFinite("fromHz", fromHz);
        requireFinite("toHz", toHz);
        if (!(fromHz > 0) || !(toHz > 0)) {
            throw new IllegalArgumentException(
                    "frequencies are " + fromHz + " and " + toHz + " Hz; both must be above 0");
        }
        return new Cents(1200 * Math.log(toHz / fromHz) / LOG_2);
    }

    /**
     * How far below its final pitch a string sounds at a share of its final tension: {@code 600·log2(x)} cents,
     * because frequency goes with the square root of tension.
     *
     * @param tensionFraction share of the final tension, above 0, to 4
     * @return the interval to the final pitch, negative below it
     * @throws rosinedpeg.core.figure.OutOfRangeException when the share is outside its range
     */
    public static Cents ofTensionFraction(double tensionFraction) {
        FRACTION.require("tensionFraction", tensionFraction);
        return betweenTensions(1, tensionFraction);
    }

    /**
     * How far the pitch of one string rises from one tension to another: {@code 600·log2(to/from)} cents.
     *
     * @param fromN the tension it has, above 0 N
     * @param toN the tension it comes to, above 0 N
     * @return the interval, negative for a fall
     * @throws IllegalArgumentException when a tension is not above 0
     */
    public static Cents betweenTensions(double fromN, double toN) {
        requireFinite("fromN", fromN);
        requireFinite("toN", toN);
        if (!(fromN > 0) || !(toN > 0)) {
            throw new IllegalArgumentException("tensions are " + fromN + " and " + toN + " N; both must be above 0");
        }
        return new Cents(600 * Math.log(toN / fromN) / LOG_2);
    }

    /**
     * The frequency that lies this far above another one: {@code from·2^(cents/1200)}.
     *
     * @param fromHz the lower end, above 0
     * @return the upper end, in Hz; the lower one where the interval is negative
     * @throws IllegalArgumentException when the frequency is not above 0
     */
    public double above(double fromHz) {
        requireFinite("fromHz", fromHz);
        if (!(fromHz > 0)) {
            throw new IllegalArgumentException("fromHz is " + fromHz + " Hz; it must be above 0");
        }
        return fromHz * Math.pow(2, value / 1200);
    }

    /** {@return the share of its final tension that a string has when it sounds this far from its final pitch} */
    public double toTensionFraction() {
        return Math.pow(2, value / 600);
    }

    /** {@return the interval in semitones} */
    public double semitones() {
        return value / 100;
    }
}
