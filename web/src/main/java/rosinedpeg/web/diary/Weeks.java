package rosinedpeg.web.diary;

import static java.util.Objects.requireNonNull;
import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.maxBy;
import static java.util.stream.Collectors.toList;
import static java.util.stream.Collectors.toSet;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import rosinedpeg.core.dates.BridgeWatch;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.aftercare.OwedWork;
import rosinedpeg.web.drawing.WeekDrawing;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.rack.Rack;
import rosinedpeg.web.settling.SettlingString;
import rosinedpeg.web.settling.Settlings;

/**
 * The diary week by week: what is played, and what follows from it. However many instruments there are, no more is worked out than
 * a page shows.
 */
@Service
class Weeks {

    /** So many weeks are shown at a time. */
    static final int SHOWN = 4;
    /** Of every sort of work at most so much is told. */
    static final int MOST = 60;
    /** So much of every sort is told for one day where several weeks are shown; the day's own sheet tells the rest. */
    static final int FEW = 5;

    private static final int DAYS = 7;
    /** A string that holds most likely may still not, nine times in ten, so long after it went on. */
    private static final Duration JUST_STEADY = Duration.ofDays(14);

    private final Occasions occasions;
    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final Settlings settlings;
    private final Aftercare aftercare;
    private final Rack rack;
    private final Say say;
    private final Clock clock;
    private final TransactionTemplate reading;

    Weeks(
            Occasions occasions,
            Instruments instruments,
            InstrumentNames instrumentNames,
            Settlings settlings,
            Aftercare aftercare,
            Rack rack,
            Say say,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.occasions = occasions;
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.settlings = settlings;
        this.aftercare = aftercare;
        this.rack = rack;
        this.say = say;
        this.clock = clock;
        this.reading = new TransactionTemplate(transactions);
        reading.setReadOnly(true);
    }

    /** {@return the day it is} */
    LocalDate today(ZoneId zone) {
        return clock.instant().atZone(zone).toLocalDate();
    }

    /**
     * Some weeks.
     *
     * @param from a day of the first of them
     * @param zone the workshop's zone
     * @return them
     */
    Shown weeks(LocalDate from, ZoneId zone) {
        LocalDate monday = from.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        Instant end = start(monday.plusDays((long) SHOWN * DAYS), zone);
        List<UUID> due = due(end);
        return read(() -> weeks(monday, end, due, zone));
    }

    private Shown weeks(LocalDate monday, Instant end, List<UUID> due, ZoneId zone) {
        List<Occasion> dates = occasions.between(start(monday, zone), end);
        List<SettlingString> young = settlings.young(MOST + 1);
        Follows follows = follows(end, due, young, zone);
        Map<LocalDate, List<Told>> told = follows.told().stream().collect(groupingBy(one -> one.day(zone)));
        List<Loss> losses = young.stream().map(Loss::of).toList();
        return new Shown(
                IntStream.range(0, SHOWN)
                        .mapToObj(week -> week(monday.plusDays((long) week * DAYS), dates, told, losses, zone))
                        .toList(),
                names(dates),
                occasions.season().isEmpty(),
                follows.more());
    }

    /**
     * The instruments whose strings fall due by then or a little later: what is due later may have to be changed before, since nothing
     * holds at once. What the rack does not know is worked out for it, so that this comes before all that only reads.
     */
    private List<UUID> due(Instant until) {
        return until.isAfter(clock.instant()) ? rack.dueBy(until.plus(Duration.ofDays(DAYS)), MOST + 1) : List.of();
    }

    private <T> T read(Supplier<T> work) {
        return requireNonNull(reading.execute(status -> work.get()));
    }

    private Map<UUID, String> names(List<Occasion> dates) {
        return instrumentNames.of(
                dates.stream().flatMap(one -> one.what().instruments().stream()).collect(toSet()));
    }

    /**
     * Some weeks.
     *
     * @param weeks them
     * @param names what the instruments are called that their dates name
     * @param nothingToCome whether nothing is to be played, then or later
     * @param more whether more follows in them than is told
     */
    record Shown(List<Week> weeks, Map<UUID, String> names, boolean nothingToCome, boolean more) {}

    private record Follows(List<Told> told, boolean more) {}

    /**
     * A single day.
     *
     * @param day the day
     * @param names what the instruments are called that its dates name
     */
    record Sheet(Day day, Map<UUID, String> names) {}

    /** {@return a single day} */
    Sheet day(LocalDate day, ZoneId zone) {
        Instant end = start(day.plusDays(1), zone);
        List<UUID> due = due(end);
        return read(() -> {
            List<Told> told = told(end, due, zone).stream()
                    .filter(one -> one.day(zone).equals(day))
                    .toList();
            Day shown = day(day, occasions.between(start(day, zone), end), told, zone);
            return new Sheet(shown, names(shown.played()));
        });
    }

