package rosinedpeg.core.care;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.time.LocalDate;
import java.util.Collection;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * How often rosin went on a bow lately, against how often it was played. Every second or third session is enough; more
 * takes the ring from the strings and is then mistaken for wear.
 *
 * @param times how often rosin went on in the last {@value #DAYS} days, 0 or more
 * @param sessions in how many sessions the bow was played in that time, reckoned from the hours a week
 */
public record Rosining(int times, double sessions) {
    /** Checks the parts. */
    public Rosining {
        requireFinite("sessions", sessions);
    }

    /** How far back is looked. */
    public static final int DAYS = 14;

    /** None at all. */
    public static final Rosining NONE = new Rosining(0, 0);

    /** How long a session is, until somebody says otherwise, in h. */
    private static final double SESSION_HOURS = 1.5;
    /** Fewer times say nothing. */
    private static final int FEW = 3;

    private static final Range HOURS_PER_WEEK = new Range(0, 168, Unit.HOUR_PER_WEEK);

    /**
     * Counts.
     *
     * @param rosinedOn the days on which rosin went on, one for each time
     * @param hoursPerWeek how much the instrument is played, 0 to 168
     * @param today the day
     * @return the count
     * @throws rosinedpeg.core.figure.OutOfRangeException when the hours are outside 0 to 168
     */
    public static Rosining of(Collection<LocalDate> rosinedOn, double hoursPerWeek, LocalDate today) {
        HOURS_PER_WEEK.require("hoursPerWeek", hoursPerWeek);
        LocalDate from = today.minusDays(DAYS);
        long times = rosinedOn.stream()
                .filter(day -> day.isAfter(from) && !day.isAfter(today))
                .count();
        return new Rosining((int) times, hoursPerWeek * DAYS / 7 / SESSION_HOURS);
    }

    /** {@return how often would have been enough} */
    public double enough() {
        return sessions / 2;
    }

    /** {@return whether it was clearly more than enough} */
    public boolean tooOften() {
        return times >= FEW && times > enough();
    }
}
