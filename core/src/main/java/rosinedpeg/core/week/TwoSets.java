package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.wear.Wear;

/**
 * Two sets in turn on one instrument: one is played while the other rests, and a set that has been stretched and is known is always at hand.
 *
 * <p>Hours and months count on the instrument only, so that nothing is lost by turns and nothing is gained: two sets last as long as one
 * after the other would, but both are spent in the same weeks. What it costs is the work at the bench, and that what goes on has to settle
 * each time. A set that has been on before is given as long for it as a new one: it holds sooner, but nobody has measured by how much.
 *
 * @param turns when which set goes on, in order
 * @param until the first string of either set that is due; empty where that is after {@link #FURTHEST_WEEKS}
 * @param alone the first string of the set that is on that is due if it stays on; empty where that is after as many weeks
 */
public record TwoSets(List<Turn> turns, Optional<Due> until, Optional<Due> alone) {

    /** So many weeks a set is on at least. */
    public static final int FEWEST_WEEKS = 1;

    /** So many weeks a set is on at most. */
    public static final int MOST_WEEKS = 26;

    /** So many weeks a set is on where nobody said otherwise. */
    public static final int USUAL_WEEKS = 4;

    /** So many weeks are looked ahead. */
    public static final int FURTHEST_WEEKS = 52;

    /** So many days after its turn a set is in time. */
    public static final int WITHIN_DAYS = 7;

    private static final int DAYS_IN_A_WEEK = 7;
    private static final double HOURS_IN_A_DAY = 24;

    /** Checks and copies the turns. */
    public TwoSets {
        requireNonNull(until, "until");
        requireNonNull(alone, "alone");
        turns = List.copyOf(turns);
    }

    /**
     * A string is due, and the turns are over until it is replaced.
     *
     * @param day when
     * @param string which
     */
    public record Due(LocalDate day, Position string) {

        /** Checks that both are there. */
        public Due {
            requireNonNull(day, "day");
            requireNonNull(string, "string");
        }
    }

    /**
     * One string of a set.
     *
     * @param core what it is made of
     * @param wear how far it is used up now
     */
    public record SetString(StringCore core, Wear wear) {

        /** Checks that both are there. */
        public SetString {
            requireNonNull(core, "core");
            requireNonNull(wear, "wear");
        }

        private double wornAfter(long days, double hoursPerWeek) {
            return new Wear(
                            wear.hours() + days * hoursPerWeek / DAYS_IN_A_WEEK,
                            wear.months() + days * HOURS_IN_A_DAY / Wear.HOURS_PER_MONTH,
                            wear.signs(),
                            wear.life())
                    .worn();
        }
    }

    /**
     * What is asked.
     *
     * @param on the set that is on
     * @param resting the set that is not
     * @param threshold the worn share from which a string is due
     * @param hoursPerWeek how much the instrument is played, 0 to 168 h a week
     * @param today the day it is
     * @param first the first day of the first turn, not before today
     * @param weeks how many weeks a set is on, 1 to 26
     * @param shut days on which nobody is at the bench, or the instrument is not at hand
     * @param performances what is played
     * @param zone the zone the days are in
     */
    public record Asked(
            Map<Position, SetString> on,
            Map<Position, SetString> resting,
            double threshold,
            double hoursPerWeek,
            LocalDate today,
            LocalDate first,
            int weeks,
            Set<LocalDate> shut,
            List<SafeChange.Performance> performances,
            ZoneId zone) {

        /**
         * Checks the parts and copies them.
         *
         * @throws IllegalArgumentException when the sets are not of the same strings, there are none, the first day is over, or the weeks
         *     are not 1 to 26
         * @throws rosinedpeg.core.figure.OutOfRangeException when the hours are outside their range
         */
        public Asked {
            requireNonNull(today, "today");
            requireNonNull(first, "first");
            requireNonNull(zone, "zone");
            Wear.HOURS_PER_WEEK.require("hoursPerWeek", hoursPerWeek);
            requireFinite("threshold", threshold);
            on = Position.inOrder(on);
            resting = Position.inOrder(resting);
            shut = Set.copyOf(shut);
            performances = List.copyOf(performances);
            if (on.isEmpty() || !on.keySet().equals(resting.keySet())) {
                throw new IllegalArgumentException("on is " + on.keySet() + " and resting is " + resting.keySet()
                        + "; both must be the same strings");
            }
            if (weeks < FEWEST_WEEKS || weeks > MOST_WEEKS) {
                throw new IllegalArgumentException(
                        "weeks is " + weeks + "; it must be " + FEWEST_WEEKS + " to " + MOST_WEEKS);
            }
            if (first.isBefore(today)) {
                throw new IllegalArgumentException("first is " + first + "; it must not be before " + today);
            }
        }
    }