    private Week week(
            LocalDate monday, List<Occasion> dates, Map<LocalDate, List<Told>> told, List<Loss> losses, ZoneId zone) {
        List<LocalDate> days =
                IntStream.range(0, DAYS).mapToObj(monday::plusDays).toList();
        LocalDate today = today(zone);
        Instant end = start(monday.plusDays(DAYS), zone);
        return new Week(
                monday,
                monday.plusDays(DAYS - 1L),
                dates.stream()
                        .filter(one -> one.kind().takesDays()
                                && one.beginsAt().isBefore(end)
                                && one.what().endsAt().isAfter(start(monday, zone)))
                        .toList(),
                days.stream()
                        .map(day -> day(day, dates, told.getOrDefault(day, List.of()), zone))
                        .filter(day -> !day.isEmpty() || day.day().equals(today))
                        .toList(),
                WeekDrawing.of(
                        Stream.concat(days.stream(), Stream.of(monday.plusDays(DAYS)))
                                .map(day -> start(day, zone))
                                .toList(),
                        days.stream().map(say::dayOfWeek).toList(),
                        dates.stream()
                                .filter(one -> !one.kind().takesDays() && within(one.beginsAt(), monday, zone))
                                .map(one -> new WeekDrawing.Played(one.kind(), one.beginsAt()))
                                .toList(),
                        days.stream()
                                .flatMap(day -> told.getOrDefault(day, List.of()).stream())
                                .filter(Told::isChange)
                                .map(Told::at)
                                .toList(),
                        moment -> losses.stream()
                                .mapToDouble(loss -> loss.toCome(moment))
                                .max()
                                .orElse(0),
                        clock.instant()));
    }

    private static boolean within(Instant moment, LocalDate monday, ZoneId zone) {
        LocalDate day = moment.atZone(zone).toLocalDate();
        return !day.isBefore(monday) && day.isBefore(monday.plusDays(DAYS));
    }

    /**
     * What a new string loses.
     *
     * @param string the string
     * @param steadyAt when it holds for a concert
     */
    private record Loss(SettlingString string, Instant steadyAt) {

        static Loss of(SettlingString string) {
            return new Loss(string, string.steadyAt(Steadiness.CONCERT));
        }

        /** {@return the share of it that is still to come at a moment; none before it is on, and none once it holds} */
        double toCome(Instant moment) {
            return moment.isBefore(string.fittedAt()) || !moment.isBefore(steadyAt)
                    ? 0
                    : 1
                            - string.forecast().lostCents(string.hoursAt(moment))
                                    / string.forecast().totalCents();
        }
    }

    private static Day day(LocalDate day, List<Occasion> dates, List<Told> told, ZoneId zone) {
        Map<Told.Kind, List<Told>> ofDay = new LinkedHashMap<>();
        for (Told.Kind kind : Told.Kind.values()) {
            List<Told> ofKind = told.stream().filter(one -> one.kind() == kind).toList();
            if (!ofKind.isEmpty()) {
                ofDay.put(kind, ofKind);
            }
        }
        return new Day(
                day,
                dates.stream()
                        .filter(one -> !one.kind().takesDays()
                                && one.beginsAt().atZone(zone).toLocalDate().equals(day))
                        .toList(),
                ofDay);
    }

    /** {@return all that follows between now and then, the earliest first} */
    List<Told> told(Instant until, ZoneId zone) {
        List<UUID> due = due(until);
        return read(() -> told(until, due, zone));
    }

    private List<Told> told(Instant until, List<UUID> due, ZoneId zone) {
        return follows(until, due, settlings.young(MOST), zone).told();
    }

    private Follows follows(Instant until, List<UUID> due, List<SettlingString> young, ZoneId zone) {
        Instant now = clock.instant();
        if (!until.isAfter(now)) {
            return new Follows(List.of(), false);
        }
        Map<UUID, List<OwedWork>> owed = aftercare.owed(MOST + 1);
        boolean more = due.size() > MOST
                || young.size() > MOST
                || owed.values().stream().mapToInt(List::size).sum() > MOST;
        List<Told> told = Stream.of(
                        changes(due, zone, now), holding(young, zone, now), bridges(young, zone, now), owed(owed, now))
                .flatMap(Collection::stream)
                .filter(one -> one.at().isBefore(until))
                .sorted(Comparator.comparing(Told::at).thenComparing(Told::instrument))
                .toList();
        return new Follows(told, more);
    }

    private List<Told> changes(List<UUID> due, ZoneId zone, Instant now) {
        List<Occasion> season = occasions.season();
        Map<UUID, Standing> standings = instruments.standings(due);
        List<Told> told = new ArrayList<>();
        for (UUID id : due) {
            Standing standing = standings.get(id);
            if (standing != null) {
                List<Occasion> played =
                        season.stream().filter(one -> one.concerns(id)).toList();
                List<SafeChange.Performance> performances = played.stream()
                        .map(one -> new SafeChange.Performance(one.steadiness(), one.beginsAt()))
                        .toList();
                told.addAll(together(
                        standing.strings().stream()
                                .map(string -> change(standing, string, played, performances, now))
                                .toList(),
                        zone));
            }
        }
        return told;
    }

