package rosinedpeg.core.wear;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Set;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * How far one string is used up: {@code hours/life-hours + months/life-months + signs}; 1 means spent.
 *
 * @param hours played on it, 0 h or more
 * @param months on the instrument, 0 or more
 * @param signs share that its signs of wear stand for, 0 or more
 * @param life how long such a string lasts
 */
public record Wear(double hours, double months, double signs, Life life) {

    /** The used-up share of a string that is spent. */
    public static final double SPENT = 1;
    /** A month as ages and lives are counted, a twelfth of a year. */
    public static final double HOURS_PER_MONTH = 24 * 365.25 / 12;

    private static final double HOURS_IN_A_WEEK = 24 * 7;
    private static final double NEARLY_SPENT = 0.9;
    private static final double WEEKS_PER_MONTH = 52 / 12.0;
    private static final Range HOURS = new Range(0, 100_000, Unit.HOUR);

    private static final Range MONTHS = new Range(0, 1200, Unit.MONTH);
    private static final Range SIGNS = new Range(0, 10, Unit.SHARE);
    /** How much an instrument can be played. */
    public static final Range HOURS_PER_WEEK = new Range(0, 168, Unit.HOUR_PER_WEEK);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public Wear {
        requireNonNull(life, "life");
        HOURS.require("hours", hours);
        MONTHS.require("months", months);
        SIGNS.require("signs", signs);
    }

    /**
     * A string that has been on an instrument for a time.
     *
     * @param hoursBefore played on it before it went on, 0 h or more
     * @param ageHours since it went on, 0 h or more
     * @param hoursPerWeek how much the instrument is played, 0 to 168 h a week
     * @param signs what was seen or heard on it
     * @param life how long such a string lasts
     * @return how far it is used up, its hours reckoned from what a week brings
     * @throws rosinedpeg.core.figure.OutOfRangeException when a figure is outside its range
     */
    public static Wear after(double hoursBefore, double ageHours, double hoursPerWeek, Set<WearSign> signs, Life life) {
        return after(hoursBefore, ageHours, ageHours, hoursPerWeek, shareOf(signs), life);
    }

    /**
     * A string whose hours were counted once, on an instrument that has holidays.
     *
     * @param hoursBefore played on it when its hours were counted last, or before it went on, 0 h or more
     * @param ageHours since it went on, 0 h or more
     * @param playingHours hours of the clock since they were counted in which it may have been played
     * @param hoursPerWeek how much the instrument is played, 0 to 168 h a week
     * @param signsShare the share of a life that its signs stand for; no more than 10 of it counts
     * @param life how long such a string lasts
     * @return how far it is used up
     * @throws rosinedpeg.core.figure.OutOfRangeException when a figure is outside its range
     */
    public static Wear after(
            double hoursBefore,
            double ageHours,
            double playingHours,
            double hoursPerWeek,
            double signsShare,
            Life life) {
        HOURS_PER_WEEK.require("hoursPerWeek", hoursPerWeek);
        requireFinite("ageHours", ageHours);
        requireFinite("playingHours", playingHours);
        requireFinite("hoursBefore", hoursBefore);
        requireFinite("signsShare", signsShare);
        double played = hoursBefore + playingHours / HOURS_IN_A_WEEK * hoursPerWeek;
        return new Wear(played, ageHours / HOURS_PER_MONTH, Math.min(SIGNS.high(), signsShare), life);
    }

    /** {@return how worn a string is shown: one that nobody knows the age of as nearly spent} */
    public double shown(boolean ageKnown) {
        return ageKnown ? worn() : Math.max(NEARLY_SPENT, worn());
    }

    /** {@return the share of a life that a set of signs stands for} */
    public static double shareOf(Set<WearSign> signs) {
        return signs.stream().mapToDouble(WearSign::share).sum();
    }

    /** {@return the used-up share, 1 for spent; more is possible} */
    public double worn() {
        return hours / life.hours() + months / life.months() + signs;
    }

    /**
     * Months until it is due, at a rate of playing.
     *
     * @param threshold the worn share from which it is due
     * @param hoursPerWeek hours played in a week, 0 to 168
     * @return months; 0 or below when it is due already
     */
    public double monthsLeft(double threshold, double hoursPerWeek) {
        requireFinite("threshold", threshold);
        HOURS_PER_WEEK.require("hoursPerWeek", hoursPerWeek);
        return (threshold - worn()) / sharePerMonth(hoursPerWeek);
    }

    /**
     * Hours of playing until it is due: its months pass meanwhile, so that on an instrument that is seldom played it has fewer hours
     * than its life says.
     *
     * @param threshold the worn share from which it is due
     * @param hoursPerWeek hours played in a week, 0 to 168
     * @return hours; 0 or below when it is due already
     */
    public double hoursLeft(double threshold, double hoursPerWeek) {
        return monthsLeft(threshold, hoursPerWeek) * WEEKS_PER_MONTH * hoursPerWeek;
    }

    /** {@return the share of its life that a month uses up, as months are counted ahead} */
    double sharePerMonth(double hoursPerWeek) {
        return hoursPerWeek * WEEKS_PER_MONTH / life.hours() + 1 / life.months();
    }

    /** {@return the share of its life that an hour on the instrument uses up} */
    double sharePerHourOfAge(double hoursPerWeek) {
        return hoursPerWeek / HOURS_IN_A_WEEK / life.hours() + 1 / (HOURS_PER_MONTH * life.months());
    }
}