    /**
     * A set goes on, and the other comes off.
     *
     * @param day when
     * @param resting whether it is the set that rests now; otherwise the one that is on now
     * @param goesOn how far the most worn string of what goes on is used up
     * @param comesOff how far the most worn string of what comes off is used up
     * @param holdsFor from when it holds, by the evening of that day on
     */
    public record Turn(
            LocalDate day, boolean resting, double goesOn, double comesOff, Map<Steadiness, Instant> holdsFor) {

        /** Checks the parts. */
        public Turn {
            requireNonNull(day, "day");
            requireFinite("goesOn", goesOn);
            requireFinite("comesOff", comesOff);
            holdsFor = Map.copyOf(holdsFor);
        }
    }

    /**
     * When the next turn is due.
     *
     * @param changed the day the set that is on went on, of its strings the last
     * @param first the first day of the first turn
     * @param weeks how many weeks a set is on
     * @return the day
     */
    public static LocalDate next(LocalDate changed, LocalDate first, int weeks) {
        LocalDate over = changed.plusWeeks(weeks);
        return over.isBefore(first) ? first : over;
    }

    /**
     * Finds the turns.
     *
     * @param asked what is asked
     * @return the turns until a string is due, each on the first open day after its weeks are over
     */
    public static TwoSets of(Asked asked) {
        LocalDate furthest = asked.today().plusWeeks(FURTHEST_WEEKS);
        Side on = new Side(asked.on(), asked);
        Side resting = new Side(asked.resting(), asked);
        Optional<Due> alone = on.due(asked.today(), furthest);
        List<Turn> turns = new ArrayList<>();
        LocalDate since = asked.today();
        LocalDate wanted = asked.first();
        while (true) {
            Side now = turns.size() % 2 == 0 ? on : resting;
            Side next = now == on ? resting : on;
            Optional<LocalDate> day = next.open(wanted, furthest);
            Optional<Due> due = now.due(since, furthest);
            if (day.isEmpty()
                    || due.filter(spent -> !spent.day().isAfter(day.get())).isPresent()) {
                return new TwoSets(turns, due, alone);
            }
            now.play(ChronoUnit.DAYS.between(since, day.get()));
            since = day.get();
            turns.add(new Turn(
                    since,
                    next == resting,
                    next.worn(0),
                    now.worn(0),
                    Sittings.holds(next.cores(), since, asked.zone())));
            wanted = since.plusWeeks(asked.weeks());
        }
    }

    /** One of the sets, while the turns are counted. */
    private static final class Side {

        private final Map<Position, SetString> strings;
        private final Asked asked;
        private long played;

        Side(Map<Position, SetString> strings, Asked asked) {
            this.strings = strings;
            this.asked = asked;
        }

        List<StringCore> cores() {
            return strings.values().stream().map(SetString::core).distinct().toList();
        }

        void play(long days) {
            played += days;
        }

        /** {@return how far its most worn string is used up after some more days} */
        double worn(long days) {
            return strings.values().stream()
                    .mapToDouble(string -> worn(string, days))
                    .max()
                    .orElseThrow();
        }

        private double worn(SetString string, long days) {
            return string.wornAfter(played + days, asked.hoursPerWeek());
        }

        /** {@return its first string that is due if it is on from a day on; empty where that is after another */
        Optional<Due> due(LocalDate since, LocalDate furthest) {
            return since.datesUntil(furthest.plusDays(1))
                    .filter(day -> worn(ChronoUnit.DAYS.between(since, day)) >= asked.threshold())
                    .findFirst()
                    .map(day -> new Due(day, mostWorn(ChronoUnit.DAYS.between(since, day))));
        }

        private Position mostWorn(long days) {
            return strings.keySet().stream()
                    .max(Comparator.comparing(position -> worn(position.in(strings), days)))
                    .orElseThrow();
        }

        Optional<LocalDate> open(LocalDate earliest, LocalDate furthest) {
            if (earliest.isAfter(furthest)) {
                return Optional.empty();
            }
            Set<LocalDate> closed =
                    StringsWindow.closed(cores(), asked.performances(), earliest, furthest, asked.zone());
            return earliest.datesUntil(furthest.plusDays(1))
                    .filter(day -> !closed.contains(day) && !asked.shut().contains(day))
                    .findFirst();
        }
    }
}
