package rosinedpeg.core.settling;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * How a new string was found at some hour.
 *
 * @param hours since it came to pitch, 0 to 100 000 h
 * @param cents from its pitch as it was found, −1000 to 200, below 0 for flat
 * @param retuned whether it was tuned to its pitch then
 */
public record SettlingReading(double hours, double cents, boolean retuned) {

    /** What a reading may be. */
    public static final Range CENTS = new Range(-1000, 200, Unit.CENT);

    private static final Range HOURS = new Range(0, 100_000, Unit.HOUR);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public SettlingReading {
        HOURS.require("hours", hours);
        CENTS.require("cents", cents);
    }

    /**
     * What the string had lost at each reading since it came to pitch, as if it had never been retuned.
     *
     * @param readings what was read, in any order
     * @return cents, in the order of the hours; each retuning adds the error of its reading to all that follow
     */
    public static List<Double> losses(List<SettlingReading> readings) {
        List<Double> losses = new ArrayList<>();
        double madeUpCents = 0;
        for (SettlingReading reading : inOrder(readings)) {
            double lostCents = madeUpCents - reading.cents();
            losses.add(lostCents);
            madeUpCents = reading.retuned() ? lostCents : madeUpCents;
        }
        return List.copyOf(losses);
    }

    /** {@return readings in the order of their hours} */
    public static List<SettlingReading> inOrder(List<SettlingReading> readings) {
        return readings.stream()
                .sorted(Comparator.comparingDouble(SettlingReading::hours))
                .toList();
    }
}
