package rosinedpeg.core.wear;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * What is known of how long one string lasted.
 *
 * @param hours played on it, 0 to 100 000 h
 * @param months on the instrument, 0 to 1200
 * @param demand how fresh its player wanted it
 * @param over whether its life was over then; otherwise it is still on, or came off while it was good
 */
public record Lived(double hours, double months, Demand demand, boolean over) {

    private static final Range HOURS = new Range(0, 100_000, Unit.HOUR);
    private static final Range MONTHS = new Range(0, 1200, Unit.MONTH);
    /** What broke on its way up says how it was put on, and nothing of its life. */
    private static final double BEGUN = 0.01;

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public Lived {
        requireNonNull(demand, "demand");
        HOURS.require("hours", hours);
        MONTHS.require("months", months);
    }

    /**
     * How much of a life it had, hours and months together, as its player counts a life.
     *
     * @param life how long such a string is thought to last
     * @return that share; 1 when it came exactly as far as was thought
     */
    public double shareOf(Life life) {
        return (hours / life.hours() + months / life.months()) / demand.threshold();
    }

    /** {@return whether its life had begun, so that its end says something of it} */
    boolean counts(Life life) {
        return shareOf(life) >= BEGUN;
    }
}
