package rosinedpeg.web.rack;

import static java.util.Objects.requireNonNull;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.wear.Span;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.OpenRuns;
import rosinedpeg.web.bench.Run;
import rosinedpeg.web.bench.UnreadableRun;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.findings.Referral;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentAdded;
import rosinedpeg.web.instrument.InstrumentBroughtBack;
import rosinedpeg.web.instrument.InstrumentEdited;
import rosinedpeg.web.instrument.InstrumentEvent;
import rosinedpeg.web.instrument.InstrumentRetired;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.kinds.KindDescribed;
import rosinedpeg.web.kinds.LifeLearned;
import rosinedpeg.web.occasions.HolidaysChanged;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.occasions.PlayedOtherwise;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.ZoneChanged;
import rosinedpeg.web.rack.RackEntry.Look;
import rosinedpeg.web.settling.SettlingString;
import rosinedpeg.web.settling.Settlings;

/**
 * Every instrument of the workshop, what most wants hands first. The place of each is kept from one look to the next: what
 * happens to an instrument makes its place out of date, as do the days at which its strings become due or hold, and only
 * places that are out of date are worked out again.
 */
@Service
public class Rack {

    /** So many places are worked out at a time. */
    private static final Limit AT_A_TIME = Limit.of(500);

    /** As good as for ever: later than any string lasts, and a year that every database can keep. */
    private static final Instant NEVER = Instant.parse("9999-01-01T00:00:00Z");

    private final RackPlaceRepository places;
    private final DueStringRepository strings;
    private final Instruments instruments;
    private final Benches benches;
    private final Settlings settlings;
    private final Notes notes;
    private final Occasions occasions;
    private final RackRows rows;
    private final Clock clock;

    Rack(
            RackPlaceRepository places,
            DueStringRepository strings,
            Instruments instruments,
            Benches benches,
            Settlings settlings,
            Notes notes,
            Occasions occasions,
            RackRows rows,
            Clock clock) {
        this.places = places;
        this.strings = strings;
        this.instruments = instruments;
        this.benches = benches;
        this.settlings = settlings;
        this.notes = notes;
        this.occasions = occasions;
        this.rows = rows;
        this.clock = clock;
    }

    /**
     * The rack, or the part of it that fits on a page.
     *
     * @param find part of a name, whatever its case; empty for all
     * @param from how many come before
     * @return that
     */
    @Transactional
    RackPage page(String find, int from) {
        bringUpToDate();
        String wanted = find.toLowerCase(Locale.ROOT);
        Pageable window = ListPage.after(from);
        ListPage<RackPlaceEntity> part =
                ListPage.of(wanted.isEmpty() ? places.inOrder(window) : places.inOrder(wanted, window));
        int all = wanted.isEmpty() ? part.total() : (int) places.count();
        return new RackPage(
                entries(part),
                find,
                all,
                all > ListPage.MOST,
                places.countUpTo(Need.lastThatWantsHands()),
                instruments.retiredCount(),
                occasions.toCome());
    }

    /** {@return the instruments with a string that will be due by then, the first due first, and no more than so many} */
    @Transactional
    public List<UUID> dueBy(Instant then, int most) {
        bringUpToDate();
        return places.dueBy(then, Limit.of(most));
    }

    /** {@return the strings of all instruments that are due by a day} */
    @Transactional
    public DueStrings due(LocalDate until) {
        bringUpToDate();
        return new DueStrings(strings, until, CurrentWorkshop.zone(), clock.instant());
    }

    /** Something happened to an instrument. */
    @EventListener
    void outdate(InstrumentEvent event) {
        if (event instanceof InstrumentAdded added) {
            places.save(new RackPlaceEntity(added.instrumentId(), added.name(), added.at()));
        } else if (event instanceof InstrumentBroughtBack back) {
            places.save(new RackPlaceEntity(back.instrumentId(), back.name(), back.arrivedAt()));
        } else if (event instanceof InstrumentRetired) {
            // Whoever works it out just now is done with it first, and what they wrote goes too.
            places.deleteById(event.instrumentId());
            places.flush();
            strings.deleteOn(event.instrumentId());
        } else if (event instanceof InstrumentEdited edited) {
            places.findById(event.instrumentId()).ifPresent(place -> place.rename(edited.name()));
        } else {
            places.outdate(event.instrumentId(), Instant.EPOCH);
        }
    }