    private static Told change(
            Standing standing,
            StringOn string,
            List<Occasion> played,
            List<SafeChange.Performance> performances,
            Instant now) {
        Instant due = string.dueAt(now);
        SafeChange safe = SafeChange.of(string.kind().spec().core(), performances, due, now);
        Instant at = due.isAfter(now) && due.isBefore(safe.latest()) ? due : safe.latest();
        return new Told(
                string.fittedAt().isPresent() ? Told.Kind.CHANGE : Told.Kind.AGE_UNKNOWN,
                standing.id(),
                standing.name(),
                List.of(string.position()),
                string.fittedId(),
                at,
                due.isAfter(now) ? due : null,
                safe.latest(),
                safe.playedFirst().flatMap(first -> at(first, played)).orElse(null),
                safe.tooSoon().flatMap(first -> at(first, played)).orElse(null),
                null);
    }

    private static Optional<Occasion> at(SafeChange.Performance performance, List<Occasion> played) {
        return played.stream()
                .filter(one -> one.beginsAt().equals(performance.beginsAt()))
                .findFirst();
    }

    /**
     * Strings of one instrument for which the same is told on one day stand in one line: what has to be done at the earliest of
     * their moments, what holds at the latest.
     */
    private static List<Told> together(List<Told> ofStrings, ZoneId zone) {
        return ofStrings.stream()
                .collect(groupingBy(
                        one -> List.of(
                                one.kind(), one.day(zone), Optional.ofNullable(one.playedFirst()), one.due() == null),
                        LinkedHashMap::new,
                        toList()))
                .values()
                .stream()
                .map(same -> {
                    Comparator<Told> byMoment = Comparator.comparing(Told::at);
                    Told one = same.stream()
                            .min(same.get(0).isChange() ? byMoment : byMoment.reversed())
                            .orElseThrow();
                    return one.of(same.stream()
                            .flatMap(told -> told.strings().stream())
                            .distinct()
                            .sorted()
                            .toList());
                })
                .toList();
    }

    private static List<Told> holding(List<SettlingString> young, ZoneId zone, Instant now) {
        List<Told> told = new ArrayList<>();
        // Those that held long ago are not asked again between when and when they came to hold.
        List<SettlingString> open = young.stream()
                .filter(string ->
                        string.unsteadyAt(now) || now.isBefore(string.fittedAt().plus(JUST_STEADY)))
                .toList();
        for (Map.Entry<Told.Kind, Steadiness> kind : Map.of(
                        Told.Kind.HOLDS_REHEARSAL, Steadiness.REHEARSAL, Told.Kind.HOLDS_CONCERT, Steadiness.CONCERT)
                .entrySet()) {
            Map<UUID, List<Told>> ofInstruments = open.stream()
                    .map(string -> Told.of(
                            kind.getKey(),
                            string.instrument().id(),
                            string.instrument().name(),
                            List.of(string.position()),
                            string.fittedId(),
                            string.steadyBetween(kind.getValue()).latest()))
                    .filter(one -> one.at().isAfter(now))
                    .collect(groupingBy(Told::instrumentId, LinkedHashMap::new, toList()));
            ofInstruments.values().forEach(one -> told.addAll(together(one, zone)));
        }
        return told;
    }

    private static List<Told> bridges(List<SettlingString> young, ZoneId zone, Instant now) {
        LocalDate today = now.atZone(zone).toLocalDate();
        Map<UUID, Optional<SettlingString>> latest = young.stream()
                .collect(groupingBy(
                        string -> string.instrument().id(),
                        LinkedHashMap::new,
                        maxBy(Comparator.comparing(SettlingString::fittedAt))));
        List<Told> told = new ArrayList<>();
        latest.values()
                .forEach(one -> one.ifPresent(string -> {
                    LocalDate changed = string.fittedAt().atZone(zone).toLocalDate();
                    for (int days = 0; days < BridgeWatch.DAYS; days++) {
                        LocalDate day = today.plusDays(days);
                        if (BridgeWatch.asksOn(changed, day)) {
                            told.add(Told.of(
                                    Told.Kind.BRIDGE,
                                    string.instrument().id(),
                                    string.instrument().name(),
                                    List.of(),
                                    null,
                                    days == 0 ? now : start(day, zone)));
                        }
                    }
                }));
        return told;
    }

    private List<Told> owed(Map<UUID, List<OwedWork>> owed, Instant now) {
        Map<UUID, String> names = instrumentNames.of(owed.keySet());
        List<Told> told = new ArrayList<>();
        owed.forEach((id, work) -> {
            String name = names.get(id);
            if (name != null) {
                work.forEach(one -> told.add(
                        new Told(Told.Kind.OWED, id, name, one.strings(), null, now, null, null, null, null, one)));
            }
        });
        return told;
    }

    private static Instant start(LocalDate day, ZoneId zone) {
        return day.atStartOfDay(zone).toInstant();
    }
}
