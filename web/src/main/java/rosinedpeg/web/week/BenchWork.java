package rosinedpeg.web.week;

import static java.util.Objects.requireNonNull;
import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toMap;
import static java.util.stream.Collectors.toSet;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.dates.BridgeWatch;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.pace.FinishedWork;
import rosinedpeg.core.pace.LearnedPace;
import rosinedpeg.core.pace.Work;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.week.JobKind;
import rosinedpeg.core.week.StringsWindow;
import rosinedpeg.core.week.TwoSets;
import rosinedpeg.core.week.UsualWork;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.aftercare.OwedWork;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Pace;
import rosinedpeg.web.buying.PacketDays;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Named;
import rosinedpeg.web.instrument.NotAtHand;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.pegs.PegLooks;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.rack.Rack;
import rosinedpeg.web.settling.SettlingString;
import rosinedpeg.web.settling.Settlings;

/** Everything that waits for the bench in the weeks that are planned, with its minutes and its days. */
@Service
@Transactional(readOnly = true)
class BenchWork {

    /** So many days from today are planned. */
    static final int DAYS = 28;

    /** More instruments are not planned for: the first due first. */
    static final int MOST_DUE = 300;

    private static final int MOST_OWED = 100;
    private static final int MOST_SETTLING = 60;
    /** So many days after it is back from a repairer it is looked over at the latest. */
    private static final int LOOKED_OVER_WITHIN_DAYS = 2;

    private final Rack rack;
    private final Instruments instruments;
    private final Occasions occasions;
    private final Settlings settlings;
    private final Aftercare aftercare;
    private final Benches benches;
    private final PegLooks pegs;
    private final Notes notes;
    private final Pace pace;
    private final PacketDays packets;
    private final Wishes wishes;
    private final InTurn inTurn;
    private final List<NotAtHand> notAtHand;
    private final Clock clock;

    BenchWork(
            Rack rack,
            Instruments instruments,
            Occasions occasions,
            Settlings settlings,
            Aftercare aftercare,
            Benches benches,
            PegLooks pegs,
            Notes notes,
            Pace pace,
            PacketDays packets,
            Wishes wishes,
            InTurn inTurn,
            List<NotAtHand> notAtHand,
            Clock clock) {
        this.rack = rack;
        this.instruments = instruments;
        this.occasions = occasions;
        this.settlings = settlings;
        this.aftercare = aftercare;
        this.benches = benches;
        this.pegs = pegs;
        this.notes = notes;
        this.pace = pace;
        this.packets = packets;
        this.wishes = wishes;
        this.inTurn = inTurn;
        this.notAtHand = notAtHand;
        this.clock = clock;
    }

    /**
     * What waits.
     *
     * @param jobs the jobs, in the order of their last days
     * @param more whether more instruments fall due than are planned for
     * @param learned how long work takes here
     * @param young what settles on instruments now
     */
    record Waiting(List<Job> jobs, boolean more, LearnedPace learned, List<SettlingString> young) {}

    /** {@return the instruments with strings that are due in the weeks that are planned, one more than are planned for at most} */
    @Transactional
    List<UUID> due() {
        LocalDate until = CurrentWorkshop.today(clock).plusDays(DAYS);
        return rack.dueBy(until.atStartOfDay(CurrentWorkshop.zone()).toInstant(), MOST_DUE + 1);
    }

