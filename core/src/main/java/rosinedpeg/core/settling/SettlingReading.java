package rosinedpeg.core.settling;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * What a new string had lost by an hour.
 *
 * @param hours since it came to pitch, 0 to 10 000 h
 * @param lostCents all it has lost since, retunings counted in, −100 to 2000 cents
 */
public record SettlingReading(double hours, double lostCents) {

    private static final Range HOURS = new Range(0, 10_000, Unit.HOUR);
    private static final Range LOST = new Range(-100, 2000, Unit.CENT);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public SettlingReading {
        HOURS.require("hours", hours);
        LOST.require("lostCents", lostCents);
    }
}