    /** Every string has been played more, or less, than was reckoned. */
    @EventListener
    void outdate(HolidaysChanged event) {
        places.outdateAll(Instant.EPOCH);
    }

    /** The day on which a string is due is another one elsewhere. */
    @EventListener
    void outdate(ZoneChanged event) {
        places.outdateAll(Instant.EPOCH);
    }

    /** Every string of a kind is more worn, or less, than was reckoned. */
    @EventListener
    void outdate(LifeLearned event) {
        places.outdateWith(event.kindId(), Instant.EPOCH);
    }

    /** The same: how long it is thought to last may be another now. */
    @EventListener
    void outdate(KindDescribed event) {
        places.outdateWith(event.kindId(), Instant.EPOCH);
    }

    /** Some instruments have been played more, or less, than was reckoned. */
    @EventListener
    void outdate(PlayedOtherwise event) {
        event.instrumentIds().forEach(one -> places.outdate(one, Instant.EPOCH));
    }

    /** Works out some of what is out of date, and says whether there may be more. */
    @Transactional
    boolean keepUp() {
        return workOutSome(clock.instant());
    }

    private void bringUpToDate() {
        Instant now = clock.instant();
        boolean more;
        do {
            more = workOutSome(now);
        } while (more);
    }

    /** {@return whether there may be more} */
    private boolean workOutSome(Instant now) {
        List<UUID> outdated = places.outdated(now, AT_A_TIME);
        if (!outdated.isEmpty()) {
            // Whoever else looks just now may have worked some of them out while this waited.
            workOut(places.stillOutdated(outdated.toArray(UUID[]::new), now), now);
            places.flush();
        }
        return outdated.size() == AT_A_TIME.max();
    }

    private void workOut(Collection<RackPlaceEntity> outdated, Instant now) {
        if (outdated.isEmpty()) {
            return;
        }
        List<UUID> ids = outdated.stream().map(RackPlaceEntity::instrumentId).toList();
        Map<UUID, Standing> standings = instruments.standings(ids);
        Map<UUID, List<SettlingString>> settling = settling(standings.values());
        Set<UUID> onBench = benches.onBench(ids);
        Set<UUID> referred = notes.referred(ids);
        LocalDate monday = now.atZone(CurrentWorkshop.zone())
                .toLocalDate()
                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        Map<UUID, List<Span>> played = occasions.played(ids, start(monday));
        List<Span> holidays = occasions.holidays();
        strings.deleteOn(ids.toArray(UUID[]::new));
        for (RackPlaceEntity place : outdated) {
            UUID id = place.instrumentId();
            List<SettlingString> young = settling.getOrDefault(id, List.of());
            Standing standing = requireNonNull(standings.get(id));
            Need need = Need.of(standing, onBench.contains(id), referred.contains(id), !young.isEmpty());
            place.take(
                    need,
                    until(
                            standing,
                            young,
                            played.getOrDefault(id, List.of()),
                            start(monday.plusWeeks(1)),
                            holidays,
                            now),
                    firstDue(standing, now));
            strings.saveAll(dueStrings(standing, holidays, now));
        }
    }

    private static List<DueStringEntity> dueStrings(Standing instrument, List<Span> holidays, Instant now) {
        boolean holiday = holidays.stream().anyMatch(one -> one.holds(now));
        return instrument.strings().stream()
                .map(string -> new DueStringEntity(
                        instrument,
                        string,
                        now,
                        string.state().isDue()
                                ? null
                                : string.dueAt(now)
                                        .atZone(CurrentWorkshop.zone())
                                        .toLocalDate(),
                        string.rate(holiday)))
                .toList();
    }