    /**
     * Gathers what waits for the bench.
     *
     * @param people who is ever at it
     * @param open the days on which anybody is
     * @param due the instruments with strings that are due, by {@link #due()}
     * @return that
     */
    Waiting waiting(Collection<String> people, Set<LocalDate> open, List<UUID> due) {
        Look look = new Look(people);
        List<Job> jobs = new ArrayList<>();
        Map<UUID, List<OwedWork>> owed = aftercare.owed(MOST_OWED);
        List<SettlingString> young = settlings.young(MOST_SETTLING);
        List<InTurn.Turns> turns = inTurn.all();
        Set<UUID> ids = new HashSet<>(due);
        turns.forEach(one -> ids.add(one.instrumentId()));
        ids.addAll(wishes.instruments());
        look.standings.putAll(instruments.standings(ids));
        List<Wish> wished = wishes.open();
        List<Wishes.Away> away = wishes.away();
        Set<UUID> referred =
                notes.referred(away.stream().map(Wishes.Away::instrumentId).collect(toSet()));
        Map<UUID, LocalDate> stiff = pegs.toTreat();
        look.standings.values().forEach(one -> look.named.put(one.id(), one.named()));
        // Of those whose strings stay on nobody asks how they stand.
        look.named.putAll(instruments.named(Stream.of(owed.keySet(), referred, stiff.keySet())
                .flatMap(Set::stream)
                .filter(id -> !look.named.containsKey(id))
                .collect(toSet())));
        Set<UUID> all = new HashSet<>(look.named.keySet());
        young.forEach(string -> all.add(string.instrument().id()));
        look.away.putAll(NotAtHand.of(notAtHand, all, look.today, look.furthest).stream()
                .collect(groupingBy(NotAtHand.Days::instrumentId)));
        // What lies on the bench already waits no more.
        benches.onBench().forEach(id -> {
            look.standings.remove(id);
            look.named.remove(id);
        });
        jobs.addAll(wished(look, wished));
        jobs.addAll(strings(look, due.stream().limit(MOST_DUE).toList(), changed(jobs)));
        jobs.addAll(turns(look, turns, changed(jobs).keySet()));
        jobs.addAll(back(look, away, referred));
        jobs.addAll(pegs(look, stiff, wished));
        jobs.addAll(owed(look, owed));
        jobs.addAll(bridges(look, young, open));
        jobs.sort(
                Comparator.comparing(Job::latest).thenComparing(Job::instrument).thenComparing(Job::key));
        return new Waiting(jobs, due.size() > MOST_DUE, look.learned, young);
    }

    /** {@return the strings that jobs change, by their instruments; none for those whose strings stay} */
    private static Map<UUID, Set<Position>> changed(List<Job> jobs) {
        Map<UUID, Set<Position>> changed = new HashMap<>();
        jobs.stream()
                .filter(Job::changesStrings)
                .forEach(job -> changed.computeIfAbsent(job.instrumentId(), none -> EnumSet.noneOf(Position.class))
                        .addAll(job.strings()));
        return changed;
    }

    /** What is looked at once for all jobs. */
    private final class Look {

        private final Instant now = clock.instant();
        private final ZoneId zone = CurrentWorkshop.zone();
        private final LocalDate today = now.atZone(zone).toLocalDate();
        private final LocalDate furthest = today.plusDays(DAYS - 1L);
        private final LearnedPace learned = pace.learned();
        private final Function<StringKind, PacketDays.Packet> nextPacket = packets.inTurn();
        private final List<Occasion> season = occasions.season();
        private final Map<UUID, Standing> standings = new HashMap<>();
        /** All of those, and the others that work waits for. */
        private final Map<UUID, Named> named = new HashMap<>();

        private final Map<UUID, List<NotAtHand.Days>> away = new HashMap<>();
        private final Collection<String> people;
        private final Map<Sort, Map<String, Interval>> minutes = new HashMap<>();
        private final Map<UUID, List<SafeChange.Performance>> performances = new HashMap<>();
        private final Map<Played, Set<LocalDate>> closed = new HashMap<>();

        Look(Collection<String> people) {
            this.people = people;
        }

        private Map<String, Interval> minutes(Family family, double usual) {
            return minutes.computeIfAbsent(
                    new Sort(family, Set.of(), usual), sort -> minutesOfEach(family, ways -> usual));
        }

        /** A change takes each what it takes by their own ways. */
        private Map<String, Interval> minutes(Family family, Set<Position> strings) {
            return minutes.computeIfAbsent(
                    new Sort(family, strings, 0),
                    sort -> minutesOfEach(
                            family,
                            ways -> UsualWork.ofStrings(family, strings, ways).minutes()));
        }

