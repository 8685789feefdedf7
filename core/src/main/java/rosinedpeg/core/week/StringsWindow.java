package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.core.strings.StringCore;

/**
 * The days on which the strings of one instrument that are due can be changed together.
 *
 * <p>The first is the day their packets are there, but no more than a week before the first string is due: what is taken off sooner
 * is thrown away unworn. The last is the day before the last safe moment of any of them, so that whoever works until the evening is
 * still in time; today where that moment is today. Where nothing is played after they are due, no day is too late.
 *
 * @param earliest the first day
 * @param latest the last day; before the first where the packets come too late
 * @param played whether something is played that new strings have to hold at
 */
public record StringsWindow(LocalDate earliest, LocalDate latest, boolean played) {

    /** So many days before it is due a string may be changed. */
    public static final int EARLY_DAYS = 7;

    /** Checks that the days are there. */
    public StringsWindow {
        requireNonNull(earliest, "earliest");
        requireNonNull(latest, "latest");
    }

    /**
     * A string that is due.
     *
     * @param dueAt when
     * @param safe until when it can be changed
     */
    public record Due(Instant dueAt, SafeChange safe) {

        /** Checks that both are there. */
        public Due {
            requireNonNull(dueAt, "dueAt");
            requireNonNull(safe, "safe");
        }
    }

    /**
     * Finds it.
     *
     * @param strings the strings, at least one
     * @param packetsOn the day on which the last of their packets is there; not after today where all are
     * @param today the day it is
     * @param furthest the last day that is planned for; no window goes beyond it
     * @param zone the zone the days are in
     * @return the window
     * @throws IllegalArgumentException when there are no strings
     */
    public static StringsWindow of(
            List<Due> strings, LocalDate packetsOn, LocalDate today, LocalDate furthest, ZoneId zone) {
        if (strings.isEmpty()) {
            throw new IllegalArgumentException("strings is empty; at least one must be due");
        }
        LocalDate due = strings.stream()
                .map(string -> day(string.dueAt(), zone))
                .min(LocalDate::compareTo)
                .orElseThrow();
        LocalDate latest = strings.stream()
                .filter(StringsWindow::isPlayed)
                .map(string -> day(string.safe().latest(), zone).minusDays(1))
                .map(day -> later(day, today))
                .min(LocalDate::compareTo)
                .filter(day -> day.isBefore(furthest))
                .orElse(furthest);
        LocalDate earliest = Stream.of(today, packetsOn, earlier(due.minusDays(EARLY_DAYS), latest))
                .max(LocalDate::compareTo)
                .orElseThrow();
        return new StringsWindow(earliest, latest, strings.stream().anyMatch(StringsWindow::isPlayed));
    }

    /**
     * The days between on which strings must not go on: by the evening of such a day they are on, and would not hold at something that
     * is played on it or after it.
     *
     * @param cores what they are made of
     * @param performances what is played, in any order
     * @param from the first day that is looked at
     * @param until the last
     * @param zone the zone the days are in
     * @return the days
     */
    public static Set<LocalDate> closed(
            Collection<StringCore> cores,
            Collection<SafeChange.Performance> performances,
            LocalDate from,
            LocalDate until,
            ZoneId zone) {
        requireNonNull(from, "from");
        requireNonNull(until, "until");
        Set<LocalDate> closed = new TreeSet<>();
        for (SafeChange.Performance performance : performances) {
            for (StringCore core : cores) {
                Instant latest = ChangeWindow.latest(core, performance.steadiness(), performance.beginsAt());
                LocalDate last = earlier(day(performance.beginsAt(), zone), until);
                for (LocalDate day = later(day(latest, zone), from); !day.isAfter(last); day = day.plusDays(1)) {
                    closed.add(day);
                }
            }
        }
        return Collections.unmodifiableSet(closed);
    }

    private static boolean isPlayed(Due string) {
        return string.safe().playedFirst().isPresent();
    }

    private static LocalDate day(Instant moment, ZoneId zone) {
        return moment.atZone(zone).toLocalDate();
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    private static LocalDate earlier(LocalDate one, LocalDate other) {
        return one.isBefore(other) ? one : other;
    }
}