    private static @Nullable Instant firstDue(Standing instrument, Instant now) {
        return instrument.strings().stream()
                .map(string -> string.dueAt(now))
                .min(Instant::compareTo)
                .orElse(null);
    }

    private static Instant start(LocalDate day) {
        return day.atStartOfDay(CurrentWorkshop.zone()).toInstant();
    }

    /**
     * When time alone gives an instrument another place: as one of its strings comes nearer to its end, or holds, or was played; or uses
     * its strings up faster or more slowly, as a holiday begins or ends. In a week in which it was played by the dates that name it the usual
     * hours count again from the next Monday on.
     */
    private static Instant until(
            Standing instrument,
            List<SettlingString> settling,
            List<Span> played,
            Instant nextWeek,
            List<Span> holidays,
            Instant now) {
        return Stream.of(
                        instrument.strings().stream()
                                .map(string -> string.stateUntil(now))
                                .flatMap(Optional::stream),
                        settling.stream().map(string -> string.steadyAt(Steadiness.CONCERT)),
                        played.stream().map(date -> date.until().isAfter(now) ? date.until() : nextWeek),
                        holidays.stream().flatMap(one -> Stream.of(one.from(), one.until())))
                .flatMap(Function.identity())
                .filter(moment -> moment.isAfter(now))
                .min(Instant::compareTo)
                .orElse(NEVER);
    }

    private Map<UUID, List<SettlingString>> settling(Collection<Standing> standings) {
        return settlings.among(standings).stream()
                .collect(Collectors.groupingBy(string -> string.instrument().id()));
    }

    /** Reads no more than what has to be laid out. */
    private ListPage<RackEntry> entries(ListPage<RackPlaceEntity> part) {
        Instant now = clock.instant();
        Locale locale = LocaleContextHolder.getLocale();
        Map<UUID, Long> sequences = benches.lastSequences(part.shown().stream()
                .filter(RackPlaceEntity::onBench)
                .map(RackPlaceEntity::instrumentId)
                .toList());
        Map<UUID, Look> looks = new LinkedHashMap<>();
        for (RackPlaceEntity place : part.shown()) {
            looks.put(
                    place.instrumentId(),
                    Look.at(
                            now,
                            place.edition(),
                            sequences.getOrDefault(place.instrumentId(), 0L),
                            part.from() > 0 && looks.isEmpty(),
                            locale,
                            CurrentWorkshop.zone()));
        }
        Map<UUID, RackEntry> entries = new HashMap<>();
        looks.forEach((id, look) -> rows.kept(look).ifPresent(html -> entries.put(id, RackEntry.kept(look, html))));
        List<UUID> others =
                looks.keySet().stream().filter(id -> !entries.containsKey(id)).toList();
        if (!others.isEmpty()) {
            rows(others).forEach((id, row) -> entries.put(id, RackEntry.of(requireNonNull(looks.get(id)), row)));
        }
        return part.flatMap(place -> Optional.ofNullable(entries.get(place.instrumentId())));
    }

    private Map<UUID, RackRow> rows(List<UUID> ids) {
        Map<UUID, Instrument> shown = instruments.of(ids);
        Map<UUID, List<Referral>> referrals = notes.referrals(ids);
        Map<UUID, List<SettlingString>> settling =
                settling(shown.values().stream().map(Instrument::standing).toList());
        OpenRuns open = benches.open(ids);
        Map<UUID, Run> runs = open.runs().stream().collect(Collectors.toMap(Run::instrumentId, Function.identity()));
        Map<UUID, UUID> unreadable =
                open.unreadable().stream().collect(Collectors.toMap(UnreadableRun::instrumentId, UnreadableRun::id));
        return shown.values().stream()
                .map(instrument -> RackRow.of(
                        instrument,
                        referrals.getOrDefault(instrument.id(), List.of()),
                        Optional.ofNullable(runs.get(instrument.id())),
                        Optional.ofNullable(unreadable.get(instrument.id())),
                        settling.getOrDefault(instrument.id(), List.of())))
                .collect(Collectors.toMap(row -> row.instrument().id(), Function.identity()));
    }
}