        /** Whoever asked said how long it takes; that is not learned. */
        private Map<String, Interval> asSaid(int said) {
            return people.stream().collect(toMap(Function.identity(), person -> new Interval(said, said, said)));
        }

        private Map<String, Interval> minutesOfEach(Family family, ToDoubleFunction<Schools> usual) {
            return people.stream().collect(toMap(Function.identity(), person -> {
                Schools ways = learned.ways(family, person).orElseGet(() -> Schools.usual(family));
                return learned.minutes(
                        new Work(family, ways, person), FinishedWork.USUAL.clamp(usual.applyAsDouble(ways)));
            }));
        }

        /** {@return the days from one to another on which an instrument is not at hand} */
        private Set<LocalDate> away(UUID instrumentId, LocalDate from, LocalDate until) {
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

        private List<SafeChange.Performance> performances(UUID instrumentId) {
            return performances.computeIfAbsent(
                    instrumentId,
                    id -> season.stream()
                            .filter(one -> one.concerns(id))
                            .map(one -> new SafeChange.Performance(one.steadiness(), one.beginsAt()))
                            .toList());
        }

        /** Most instruments are played at the same, and strung alike. */
        private Set<LocalDate> closed(Played played) {
            return closed.computeIfAbsent(
                    played, one -> StringsWindow.closed(one.cores(), one.performances(), today, furthest, zone));
        }

        private Optional<Occasion> occasion(UUID instrumentId, SafeChange.Performance performance) {
            return season.stream()
                    .filter(one -> one.concerns(instrumentId) && one.beginsAt().equals(performance.beginsAt()))
                    .findFirst();
        }
    }

    /** What is played on strings of some cores. */
    private record Played(Set<StringCore> cores, List<SafeChange.Performance> performances) {}

    /** Work that takes as long as any other of its sort. */
    private record Sort(Family family, Set<Position> strings, double usual) {}

    /** The strings of one instrument that are changed together. */
    private record Change(
            Standing standing,
            List<StringOn> strings,
            List<StringsWindow.Due> due,
            Instant latest,
            Optional<Occasion> played) {}

    /** What is asked for anyway is not changed twice. */
    private static List<Job> strings(Look look, Collection<UUID> ids, Map<UUID, Set<Position>> askedFor) {
        return ids.stream()
                .map(look.standings::get)
                .filter(standing -> standing != null)
                .map(standing -> change(
                        look,
                        standing,
                        due(look, standing).stream()
                                .filter(string -> !askedFor.getOrDefault(standing.id(), Set.of())
                                        .contains(string.position()))
                                .toList()))
                .filter(change -> !change.strings().isEmpty())
                .sorted(Comparator.comparing(Change::latest)
                        .thenComparing(change -> change.standing().name()))
                .map(change -> job(look, change, Optional.empty()))
                .toList();
    }

    /** {@return the strings of an instrument that are due in the weeks that are planned} */
    private static List<StringOn> due(Look look, Standing standing) {
        Instant end = look.furthest.plusDays(1).atStartOfDay(look.zone).toInstant();
        return standing.strings().stream()
                .filter(string -> string.dueAt(look.now).isBefore(end))
                .toList();
    }

    private static Change change(Look look, Standing standing, List<StringOn> strings) {
        List<SafeChange.Performance> performances = look.performances(standing.id());
        // What is changed together holds when the slowest of it does.
        if (strings.isEmpty()) {
            return new Change(standing, strings, List.of(), look.now, Optional.empty());
        }
        StringCore slowest = slowest(strings);
        List<StringsWindow.Due> due = strings.stream()
                .map(string -> {
                    Instant dueAt = string.dueAt(look.now);
                    return new StringsWindow.Due(dueAt, SafeChange.of(slowest, performances, dueAt, look.now));
                })
                .toList();
        Instant latest = due.stream()
                .map(string -> string.safe().latest())
                .min(Comparator.naturalOrder())
                .orElseThrow();
        Optional<Occasion> played = due.stream()
                .flatMap(string -> string.safe().playedFirst().stream())
                .min(Comparator.comparing(SafeChange.Performance::beginsAt))
                .flatMap(first -> look.occasion(standing.id(), first));
        return new Change(standing, strings, due, latest, played);
    }

