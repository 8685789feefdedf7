package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;

/**
 * A set changed in several sittings, so that the instrument can be played all the while: the strings of one sitting hold for a rehearsal
 * before the next begins, and no string goes on so late that it would not hold at something that is played.
 *
 * <p>Every way of dividing the strings is tried; with five strings there are 150 of them in three sittings. Of those that are done in
 * time the best leaves as few strings new at once as it can, then keeps the load most alike on both feet while old and new strings stand side
 * by side, then has everything hold soonest: what settles longest goes on first.
 *
 * @param sittings the sittings in order
 * @param inTime whether all strings are on by the day that was asked for; true where none was
 */
public record Sittings(List<Sitting> sittings, boolean inTime) {

    /** A set is divided into so many sittings at least. */
    public static final int FEWEST = 2;
    /** And into no more. */
    public static final int MOST = 3;

    /** So many days ahead the last sitting may be. */
    public static final int FURTHEST_DAYS = 120;

    /** Two ways that differ by less than this share in how alike the feet are loaded are alike. */
    private static final double ALIKE = 0.005;

    /** Copies the list. */
    public Sittings {
        sittings = List.copyOf(sittings);
    }

    /**
     * One sitting.
     *
     * @param strings the strings that go on, I first
     * @param day the day
     * @param holdsFor from when they hold, nine times in ten, by what for; counted from the evening of the day
     * @param load what both feet carry from then on, against the old set
     */
    public record Sitting(Set<Position> strings, LocalDate day, Map<Steadiness, Instant> holdsFor, LoadShares load) {

        /** Copies what is mutable. */
        public Sitting {
            requireNonNull(day, "day");
            requireNonNull(load, "load");
            strings = Collections.unmodifiableSet(EnumSet.copyOf(strings));
            holdsFor = Map.copyOf(holdsFor);
        }
    }

    /**
     * What is asked for.
     *
     * @param setUp the instrument
     * @param on the strings on it now, one at every position
     * @param replacements those that go on, at least as many as there are sittings
     * @param sittings how many, 2 or 3
     * @param from the first day
     * @param by the last day of the last sitting; empty where none is too late
     * @param shut days on which there is no sitting, because nobody is at the bench or the instrument is not at hand
     * @param performances what is played, in any order
     * @param zone the zone the days are in
     */
    public record Asked(
            SetUp setUp,
            Map<Position, StringSpec> on,
            Map<Position, StringSpec> replacements,
            int sittings,
            LocalDate from,
            Optional<LocalDate> by,
            Set<LocalDate> shut,
            List<SafeChange.Performance> performances,
            ZoneId zone) {

        /**
         * Checks it.
         *
         * @throws IllegalArgumentException when the sittings are not 2 or 3, a string that goes on has no place, or there are fewer
         *     strings than sittings
         */
        public Asked {
            requireNonNull(setUp, "setUp");
            requireNonNull(from, "from");
            requireNonNull(by, "by");
            requireNonNull(zone, "zone");
            on = Position.inOrder(on);
            replacements = Position.inOrder(replacements);
            shut = Set.copyOf(shut);
            performances = List.copyOf(performances);
            if (sittings < FEWEST || sittings > MOST) {
                throw new IllegalArgumentException(
                        "sittings is " + sittings + "; it must be " + FEWEST + " to " + MOST);
            }
            if (replacements.size() < sittings) {
                throw new IllegalArgumentException("replacements are " + replacements.size()
                        + "; there must be one for each of " + sittings + " sittings");
            }
            if (!on.keySet().containsAll(setUp.positions()) || !on.keySet().containsAll(replacements.keySet())) {
                throw new IllegalArgumentException(
                        "on is " + on.keySet() + "; there must be a string at each of " + setUp.positions());
            }
        }
    }

    /**
     * Finds the best way.
     *
     * @param asked what is asked for
     * @return it; empty where something is played so often that not all sittings find a day within {@link #FURTHEST_DAYS}
     */
    public static Optional<Sittings> of(Asked asked) {
        Search search = new Search(asked);
        search.divide(new ArrayList<>());
        return Optional.ofNullable(search.best).map(Way::sittings);
    }

    /** One way of dividing the strings, with what it is chosen by. */
    private record Way(Sittings sittings, int mostAtOnce, double unlike, Instant allHold) {

