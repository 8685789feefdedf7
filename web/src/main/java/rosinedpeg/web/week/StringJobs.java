package rosinedpeg.web.week;

import static java.util.stream.Collectors.toSet;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.week.JobKind;
import rosinedpeg.core.week.StringsWindow;
import rosinedpeg.core.week.TwoSets;
import rosinedpeg.core.week.UsualWork;
import rosinedpeg.web.buying.PacketDays;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.occasions.Occasion;

/** Strings that are changed: those that are due, those that somebody asked for, and sets that take turns. Each goes on in time for what is played. */
final class StringJobs {

    private StringJobs() {}

    /** The strings of one instrument that are changed together. */
    private record Change(
            Standing standing,
            List<StringOn> strings,
            List<StringsWindow.Due> due,
            Instant latest,
            Optional<Occasion> played) {}

    /** What is asked for anyway is not changed twice. */
    static List<Job> due(WeeksAhead ahead, Collection<UUID> ids, Map<UUID, Set<Position>> askedFor) {
        return ids.stream()
                .map(ahead::standing)
                .filter(standing -> standing != null)
                .map(standing -> change(
                        ahead,
                        standing,
                        due(ahead, standing).stream()
                                .filter(string -> !askedFor.getOrDefault(standing.id(), Set.of())
                                        .contains(string.position()))
                                .toList()))
                .filter(change -> !change.strings().isEmpty())
                .sorted(Comparator.comparing(Change::latest)
                        .thenComparing(change -> change.standing().name()))
                .map(change -> job(ahead, change, Optional.empty()))
                .toList();
    }

    /** {@return the change of strings that somebody asked for; they need not be due} */
    static Job wished(WeeksAhead ahead, Standing standing, List<StringOn> strings, Wish wish) {
        return job(ahead, change(ahead, standing, strings), Optional.of(wish));
    }

    /** {@return the strings of an instrument that are due in the weeks that are planned} */
    private static List<StringOn> due(WeeksAhead ahead, Standing standing) {
        Instant end = ahead.furthest().plusDays(1).atStartOfDay(ahead.zone()).toInstant();
        return standing.strings().stream()
                .filter(string -> string.dueAt(ahead.now()).isBefore(end))
                .toList();
    }

    private static Change change(WeeksAhead ahead, Standing standing, List<StringOn> strings) {
        List<SafeChange.Performance> performances = ahead.performances(standing.id());
        // What is changed together holds when the slowest of it does.
        if (strings.isEmpty()) {
            return new Change(standing, strings, List.of(), ahead.now(), Optional.empty());
        }
        StringCore slowest = slowest(strings);
        List<StringsWindow.Due> due = strings.stream()
                .map(string -> {
                    Instant dueAt = string.dueAt(ahead.now());
                    return new StringsWindow.Due(dueAt, SafeChange.of(slowest, performances, dueAt, ahead.now()));
                })
                .toList();
        Instant latest = due.stream()
                .map(string -> string.safe().latest())
                .min(Comparator.naturalOrder())
                .orElseThrow();
        Optional<Occasion> played = due.stream()
                .flatMap(string -> string.safe().playedFirst().stream())
                .min(Comparator.comparing(SafeChange.Performance::beginsAt))
                .flatMap(first -> ahead.occasion(standing.id(), first));
        return new Change(standing, strings, due, latest, played);
    }

    private static Job job(WeeksAhead ahead, Change change, Optional<Wish> wish) {
        PacketDays.Packet packet = change.strings().stream()
                .map(string -> ahead.nextPacket(string.kind()))
                .max(Comparator.comparing(PacketDays.Packet::on))
                .orElseThrow();
        StringsWindow window =
                StringsWindow.of(change.due(), packet.on(), ahead.today(), ahead.furthest(), ahead.zone());
        // Whoever said from when it is wanted has thought of what is played.
        LocalDate latest = wish.flatMap(Wish::byDay)
                .filter(day -> day.isBefore(window.latest())
                        || wish.flatMap(Wish::fromDay).isPresent() && !day.isAfter(ahead.furthest()))
                .orElse(window.latest());
        // What was asked for need not be due.
        LocalDate earliest = wish.map(one -> one.from(packet.on())).orElse(window.earliest());
        return changing(
                ahead,
                change,
                wish.map(one -> "wish-" + one.id())
                        .orElse("strings-" + change.standing().id()),
                wish.isPresent() ? JobKind.WISHED : kind(change, window),
                earliest,
                latest,
                closed(ahead, change, window),
                Optional.of(packet),
                wish);
    }

    private static Job changing(
            WeeksAhead ahead,
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
                ahead.minutes(family, positions),
                earliest,
                latest,
                ahead.away(standing.id(), earliest, ahead.furthest()),
                closed,
                change.played(),
                packet,
                Optional.empty(),
                wish);
    }

    /** The last day of the window is in time, if only until some hour of it. */
    private static Set<LocalDate> closed(WeeksAhead ahead, Change change, StringsWindow window) {
        Set<LocalDate> closed = closed(ahead, change);
        if (window.played()) {
            closed.remove(window.latest());
        }
        return closed;
    }

    private static Set<LocalDate> closed(WeeksAhead ahead, Change change) {
        return new TreeSet<>(ahead.closed(new WeeksAhead.Played(
                change.strings().stream()
                        .map(string -> string.kind().spec().core())
                        .collect(toSet()),
                ahead.performances(change.standing().id()))));
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

    /** Where two sets take turns, unless strings of that instrument are changed for another reason anyway. */
    static List<Job> turns(WeeksAhead ahead, List<InTurn.Turns> turns, Set<UUID> changed) {
        List<Job> jobs = new ArrayList<>();
        for (InTurn.Turns one : turns) {
            Standing standing = ahead.standing(one.instrumentId());
            if (standing == null || !standing.fullyStrung() || changed.contains(one.instrumentId())) {
                continue;
            }
            standing.strings().stream()
                    .flatMap(string -> string.fittedAt().stream())
                    .max(Comparator.naturalOrder())
                    .map(last -> TwoSets.next(last.atZone(ahead.zone()).toLocalDate(), one.from(), one.weeks()))
                    .map(next -> next.isBefore(ahead.today()) ? ahead.today() : next)
                    .filter(earliest -> !earliest.isAfter(ahead.furthest()))
                    .ifPresent(earliest -> jobs.add(turn(ahead, standing, earliest)));
        }
        return jobs;
    }

    private static Job turn(WeeksAhead ahead, Standing standing, LocalDate earliest) {
        LocalDate inTime = earliest.plusDays(TwoSets.WITHIN_DAYS);
        LocalDate latest = inTime.isAfter(ahead.furthest()) ? ahead.furthest() : inTime;
        // It is not due, and nothing that is played asks for it.
        Change change = new Change(standing, standing.strings(), List.of(), ahead.now(), Optional.empty());
        return changing(
                ahead,
                change,
                "turn-" + standing.id(),
                JobKind.SETS_IN_TURN,
                earliest,
                latest,
                closed(ahead, change),
                Optional.empty(),
                Optional.empty());
    }
}