    private static Job job(Look look, Change change, Optional<Wish> wish) {
        PacketDays.Packet packet = change.strings().stream()
                .map(string -> look.nextPacket.apply(string.kind()))
                .max(Comparator.comparing(PacketDays.Packet::on))
                .orElseThrow();
        StringsWindow window = StringsWindow.of(change.due(), packet.on(), look.today, look.furthest, look.zone);
        // Whoever said from when it is wanted has thought of what is played.
        LocalDate latest = wish.flatMap(Wish::byDay)
                .filter(day -> day.isBefore(window.latest())
                        || wish.flatMap(Wish::fromDay).isPresent() && !day.isAfter(look.furthest))
                .orElse(window.latest());
        // What was asked for need not be due.
        LocalDate earliest = wish.map(one -> from(one, packet.on())).orElse(window.earliest());
        return changing(
                look,
                change,
                wish.map(one -> "wish-" + one.id())
                        .orElse("strings-" + change.standing().id()),
                wish.isPresent() ? JobKind.WISHED : kind(change, window),
                earliest,
                latest,
                closed(look, change, window),
                Optional.of(packet),
                wish);
    }

    private static Job changing(
            Look look,
            Change change,
            String key,
            JobKind kind,
            LocalDate earliest,
            LocalDate latest,
            Set<LocalDate> closed,
            Optional<PacketDays.Packet> packet,
            Optional<Wish> wish) {
        Standing standing = change.standing();
        Family family = standing.family();
        Set<Position> positions = EnumSet.noneOf(Position.class);
        change.strings().forEach(string -> positions.add(string.position()));
        return new Job(
                key,
                kind,
                standing.id(),
                standing.name(),
                List.copyOf(positions),
                Optional.of(slowest(change.strings())),
                UsualWork.ofStrings(family, positions, Schools.usual(family)).kit(),
                look.minutes(family, positions),
                earliest,
                latest,
                look.away(standing.id(), earliest, look.furthest),
                closed,
                change.played(),
                packet,
                Optional.empty(),
                wish);
    }

    private static LocalDate from(Wish wish, LocalDate atOnce) {
        return wish.fromDay().filter(atOnce::isBefore).orElse(atOnce);
    }

    /** The last day of the window is in time, if only until some hour of it. */
    private static Set<LocalDate> closed(Look look, Change change, StringsWindow window) {
        Set<LocalDate> closed = closed(look, change);
        if (window.played()) {
            closed.remove(window.latest());
        }
        return closed;
    }

    private static Set<LocalDate> closed(Look look, Change change) {
        return new TreeSet<>(look.closed(new Played(
                change.strings().stream()
                        .map(string -> string.kind().spec().core())
                        .collect(toSet()),
                look.performances(change.standing().id()))));
    }

    private static JobKind kind(Change change, StringsWindow window) {
        if (change.strings().stream().allMatch(string -> string.fittedAt().isEmpty())) {
            return JobKind.AGE_UNKNOWN;
        }
        return window.played() ? JobKind.STRINGS_PLAYED : JobKind.STRINGS_DUE;
    }

    private static StringCore slowest(List<StringOn> strings) {
        return strings.stream()
                .map(string -> string.kind().spec().core())
                .max(Comparator.comparing(core -> ChangeWindow.settles(core, Steadiness.CONCERT)))
                .orElseThrow();
    }

