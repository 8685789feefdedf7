package rosinedpeg.core.dates;

import static java.util.Objects.requireNonNull;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.settling.SettlingFit;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.Wear;

/**
 * When to change a string for a performance.
 *
 * <p>Latest: so early that it holds by then nine times in ten, by the default of its core. Earliest sensible: so late that
 * no more than {@value #FRESH_SHARE} of its life is used up by then. Where the string settles longer than it stays fresh,
 * the latest moment counts.
 *
 * @param earliest from when it makes sense
 * @param latest until when it may be done
 */
public record ChangeWindow(Instant earliest, Instant latest) {
    /** Checks the parts. */
    public ChangeWindow {
        requireNonNull(earliest, "earliest");
        requireNonNull(latest, "latest");
    }

    /** The share of its life up to which a string is as good as new. */
    public static final double FRESH_SHARE = 0.2;

    /** How long a string of a core takes until it holds, nine times in ten: without readings always the same. */
    private static final Map<StringCore, Map<Steadiness, Duration>> SETTLES = settles();

    private static Map<StringCore, Map<Steadiness, Duration>> settles() {
        Map<StringCore, Map<Steadiness, Duration>> settles = new EnumMap<>(StringCore.class);
        for (StringCore core : StringCore.values()) {
            Map<Steadiness, Duration> ofCore = new EnumMap<>(Steadiness.class);
            for (Steadiness steadiness : Steadiness.values()) {
                ofCore.put(
                        steadiness,
                        hours(SettlingFit.of(core, List.of())
                                .steadyAtHours(steadiness)
                                .high()));
            }
            settles.put(core, ofCore);
        }
        return settles;
    }

    /**
     * The window for one string.
     *
     * @param core what it is made of
     * @param life how long it lasts
     * @param hoursPerWeek how much it will be played, 0 to 168 h a week
     * @param steadiness how well it has to hold
     * @param performance when it has to
     * @return the window; it may lie in the past
     */
    public static ChangeWindow of(
            StringCore core, Life life, double hoursPerWeek, Steadiness steadiness, Instant performance) {
        Instant latest = latest(core, steadiness, performance);
        double freshMonths = new Wear(0, 0, 0, life).monthsLeft(FRESH_SHARE, hoursPerWeek);
        Instant earliest = performance.minus(hours(freshMonths * Wear.HOURS_PER_MONTH));
        return new ChangeWindow(earliest.isAfter(latest) ? latest : earliest, latest);
    }

    /**
     * Until when a string can be changed.
     *
     * @param core what it is made of
     * @param steadiness how well it has to hold
     * @param performance when it has to
     * @return the last moment after which it still holds by then, nine times in ten
     */
    public static Instant latest(StringCore core, Steadiness steadiness, Instant performance) {
        return performance.minus(settles(core, steadiness));
    }

    /**
     * From when on a new string holds, before there are any readings of it.
     *
     * @param core what it is made of
     * @param steadiness how well it has to hold
     * @param changedAt when it went on
     * @return the first moment at which it holds, nine times in ten
     */
    public static Instant holdsFrom(StringCore core, Steadiness steadiness, Instant changedAt) {
        return changedAt.plus(settles(core, steadiness));
    }

    /** {@return how long a string of a core takes until it holds, nine times in ten, before there are any readings of it} */
    public static Duration settles(StringCore core, Steadiness steadiness) {
        return requireNonNull(requireNonNull(SETTLES.get(core)).get(steadiness));
    }

    /** {@return whether a change at that moment is in time} */
    public boolean inTime(Instant moment) {
        return !moment.isAfter(latest);
    }

    /**
     * The window of work in which one string goes on a day, and this one some days after the first.
     *
     * @param days how many days after, 0 or more
     * @return from when and until when the first string may be changed, as far as this one is asked
     * @throws IllegalArgumentException when the days are negative
     */
    public ChangeWindow ofWorkBegun(int days) {
        if (days < 0) {
            throw new IllegalArgumentException("days is " + days + "; it must be 0 or more");
        }
        return new ChangeWindow(earliest.minus(Duration.ofDays(days)), latest.minus(Duration.ofDays(days)));
    }

    private static Duration hours(double hours) {
        return Duration.ofSeconds(Math.round(hours * 3600));
    }
}
