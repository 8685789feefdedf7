package rosinedpeg.core.settling;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.strings.StringCore;

/**
 * What a new string is expected to lose if it were never retuned: {@code A·(1 − exp(−(t/τ)^0.6))} cents by hour t. The
 * stretched exponential is the usual law of creep in strings under constant load; A and τ depend on the core.
 *
 * @param totalCents A, everything it will lose, 0 to 2000 cents
 * @param tauHours τ, the hour by which it has lost 63 % of it, 0.1 to 1000 h
 */
public record SettlingForecast(double totalCents, double tauHours) {

    /** How stretched the exponential is. */
    static final double BETA = 0.6;

    /** Nothing is foretold beyond a year. */
    public static final double FURTHEST_HOURS = 24 * 365;
    /** As near as an hour is looked for, in h. */
    private static final double EXACTLY = 1e-7;
    /** Far more steps than it takes to narrow an hour down. */
    private static final int MOST_STEPS = 200;
    /** Allowed losses. */
    public static final Range TOTAL = new Range(0, 2000, Unit.CENT);
    /** Allowed times. */
    public static final Range TAU = new Range(0.1, 1000, Unit.HOUR);
    /** Allowed hours since it came to pitch. */
    public static final Range TIME = new Range(0, 1e6, Unit.HOUR);
    /** Allowed tolerances. */
    public static final Range TOLERANCE = new Range(0.01, 1000, Unit.CENT);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public SettlingForecast {
        TOTAL.require("totalCents", totalCents);
        TAU.require("tauHours", tauHours);
    }

    /** {@return the default for a core, until readings of the string itself correct it} */
    public static SettlingForecast usual(StringCore core) {
        return switch (core) {
            case PLAIN_STEEL -> new SettlingForecast(40, 8);
            case ROPE_STEEL -> new SettlingForecast(90, 12);
            case SYNTHETIC -> new SettlingForecast(280, 20);
            case GUT -> new SettlingForecast(450, 48);
        };
    }

    /**
     * The loss since the string came to pitch.
     *
     * @param hours 0 or more
     * @return cents, 0 or more
     */
    public double lostCents(double hours) {
        TIME.require("hours", hours);
        return totalCents * (1 - Math.exp(-Math.pow(hours / tauHours, BETA)));
    }

    /** {@return the loss between two hours, in cents} */
    public double driftCents(double fromHours, double toHours) {
        requireFinite("fromHours", fromHours);
        requireFinite("toHours", toHours);
        return lostCents(toHours) - lostCents(fromHours);
    }

    /**
     * When it first holds: the least hour from which no window of that length loses more than the tolerance.
     *
     * @param toleranceCents above 0
     * @param windowHours above 0
     * @return hours since it came to pitch
     */
    public double steadyAtHours(double toleranceCents, double windowHours) {
        return steadyAtHours(toleranceCents, windowHours, EXACTLY);
    }

    /** {@return the same, found to within so many hours} */
    double steadyAtHours(double toleranceCents, double windowHours, double withinHours) {
        requireFinite("windowHours", windowHours);
        TOLERANCE.require("toleranceCents", toleranceCents);
        return firstHour(hour -> toleranceCents - driftCents(hour, hour + windowHours), 0, withinHours)
                .orElse(FURTHEST_HOURS);
    }

    /** {@return when it holds well enough for that, in hours since it came to pitch} */
    public double steadyAtHours(Steadiness steadiness) {
        return steadyAtHours(steadiness.toleranceCents(), steadiness.windowHours());
    }

    /**
     * When it will have sunk by a tolerance since it was last tuned.
     *
     * @param tunedAtHours when it was last tuned, in hours since it came to pitch
     * @param toleranceCents what may be lost before it wants tuning
     * @return hours since it came to pitch; empty when it will never sink so far
     */
    public OptionalDouble wantsTuningAtHours(double tunedAtHours, double toleranceCents) {
        requireFinite("tunedAtHours", tunedAtHours);
        TOLERANCE.require("toleranceCents", toleranceCents);
        return firstHour(hour -> driftCents(tunedAtHours, hour) - toleranceCents, tunedAtHours, EXACTLY);
    }

    /**
     * The first hour at which a rising function reaches 0, bracketed and narrowed by Brent's method. It is looked for along the
     * logarithm of the hour, where a stretched exponential bends evenly: a third of the steps that halving would take.
     */
    private static OptionalDouble firstHour(DoubleUnaryOperator rising, double fromHours, double withinHours) {
        double toHours = fromHours + FURTHEST_HOURS;
        if (rising.applyAsDouble(fromHours) >= 0) {
            return OptionalDouble.of(fromHours);
        }
        if (rising.applyAsDouble(toHours) < 0) {
            return OptionalDouble.empty();
        }
        double found = new BracketingNthOrderBrentSolver(1e-14, withinHours / toHours, 1e-9, 5)
                .solve(
                        MOST_STEPS,
                        along -> rising.applyAsDouble(fromHours + Math.expm1(along)),
                        0,
                        Math.log1p(FURTHEST_HOURS),
                        AllowedSolution.RIGHT_SIDE);
        return OptionalDouble.of(fromHours + Math.expm1(found));
    }
}
