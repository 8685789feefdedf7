package rosinedpeg.core.wear;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * How far a string is used up at a moment, and how fast it goes on: enough to tell how far it is at a later one, as long as it goes on like
 * that. Both hours and months use a string up evenly ({@link Wear}), so that nothing is lost by it between one holiday, or one change of what
 * is known of the string, and the next. Only while a week lasts in which dates in the diary have come to more than its usual hours
 * ({@link DiaryHours}) it runs ahead, by no more than what they are beyond those.
 *
 * @param worn the used-up share, 0 to 12 000, of the shortest life and the most playing there are
 * @param anHour the share that an hour of the clock adds, 0 to 1
 */
public record WearRate(double worn, double anHour) {

    /** Allowed shares. */
    public static final Range WORN = new Range(0, 12_000, Unit.SHARE);
    /** Allowed shares an hour. */
    public static final Range AN_HOUR = new Range(0, 1, Unit.SHARE);

    private static final Range HOURS = new Range(0, 1_000_000, Unit.HOUR);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public WearRate {
        WORN.require("worn", worn);
        AN_HOUR.require("anHour", anHour);
    }

    /**
     * A string as it is now.
     *
     * @param wear how far it is used up
     * @param ages whether its months are counted; not while nobody knows since when it is on
     * @param hoursPerWeek how much it is played from now on, 0 to 168 h a week; 0 in a holiday
     * @return how it goes on
     * @throws rosinedpeg.core.figure.OutOfRangeException when a figure is outside its range
     */
    public static WearRate of(Wear wear, boolean ages, double hoursPerWeek) {
        requireNonNull(wear, "wear");
        Wear.HOURS_PER_WEEK.require("hoursPerWeek", hoursPerWeek);
        double played = wear.sharePerHourOfAge(hoursPerWeek) - wear.sharePerHourOfAge(0);
        return new WearRate(wear.worn(), ages ? wear.sharePerHourOfAge(hoursPerWeek) : played);
    }

    /**
     * Looks ahead.
     *
     * @param hours of the clock from that moment on, 0 or more
     * @return the used-up share then, 1 for spent
     * @throws rosinedpeg.core.figure.OutOfRangeException when {@code hours} is outside 0 to 1 000 000 h
     */
    public double after(double hours) {
        HOURS.require("hours", hours);
        return worn + anHour * hours;
    }
}