    private static List<Job> wished(Look look, List<Wish> wished) {
        List<Job> jobs = new ArrayList<>();
        for (Wish wish : wished) {
            Standing standing = look.standings.get(wish.instrumentId());
            boolean later = wish.fromDay().filter(look.furthest::isBefore).isPresent();
            if (standing == null || later) {
                continue;
            }
            List<StringOn> strings = standing.strings().stream()
                    .filter(string -> wish.strings().contains(string.position()))
                    .toList();
            if (!strings.isEmpty()) {
                jobs.add(job(look, change(look, standing, strings), Optional.of(wish)));
            } else if (wish.kind() != WishKind.STRINGS) {
                Family family = standing.family();
                Map<String, Interval> minutes = wish.kind() == WishKind.OTHER
                        ? look.asSaid(wish.minutes())
                        : look.minutes(family, UsualWork.ofPegService(family).minutes());
                jobs.add(simple(
                        look,
                        "wish-" + wish.id(),
                        JobKind.WISHED,
                        standing.named(),
                        List.of(),
                        wish.kind() == WishKind.PEG_SERVICE
                                ? UsualWork.ofPegService(family).kit()
                                : Set.of(),
                        minutes,
                        from(wish, look.today),
                        wish.byDay().filter(day -> day.isBefore(look.furthest)).orElse(look.furthest),
                        Optional.empty(),
                        Optional.of(wish)));
            }
        }
        return jobs;
    }

    private static Job simple(
            Look look,
            String key,
            JobKind kind,
            Named instrument,
            List<Position> strings,
            Set<Material> kit,
            Map<String, Interval> minutes,
            LocalDate earliest,
            LocalDate latest,
            Optional<OwedWork> owed,
            Optional<Wish> wish) {
        LocalDate last = latest.isBefore(look.today) ? look.today : latest;
        return new Job(
                key,
                kind,
                instrument.id(),
                instrument.name(),
                strings,
                Optional.empty(),
                kit,
                minutes,
                earliest,
                last,
                look.away(instrument.id(), earliest, look.furthest),
                Set.of(),
                Optional.empty(),
                Optional.empty(),
                owed,
                wish);
    }

    /** Where two sets take turns, unless strings of that instrument are changed for another reason anyway. */
    private static List<Job> turns(Look look, List<InTurn.Turns> turns, Set<UUID> changed) {
        List<Job> jobs = new ArrayList<>();
        for (InTurn.Turns one : turns) {
            Standing standing = look.standings.get(one.instrumentId());
            if (standing == null || !standing.fullyStrung() || changed.contains(one.instrumentId())) {
                continue;
            }
            standing.strings().stream()
                    .flatMap(string -> string.fittedAt().stream())
                    .max(Comparator.naturalOrder())
                    .map(last -> TwoSets.next(last.atZone(look.zone).toLocalDate(), one.from(), one.weeks()))
                    .map(next -> next.isBefore(look.today) ? look.today : next)
                    .filter(earliest -> !earliest.isAfter(look.furthest))
                    .ifPresent(earliest -> jobs.add(turn(look, standing, earliest)));
        }
        return jobs;
    }

    private static Job turn(Look look, Standing standing, LocalDate earliest) {
        LocalDate inTime = earliest.plusDays(TwoSets.WITHIN_DAYS);
        LocalDate latest = inTime.isAfter(look.furthest) ? look.furthest : inTime;
        // It is not due, and nothing that is played asks for it.
        Change change = new Change(standing, standing.strings(), List.of(), look.now, Optional.empty());
        return changing(
                look,
                change,
                "turn-" + standing.id(),
                JobKind.SETS_IN_TURN,
                earliest,
                latest,
                closed(look, change),
                Optional.empty(),
                Optional.empty());
    }

    /** What is not at hand because a repairer has it is looked over when it is back, until somebody says that it was seen to. */
    private static List<Job> back(Look look, List<Wishes.Away> away, Set<UUID> referred) {
        List<Job> jobs = new ArrayList<>();
        for (Wishes.Away one : away) {
            Named instrument = look.named.get(one.instrumentId());
            LocalDate day = one.until().plusDays(1);
            if (instrument != null && referred.contains(one.instrumentId()) && !day.isAfter(look.furthest)) {
                LocalDate last = day.plusDays(LOOKED_OVER_WITHIN_DAYS);
                UsualWork usual = UsualWork.LOOKING_OVER;
                jobs.add(simple(
                        look,
                        "back-" + one.id(),
                        JobKind.BACK,
                        instrument,
                        List.of(),
                        usual.kit(),
                        look.minutes(instrument.family(), usual.minutes()),
                        day,
                        last.isAfter(look.furthest) ? look.furthest : last,
                        Optional.empty(),
                        Optional.empty()));
            }
        }
        return jobs;
    }

