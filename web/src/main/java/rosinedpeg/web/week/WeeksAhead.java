package rosinedpeg.web.week;

import static java.util.stream.Collectors.toMap;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.pace.FinishedWork;
import rosinedpeg.core.pace.LearnedPace;
import rosinedpeg.core.pace.Work;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.week.StringsWindow;
import rosinedpeg.core.week.UsualWork;
import rosinedpeg.web.buying.PacketDays;
import rosinedpeg.web.instrument.Named;
import rosinedpeg.web.instrument.NotAtHand;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.occasions.Occasion;

/** The weeks that are planned, with what is known of them: looked at once for all jobs, and worked out once for those that are alike. */
final class WeeksAhead {

    private final Instant now;
    private final ZoneId zone;
    private final LocalDate today;
    private final LocalDate furthest;
    private final Collection<String> people;
    private final LearnedPace learned;
    private final Function<StringKind, PacketDays.Packet> nextPacket;
    private final List<Occasion> season;
    private final Map<UUID, Standing> standings;
    private final Map<UUID, Named> named;
    private final Map<UUID, List<NotAtHand.Days>> away;
    private final Map<Sort, Map<String, Interval>> minutes = new HashMap<>();
    private final Map<UUID, List<SafeChange.Performance>> performances = new HashMap<>();
    private final Map<Played, Set<LocalDate>> closed = new HashMap<>();

    /**
     * Takes what is known.
     *
     * @param now the moment
     * @param zone the workshop's zone
     * @param days so many days from today are planned
     * @param people who is ever at the bench
     * @param learned how long work takes here
     * @param nextPacket what is taken for a kind of string, asked once for each that goes on
     * @param season what is played
     * @param standings how the instruments stand whose strings may be changed
     * @param named all that work waits for, those among them
     * @param away the days on which instruments are not at hand
     */
    WeeksAhead(
            Instant now,
            ZoneId zone,
            int days,
            Collection<String> people,
            LearnedPace learned,
            Function<StringKind, PacketDays.Packet> nextPacket,
            List<Occasion> season,
            Map<UUID, Standing> standings,
            Map<UUID, Named> named,
            Map<UUID, List<NotAtHand.Days>> away) {
        this.now = now;
        this.zone = zone;
        this.today = now.atZone(zone).toLocalDate();
        this.furthest = today.plusDays(days - 1L);
        this.people = people;
        this.learned = learned;
        this.nextPacket = nextPacket;
        this.season = season;
        this.standings = standings;
        this.named = named;
        this.away = away;
    }

    Instant now() {
        return now;
    }

    ZoneId zone() {
        return zone;
    }

    LocalDate today() {
        return today;
    }

    /** {@return the last day that is planned} */
    LocalDate furthest() {
        return furthest;
    }

    LearnedPace learned() {
        return learned;
    }

    PacketDays.Packet nextPacket(StringKind kind) {
        return nextPacket.apply(kind);
    }

    /** {@return how an instrument stands; null where nothing says that its strings are changed} */
    @Nullable
    Standing standing(UUID instrumentId) {
        return standings.get(instrumentId);
    }

    /** {@return an instrument that work waits for; null where it lies on the bench already} */
    @Nullable
    Named named(UUID instrumentId) {
        return named.get(instrumentId);
    }

    Map<String, Interval> minutes(Family family, double usual) {
        return minutes.computeIfAbsent(new Sort(family, Set.of(), usual), sort -> minutesOfEach(family, ways -> usual));
    }

    /** A change takes each what it takes by their own ways. */
    Map<String, Interval> minutes(Family family, Set<Position> strings) {
        return minutes.computeIfAbsent(
                new Sort(family, strings, 0),
                sort -> minutesOfEach(
                        family,
                        ways -> UsualWork.ofStrings(family, strings, ways).minutes()));
    }

    /** Whoever asked said how long it takes; that is not learned. */
    Map<String, Interval> asSaid(int said) {
        return people.stream().collect(toMap(Function.identity(), person -> new Interval(said, said, said)));
    }

    private Map<String, Interval> minutesOfEach(Family family, ToDoubleFunction<Schools> usual) {
        return people.stream().collect(toMap(Function.identity(), person -> {
            Schools ways = learned.ways(family, person).orElseGet(() -> Schools.usual(family));
            return learned.minutes(new Work(family, ways, person), FinishedWork.USUAL.clamp(usual.applyAsDouble(ways)));
        }));
    }

    /** {@return the days from one to another on which an instrument is not at hand} */
    Set<LocalDate> away(UUID instrumentId, LocalDate from, LocalDate until) {
        Set<LocalDate> days = new TreeSet<>();
        for (NotAtHand.Days one : away.getOrDefault(instrumentId, List.of())) {
            for (LocalDate day = from; !day.isAfter(until); day = day.plusDays(1)) {
                if (!day.isBefore(one.from()) && !day.isAfter(one.until())) {
                    days.add(day);
                }
            }
        }
        return days;
    }

    List<SafeChange.Performance> performances(UUID instrumentId) {
        return performances.computeIfAbsent(
                instrumentId,
                id -> season.stream()
                        .filter(one -> one.concerns(id))
                        .map(one -> new SafeChange.Performance(one.steadiness(), one.beginsAt()))
                        .toList());
    }

    /** Most instruments are played at the same, and strung alike. */
    Set<LocalDate> closed(Played played) {
        return closed.computeIfAbsent(
                played, one -> StringsWindow.closed(one.cores(), one.performances(), today, furthest, zone));
    }

    Optional<Occasion> occasion(UUID instrumentId, SafeChange.Performance performance) {
        return season.stream()
                .filter(one -> one.concerns(instrumentId) && one.beginsAt().equals(performance.beginsAt()))
                .findFirst();
    }

    /** What is played on strings of some cores. */
    record Played(Set<StringCore> cores, List<SafeChange.Performance> performances) {}

    /** Work that takes as long as any other of its sort. */
    private record Sort(Family family, Set<Position> strings, double usual) {}
}