        private static final Comparator<Way> BEST_FIRST = Comparator.comparing((Way way) -> !way.sittings.inTime())
                .thenComparing(Way::mostAtOnce)
                .thenComparing(way -> Math.round(way.unlike / ALIKE))
                .thenComparing(Way::allHold);
    }

    /** {@return from when strings hold that are on by the evening of a day} */
    static Map<Steadiness, Instant> holds(Collection<StringCore> cores, LocalDate day, ZoneId zone) {
        Instant evening = day.plusDays(1).atStartOfDay(zone).toInstant();
        Map<Steadiness, Instant> holds = new EnumMap<>(Steadiness.class);
        for (Steadiness steadiness : Steadiness.values()) {
            holds.put(
                    steadiness,
                    cores.stream()
                            .map(core -> ChangeWindow.holdsFrom(core, steadiness, evening))
                            .max(Comparator.naturalOrder())
                            .orElseThrow());
        }
        return holds;
    }

    private static final class Search {

        private final Asked asked;
        private final InstrumentLoad load;
        private @Nullable Way best;

        Search(Asked asked) {
            this.asked = asked;
            this.load = new InstrumentLoad(asked.setUp(), asked.setUp().tensionsN(asked.on()));
        }

        /** Each string in turn goes into each of the sittings. */
        void divide(List<Integer> of) {
            if (of.size() < asked.replacements().size()) {
                for (int sitting = 0; sitting < asked.sittings(); sitting++) {
                    of.add(sitting);
                    divide(of);
                    of.remove(of.size() - 1);
                }
            } else if (of.stream().distinct().count() == asked.sittings()) {
                List<Set<Position>> divided = new ArrayList<>();
                for (int sitting = 0; sitting < asked.sittings(); sitting++) {
                    divided.add(EnumSet.noneOf(Position.class));
                }
                int at = 0;
                for (Position position : asked.replacements().keySet()) {
                    divided.get(of.get(at++)).add(position);
                }
                weigh(divided);
            }
        }

        private void weigh(List<Set<Position>> divided) {
            List<Sitting> sittings = new ArrayList<>();
            Map<Position, StringSpec> on = new EnumMap<>(asked.on());
            LocalDate earliest = asked.from();
            double unlike = 0;
            for (Set<Position> strings : divided) {
                List<StringCore> cores = strings.stream()
                        .map(position -> position.in(asked.replacements()).core())
                        .distinct()
                        .toList();
                Optional<LocalDate> day = open(cores, earliest);
                if (day.isEmpty()) {
                    return;
                }
                strings.forEach(position -> on.put(position, position.in(asked.replacements())));
                LoadShares shares = load.shares(asked.setUp().tensionsN(on));
                if (sittings.size() < divided.size() - 1) {
                    unlike = Math.max(unlike, Math.abs(shares.treble() - shares.bass()));
                }
                Sitting sitting = new Sitting(strings, day.get(), holds(cores, day.get(), asked.zone()), shares);
                sittings.add(sitting);
                earliest = firstDayAfter(requireNonNull(sitting.holdsFor().get(Steadiness.REHEARSAL)));
            }
            LocalDate last = sittings.get(sittings.size() - 1).day();
            Way way = new Way(
                    new Sittings(sittings, asked.by().filter(last::isAfter).isEmpty()),
                    divided.stream().mapToInt(Set::size).max().orElseThrow(),
                    unlike,
                    sittings.stream()
                            .flatMap(sitting -> sitting.holdsFor().values().stream())
                            .max(Comparator.naturalOrder())
                            .orElseThrow());
            if (best == null || Way.BEST_FIRST.compare(way, best) < 0) {
                best = way;
            }
        }

        private Optional<LocalDate> open(Collection<StringCore> cores, LocalDate earliest) {
            LocalDate furthest = asked.from().plusDays(FURTHEST_DAYS);
            Set<LocalDate> closed = StringsWindow.closed(cores, asked.performances(), earliest, furthest, asked.zone());
            return earliest.datesUntil(furthest.isBefore(earliest) ? earliest : furthest)
                    .filter(day -> !closed.contains(day) && !asked.shut().contains(day))
                    .findFirst();
        }

        private LocalDate firstDayAfter(Instant moment) {
            LocalDate day = moment.atZone(asked.zone()).toLocalDate();
            boolean midnight = moment.equals(day.atStartOfDay(asked.zone()).toInstant());
            return midnight ? day : day.plusDays(1);
        }
    }
}