    /** Pegs that stick or slip, unless somebody asked for that anyway, or the instrument was served since they were looked at. */
    private List<Job> pegs(Look look, Map<UUID, LocalDate> stiff, List<Wish> wished) {
        Set<UUID> askedFor = wished.stream()
                .filter(wish -> wish.kind() == WishKind.PEG_SERVICE)
                .map(Wish::instrumentId)
                .collect(toSet());
        Map<UUID, Instant> served = benches.served(stiff.keySet());
        List<Job> jobs = new ArrayList<>();
        stiff.forEach((id, lookedOn) -> {
            Named instrument = look.named.get(id);
            boolean since = served.containsKey(id)
                    && !served.get(id).atZone(look.zone).toLocalDate().isBefore(lookedOn);
            if (instrument != null && !since && !askedFor.contains(id)) {
                Family family = instrument.family();
                UsualWork usual = UsualWork.ofPegService(family);
                jobs.add(simple(
                        look,
                        "pegs-" + id,
                        JobKind.PEGS,
                        instrument,
                        List.of(),
                        usual.kit(),
                        look.minutes(family, usual.minutes()),
                        look.today,
                        look.furthest,
                        Optional.empty(),
                        Optional.empty()));
            }
        });
        return jobs;
    }

    private static List<Job> owed(Look look, Map<UUID, List<OwedWork>> owed) {
        List<Job> jobs = new ArrayList<>();
        owed.forEach((id, work) -> {
            Named instrument = look.named.get(id);
            if (instrument != null) {
                work.forEach(one -> {
                    UsualWork usual = one.step() == null
                            ? UsualWork.RESTOCKING
                            : UsualWork.ofStep(
                                    requireNonNull(one.step()), one.strings().size());
                    jobs.add(simple(
                            look,
                            "owed-" + one.id(),
                            JobKind.OWED,
                            instrument,
                            one.strings(),
                            usual.kit(),
                            look.minutes(instrument.family(), usual.minutes()),
                            look.today,
                            look.furthest,
                            Optional.of(one),
                            Optional.empty()));
                });
            }
        });
        return jobs;
    }

    /**
     * A bridge is looked at on each of the days after its strings were changed, on that very day: at the bench when somebody is there
     * and the instrument is too, and otherwise by whoever has it.
     */
    private static List<Job> bridges(Look look, List<SettlingString> young, Set<LocalDate> open) {
        Map<UUID, SettlingString> latest = new LinkedHashMap<>();
        young.forEach(string -> latest.merge(
                string.instrument().id(),
                string,
                (one, other) -> one.fittedAt().isBefore(other.fittedAt()) ? other : one));
        List<Job> jobs = new ArrayList<>();
        for (SettlingString string : latest.values()) {
            LocalDate changed = string.fittedAt().atZone(look.zone).toLocalDate();
            for (int days = 0; days < BridgeWatch.DAYS; days++) {
                LocalDate day = look.today.plusDays(days);
                boolean here = look.away(string.instrument().id(), day, day).isEmpty();
                if (here && open.contains(day) && BridgeWatch.asksOn(changed, day)) {
                    jobs.add(bridge(look, string, day));
                }
            }
        }
        return jobs;
    }

    private static Job bridge(Look look, SettlingString string, LocalDate day) {
        UUID id = string.instrument().id();
        UsualWork usual = UsualWork.ofBridge();
        return new Job(
                "bridge-" + id + "-" + day,
                JobKind.BRIDGE,
                id,
                string.instrument().name(),
                List.of(),
                Optional.empty(),
                usual.kit(),
                look.minutes(string.instrument().family(), usual.minutes()),
                day,
                day,
                Set.of(),
                Set.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }
}
