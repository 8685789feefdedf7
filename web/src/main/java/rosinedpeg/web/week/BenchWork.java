package rosinedpeg.web.week;

import static java.util.Objects.requireNonNull;
import static java.util.stream.Collectors.groupingBy;
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
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.dates.BridgeWatch;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.pace.LearnedPace;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.week.JobKind;
import rosinedpeg.core.week.UsualWork;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.aftercare.OwedWork;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Pace;
import rosinedpeg.web.buying.PacketDays;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Named;
import rosinedpeg.web.instrument.NotAtHand;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
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
    private final InstrumentNames instrumentNames;
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
            InstrumentNames instrumentNames,
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
        this.instrumentNames = instrumentNames;
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
        Instant now = clock.instant();
        ZoneId zone = CurrentWorkshop.zone();
        LocalDate today = now.atZone(zone).toLocalDate();
        List<Job> jobs = new ArrayList<>();
        Map<UUID, List<OwedWork>> owed = aftercare.owed(MOST_OWED);
        List<SettlingString> young = settlings.young(MOST_SETTLING);
        List<InTurn.Turns> turns = inTurn.all();
        Set<UUID> ids = new HashSet<>(due);
        turns.forEach(one -> ids.add(one.instrumentId()));
        ids.addAll(wishes.instruments());
        Map<UUID, Standing> standings = new HashMap<>(instruments.standings(ids));
        List<Wish> wished = wishes.open();
        List<Wishes.Away> away = wishes.away();
        Set<UUID> referred =
                notes.referred(away.stream().map(Wishes.Away::instrumentId).collect(toSet()));
        Map<UUID, LocalDate> stiff = pegs.toTreat();
        Map<UUID, Named> named = new HashMap<>();
        standings.values().forEach(one -> named.put(one.id(), one.named()));
        // Of those whose strings stay on nobody asks how they stand.
        named.putAll(instrumentNames.named(Stream.of(owed.keySet(), referred, stiff.keySet())
                .flatMap(Set::stream)
                .filter(id -> !named.containsKey(id))
                .collect(toSet())));
        Set<UUID> all = new HashSet<>(named.keySet());
        young.forEach(string -> all.add(string.instrument().id()));
        Map<UUID, List<NotAtHand.Days>> notHere =
                NotAtHand.of(notAtHand, all, today, today.plusDays(DAYS - 1L)).stream()
                        .collect(groupingBy(NotAtHand.Days::instrumentId));
        // What lies on the bench already waits no more.
        Set<UUID> onBench = benches.onBench();
        standings.keySet().removeAll(onBench);
        named.keySet().removeAll(onBench);
        WeeksAhead ahead = new WeeksAhead(
                now,
                zone,
                DAYS,
                people,
                pace.learned(),
                packets.inTurn(),
                occasions.season(),
                standings,
                named,
                notHere);
        jobs.addAll(wished(ahead, wished));
        jobs.addAll(StringJobs.due(ahead, due.stream().limit(MOST_DUE).toList(), changed(jobs)));
        jobs.addAll(StringJobs.turns(ahead, turns, changed(jobs).keySet()));
        jobs.addAll(back(ahead, away, referred));
        jobs.addAll(pegs(ahead, stiff, wished));
        jobs.addAll(owed(ahead, owed));
        jobs.addAll(bridges(ahead, young, open));
        jobs.sort(
                Comparator.comparing(Job::latest).thenComparing(Job::instrument).thenComparing(Job::key));
        return new Waiting(jobs, due.size() > MOST_DUE, ahead.learned(), young);
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

    private static List<Job> wished(WeeksAhead ahead, List<Wish> wished) {
        List<Job> jobs = new ArrayList<>();
        for (Wish wish : wished) {
            Standing standing = ahead.standing(wish.instrumentId());
            boolean later = wish.fromDay().filter(ahead.furthest()::isBefore).isPresent();
            if (standing == null || later) {
                continue;
            }
            List<StringOn> strings = standing.strings().stream()
                    .filter(string -> wish.strings().contains(string.position()))
                    .toList();
            if (!strings.isEmpty()) {
                jobs.add(StringJobs.wished(ahead, standing, strings, wish));
            } else if (wish.kind() != WishKind.STRINGS) {
                Family family = standing.family();
                Map<String, Interval> minutes = wish.kind() == WishKind.OTHER
                        ? ahead.asSaid(wish.minutes())
                        : ahead.minutes(family, UsualWork.ofPegService(family).minutes());
                jobs.add(simple(
                        ahead,
                        "wish-" + wish.id(),
                        JobKind.WISHED,
                        standing.named(),
                        List.of(),
                        wish.kind() == WishKind.PEG_SERVICE
                                ? UsualWork.ofPegService(family).kit()
                                : Set.of(),
                        minutes,
                        wish.from(ahead.today()),
                        wish.byDay()
                                .filter(day -> day.isBefore(ahead.furthest()))
                                .orElse(ahead.furthest()),
                        Optional.empty(),
                        Optional.of(wish)));
            }
        }
        return jobs;
    }

    private static Job simple(
            WeeksAhead ahead,
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
        LocalDate last = latest.isBefore(ahead.today()) ? ahead.today() : latest;
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
                ahead.away(instrument.id(), earliest, ahead.furthest()),
                Set.of(),
                Optional.empty(),
                Optional.empty(),
                owed,
                wish);
    }

    /** What is not at hand because a repairer has it is looked over when it is back, until somebody says that it was seen to. */
    private static List<Job> back(WeeksAhead ahead, List<Wishes.Away> away, Set<UUID> referred) {
        List<Job> jobs = new ArrayList<>();
        for (Wishes.Away one : away) {
            Named instrument = ahead.named(one.instrumentId());
            LocalDate day = one.until().plusDays(1);
            if (instrument != null && referred.contains(one.instrumentId()) && !day.isAfter(ahead.furthest())) {
                LocalDate last = day.plusDays(LOOKED_OVER_WITHIN_DAYS);
                UsualWork usual = UsualWork.LOOKING_OVER;
                jobs.add(simple(
                        ahead,
                        "back-" + one.id(),
                        JobKind.BACK,
                        instrument,
                        List.of(),
                        usual.kit(),
                        ahead.minutes(instrument.family(), usual.minutes()),
                        day,
                        last.isAfter(ahead.furthest()) ? ahead.furthest() : last,
                        Optional.empty(),
                        Optional.empty()));
            }
        }
        return jobs;
    }

    /** Pegs that stick or slip, unless somebody asked for that anyway, or the instrument was served since they were looked at. */
    private List<Job> pegs(WeeksAhead ahead, Map<UUID, LocalDate> stiff, List<Wish> wished) {
        Set<UUID> askedFor = wished.stream()
                .filter(wish -> wish.kind() == WishKind.PEG_SERVICE)
                .map(Wish::instrumentId)
                .collect(toSet());
        Map<UUID, Instant> served = benches.served(stiff.keySet());
        List<Job> jobs = new ArrayList<>();
        stiff.forEach((id, lookedOn) -> {
            Named instrument = ahead.named(id);
            boolean since = served.containsKey(id)
                    && !served.get(id).atZone(ahead.zone()).toLocalDate().isBefore(lookedOn);
            if (instrument != null && !since && !askedFor.contains(id)) {
                Family family = instrument.family();
                UsualWork usual = UsualWork.ofPegService(family);
                jobs.add(simple(
                        ahead,
                        "pegs-" + id,
                        JobKind.PEGS,
                        instrument,
                        List.of(),
                        usual.kit(),
                        ahead.minutes(family, usual.minutes()),
                        ahead.today(),
                        ahead.furthest(),
                        Optional.empty(),
                        Optional.empty()));
            }
        });
        return jobs;
    }

    private static List<Job> owed(WeeksAhead ahead, Map<UUID, List<OwedWork>> owed) {
        List<Job> jobs = new ArrayList<>();
        owed.forEach((id, work) -> {
            Named instrument = ahead.named(id);
            if (instrument != null) {
                work.forEach(one -> {
                    UsualWork usual = one.step() == null
                            ? UsualWork.RESTOCKING
                            : UsualWork.ofStep(
                                    requireNonNull(one.step()), one.strings().size());
                    jobs.add(simple(
                            ahead,
                            "owed-" + one.id(),
                            JobKind.OWED,
                            instrument,
                            one.strings(),
                            usual.kit(),
                            ahead.minutes(instrument.family(), usual.minutes()),
                            ahead.today(),
                            ahead.furthest(),
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
    private static List<Job> bridges(WeeksAhead ahead, List<SettlingString> young, Set<LocalDate> open) {
        Map<UUID, SettlingString> latest = new LinkedHashMap<>();
        young.forEach(string -> latest.merge(
                string.instrument().id(),
                string,
                (one, other) -> one.fittedAt().isBefore(other.fittedAt()) ? other : one));
        List<Job> jobs = new ArrayList<>();
        for (SettlingString string : latest.values()) {
            LocalDate changed = string.fittedAt().atZone(ahead.zone()).toLocalDate();
            for (int days = 0; days < BridgeWatch.DAYS; days++) {
                LocalDate day = ahead.today().plusDays(days);
                boolean here = ahead.away(string.instrument().id(), day, day).isEmpty();
                if (here && open.contains(day) && BridgeWatch.asksOn(changed, day)) {
                    jobs.add(bridge(ahead, string, day));
                }
            }
        }
        return jobs;
    }

    private static Job bridge(WeeksAhead ahead, SettlingString string, LocalDate day) {
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
                ahead.minutes(string.instrument().family(), usual.minutes()),
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
