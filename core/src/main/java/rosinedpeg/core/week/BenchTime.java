package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * The minutes somebody has at the bench on one day. Breaks and whatever else is done there are taken off already.
 *
 * @param place the day and the person
 * @param minutes how many, 0 to 1440
 */
public record BenchTime(Place place, int minutes) {

    /** The minutes a day has. */
    public static final Range MINUTES = new Range(0, 1440, Unit.MINUTE);

    /**
     * Checks the parts.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when the minutes are outside their range
     */
    public BenchTime {
        requireNonNull(place, "place");
        MINUTES.require("minutes", minutes);
    }
}
