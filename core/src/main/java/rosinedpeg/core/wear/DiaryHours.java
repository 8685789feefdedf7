package rosinedpeg.core.wear;

import static java.util.Objects.requireNonNull;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a diary tells of an instrument's playing beyond what a week usually brings.
 *
 * <p>The hours a week that an instrument is said to be played are everything: practice, lessons, the usual rehearsals. A date in the
 * diary is one of them until the dates of a week come to more; from then on they count by their length. So in every week the larger
 * of the two has been played, and what was played never becomes less as time goes on.
 */
public final class DiaryHours {

    private static final double HOURS_IN_A_WEEK = 24 * 7;

    private DiaryHours() {}

    /**
     * Hours played beyond the usual ones.
     *
     * @param from since when they are asked for
     * @param until until when; what has not begun by then does not count, what has counts as far as it has come
     * @param hoursPerWeek how much the instrument is usually played, 0 to 168 h a week
     * @param holidays when nobody plays, unless a date says so
     * @param dates when it is played, in any order; where two overlap it is played once
     * @param zone where a week begins on Monday
     * @return 0 h or more
     * @throws rosinedpeg.core.figure.OutOfRangeException when the hours per week are outside their range
     */
    public static double beyondUsual(
            Instant from, Instant until, double hoursPerWeek, List<Span> holidays, List<Span> dates, ZoneId zone) {
        requireNonNull(from, "from");
        requireNonNull(until, "until");
        requireNonNull(zone, "zone");
        requireNonNull(holidays, "holidays");
        Wear.HOURS_PER_WEEK.require("hoursPerWeek", hoursPerWeek);
        double beyond = 0;
        for (Map.Entry<Instant, Duration> week :
                byWeek(from, until, dates, zone).entrySet()) {
            Instant begins = week.getKey().isBefore(from) ? from : week.getKey();
            Instant next =
                    monday(week.getKey(), zone).plusWeeks(1).atStartOfDay(zone).toInstant();
            Instant ends = next.isBefore(until) ? next : until;
            double usual = PlayingTime.hours(begins, ends, holidays) / HOURS_IN_A_WEEK * hoursPerWeek;
            beyond += Math.max(0, week.getValue().toMinutes() / 60.0 - usual);
        }
        return beyond;
    }

    /** How long the dates of each week last, by the moment it begins. */
    private static Map<Instant, Duration> byWeek(Instant from, Instant until, List<Span> dates, ZoneId zone) {
        Map<Instant, Duration> weeks = new TreeMap<>();
        Instant reached = from;
        for (Span date : dates.stream().sorted(Comparator.comparing(Span::from)).toList()) {
            Instant begins = date.from().isBefore(reached) ? reached : date.from();
            Instant ends = date.until().isBefore(until) ? date.until() : until;
            while (begins.isBefore(ends)) {
                LocalDate monday = monday(begins, zone);
                Instant next = monday.plusWeeks(1).atStartOfDay(zone).toInstant();
                reached = next.isBefore(ends) ? next : ends;
                weeks.merge(monday.atStartOfDay(zone).toInstant(), Duration.between(begins, reached), Duration::plus);
                begins = reached;
            }
        }
        return weeks;
    }

    private static LocalDate monday(Instant moment, ZoneId zone) {
        return moment.atZone(zone).toLocalDate().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }
}
