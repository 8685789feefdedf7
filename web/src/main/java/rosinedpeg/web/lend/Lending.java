package rosinedpeg.web.lend;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.inspection.LookOver;
import rosinedpeg.core.inspection.Seen;
import rosinedpeg.core.lending.Loan;
import rosinedpeg.core.lending.Turn;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.findings.Inspections;
import rosinedpeg.web.findings.Note;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.InstrumentRetired;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.LogEntry;
import rosinedpeg.web.instrument.LogSource;
import rosinedpeg.web.instrument.NotAtHand;
import rosinedpeg.web.instrument.Off;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.pegs.PegLook;
import rosinedpeg.web.pegs.PegLooks;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.ReadOnce;
import rosinedpeg.web.platform.Words;
import tools.jackson.databind.json.JsonMapper;

/** The lending shelf: what stands on it, who has it, and how it goes out and comes back. */
@Service
@Transactional(readOnly = true)
public class Lending implements LogSource, NotAtHand {

    /** The most instruments a shelf holds. */
    static final int MOST_ON_SHELF = 5000;

    /** So many are told that could stand in for an instrument. */
    private static final int MOST_SPARES = 4;

    private final ShelfInstrumentRepository shelf;
    private final LoanRepository loans;
    private final BorrowerRepository borrowers;
    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final Inspections inspections;
    private final PegLooks pegLooks;
    private final Notes notes;
    private final Words words;
    private final JsonMapper json;
    private final Clock clock;
    private final ReadOnce<UUID, String> namesOfBorrowers = new ReadOnce<>();

    Lending(
            ShelfInstrumentRepository shelf,
            LoanRepository loans,
            BorrowerRepository borrowers,
            Instruments instruments,
            InstrumentNames instrumentNames,
            Inspections inspections,
            PegLooks pegLooks,
            Notes notes,
            Words words,
            JsonMapper json,
            Clock clock) {
        this.shelf = shelf;
        this.loans = loans;
        this.borrowers = borrowers;
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.inspections = inspections;
        this.pegLooks = pegLooks;
        this.notes = notes;
        this.words = words;
        this.json = json;
        this.clock = clock;
    }

    // --- the shelf ---------------------------------------------------------------------------------------------------

    /** {@return what stands on the shelf or belongs there, in the order of the names, after so many} */
    ListPage<UUID> onShelf(int from) {
        return ListPage.of(shelf.byName(ListPage.after(from)));
    }

    /** {@return the names of what is at home and promised to nobody in the days of a turn} */
    ListPage<String> atHome(LocalDate turn, Pageable part) {
        Turn.Days days = Turn.days(Turn.Does.GOES_OUT, turn, today());
        return ListPage.of(shelf.atHome(days.from(), days.until(), part));
    }

    /** An instrument is there to be lent; a second time changes nothing. */
    @Transactional
    public void putOnShelf(UUID instrumentId) {
        instruments.require(instrumentId);
        if (!shelf.existsById(instrumentId)) {
            shelf.saveAndFlush(new ShelfInstrumentEntity(instrumentId));
        }
    }

    /**
     * An instrument is not there to be lent any more; a second time changes nothing. Its loans stay on record.
     *
     * @return whether it could be done: not while it is out, or promised to somebody
     */
    @Transactional
    boolean takeOffShelf(UUID instrumentId) {
        if (loans.existsByInstrumentIdAndBackAtIsNull(instrumentId)) {
            return false;
        }
        shelf.findById(instrumentId).ifPresent(shelf::delete);
        return true;
    }

    @EventListener
    @Transactional
    void note(InstrumentRetired event) {
        takeOffShelf(event.instrumentId());
    }

    /** {@return how many are out, and how many of them were to be back before today} */
    LoanRepository.Count count() {
        return loans.count(today());
    }

    /**
     * What of the shelf could stand in for an instrument.
     *
     * @param like which instrument
     * @param from the first day it is wanted
     * @param until the last
     * @return the names of those of its family and size that are at home and promised to nobody on those days, by their ids and in the
     *     order of their names; a few of them
     */
    public Map<UUID, String> spares(Instrument like, LocalDate from, LocalDate until) {
        List<UUID> shelved = shelf.ids(Limit.of(MOST_ON_SHELF));
        Set<UUID> taken = loans.outBetween(shelved.toArray(UUID[]::new), from, until).stream()
                .map(LoanRepository.Out::instrumentId)
                .collect(Collectors.toSet());
        List<UUID> here = shelved.stream()
                .filter(id -> !taken.contains(id) && !id.equals(like.id()))
                .toList();
        return instrumentNames.sized(here, like.setUp().size(), MOST_SPARES);
    }

    // --- loans -------------------------------------------------------------------------------------------------------

    /** {@return what has not come back, of some instruments, the first that goes out first} */
    List<Lent> open(Collection<UUID> instrumentIds) {
        return lent(loans.notBack(instrumentIds.toArray(UUID[]::new)));
    }

    /** {@return the day on which most of what is out is to be back; today when nothing is out} */
    LocalDate likelyTurn() {
        return loans.daysBack(today(), Limit.of(1)).stream().findFirst().orElseGet(this::today);
    }

    /**
     * The loans of which something becomes at a turn.
     *
     * @param turn the day
     * @param windows how many of each sort, after how many
     * @return those of each sort, in the order of their days
     */
    Map<Turn.Does, ListPage<Lent>> at(LocalDate turn, Map<Turn.Does, Pageable> windows) {
        LocalDate today = today();
        Map<Turn.Does, Page<LoanEntity>> found = new EnumMap<>(Turn.Does.class);
        windows.forEach((does, window) -> {
            Turn.Days days = Turn.days(does, turn, today);
            found.put(
                    does,
                    does.isOut()
                            ? loans.toBeBack(days.from(), days.until(), window)
                            : loans.toGoOut(days.from(), days.until(), window));
        });
        Map<UUID, Lent> lent = lent(
                        found.values().stream().flatMap(Page::stream).toList())
                .stream()
                .collect(Collectors.toMap(Lent::id, Function.identity()));
        Map<Turn.Does, ListPage<Lent>> at = new EnumMap<>(Turn.Does.class);
        found.forEach((does, part) ->
                at.put(does, ListPage.of(part).flatMap(loan -> Optional.ofNullable(lent.get(loan.id())))));
        return at;
    }

    /** {@return what is out and was to be back before today, the latest first} */
    List<Lent> late(int most) {
        return lent(loans.findByOutAtIsNotNullAndBackAtIsNullAndUntilDayBeforeOrderByUntilDayAscId(
                today(), Limit.of(most)));
    }

    /** {@return what came back and was looked at on both ways, the last first} */
    List<Lent> lookedAtTwice(int most) {
        return lent(loans.lookedAtTwice(Limit.of(most)));
    }

    /** {@return the loan that came back last, of each of those instruments that has such a one} */
    Map<UUID, Lent> lastReturned(Collection<UUID> instrumentIds) {
        return lent(loans.lastReturned(instrumentIds.toArray(UUID[]::new))).stream()
                .collect(Collectors.toMap(Lent::instrumentId, Function.identity(), (one, same) -> one));
    }

    /** {@return what somebody has or had, the last first, after so many} */
    ListPage<Lent> ofBorrower(UUID borrowerId, int from) {
        var part = loans.findByBorrowerIdOrderByFromDayDescId(borrowerId, ListPage.after(from));
        return new ListPage<>(
                lent(part.getContent()), (int) part.getPageable().getOffset(), (int) part.getTotalElements());
    }

    /**
     * One loan.
     *
     * @throws NotFoundException when this workshop has no such loan
     */
    Lent get(UUID id) {
        return lent(List.of(entity(id))).get(0);
    }

    private LoanEntity entity(UUID id) {
        return loans.findById(id).orElseThrow(() -> new NotFoundException("loan " + id));
    }

    private List<Lent> lent(List<LoanEntity> some) {
        Map<UUID, String> names = instrumentNames.of(
                some.stream().map(LoanEntity::instrumentId).distinct().toList());
        Map<UUID, String> borrowerNames = namesOfBorrowers.some(
                some.stream().flatMap(loan -> loan.borrowerId().stream()).toList(),
                unread -> borrowers.findByIdIn(unread).stream()
                        .collect(Collectors.toMap(BorrowerEntity::id, BorrowerEntity::name)));
        return some.stream()
                .map(loan -> new Lent(
                        loan.id(),
                        loan.instrumentId(),
                        names.getOrDefault(loan.instrumentId(), ""),
                        loan.borrowerId(),
                        loan.borrowerId().map(borrowerNames::get),
                        loan.days(),
                        loan.withIt(),
                        loan.note(),
                        loan.outAt(),
                        loan.outBy(),
                        loan.outLook().map(this::read),
                        loan.backAt(),
                        loan.backBy(),
                        loan.backLook().map(this::read),
                        loan.version()))
                .toList();
    }

    private Look read(String kept) {
        return json.readValue(kept, Look.Kept.class).look();
    }

    /**
     * Promises an instrument to somebody. Whoever is not known by their name yet becomes known.
     *
     * @param press the press that this is, which becomes its id; sent twice it is promised once
     * @param instrumentId which instrument; from now on it belongs on the shelf
     * @param borrower what whoever borrows is called
     * @param days from when to when
     * @param withIt what goes with it
     * @param note what else was agreed; may be empty
     * @param alreadyOut whether they have it already, so that nobody can look at it before it goes
     * @throws TakenException when it is somebody else's on one of those days
     */
    @Transactional
    public void lend(
            UUID press,
            UUID instrumentId,
            String borrower,
            Loan days,
            Collection<WithIt> withIt,
            String note,
            boolean alreadyOut) {
        if (loans.existsById(press)) {
            return;
        }
        putOnShelf(instrumentId);
        shelf.lock(instrumentId);
        mustBeFree(instrumentId, days, press);
        BorrowerEntity who = borrowers
                .findFirstByNameIgnoreCase(borrower)
                .orElseGet(() -> borrowers.saveAndFlush(new BorrowerEntity(UUID.randomUUID(), borrower, "")));
        Instant now = clock.instant();
        UUID by = CurrentWorkshop.person();
        LoanEntity loan = new LoanEntity(press, instrumentId, who.id(), days, withIt, note, now, by);
        if (alreadyOut) {
            mustBeHere(instrumentId, press);
            loan.out(days.from(), moment(days.from()), by, null);
        }
        loans.saveAndFlush(loan);
    }

    private void mustBeFree(UUID instrumentId, Loan days, UUID but) {
        loans.near(instrumentId, days.from(), days.free(), but).stream()
                .filter(other -> other.days().overlaps(days))
                .findFirst()
                .ifPresent(other -> {
                    throw taken(other);
                });
    }

    private void mustBeHere(UUID instrumentId, UUID but) {
        loans.findFirstByInstrumentIdAndOutAtIsNotNullAndBackAtIsNull(instrumentId)
                .filter(other -> !other.id().equals(but))
                .ifPresent(other -> {
                    throw taken(other);
                });
    }

    private TakenException taken(LoanEntity other) {
        Lent lent = lent(List.of(other)).get(0);
        return new TakenException(
                lent.borrower().orElse(""),
                lent.days().from(),
                lent.days().backOn().orElse(lent.days().until()),
                lent.isOut());
    }

    /**
     * Whoever has it keeps it until another day.
     *
     * @param id which loan
     * @param seen the {@link Lent#version()} that was seen
     * @param until the day
     * @throws TakenException when it is somebody else's before that
     * @throws OptimisticLockingFailureException when somebody else changed it since
     */
    @Transactional
    void keepUntil(UUID id, int seen, LocalDate until) {
        LoanEntity loan = asSeen(id, seen);
        shelf.lock(loan.instrumentId());
        mustBeFree(loan.instrumentId(), Loan.of(loan.days().from(), until), id);
        loan.keepUntil(until);
        loans.flush();
    }

    /** Several stay out until another day: all of them, or none when one cannot. */
    @Transactional
    void keepUntil(Map<UUID, Integer> seen, LocalDate until) {
        seen.forEach((id, version) -> keepUntil(id, version, until));
    }

    /**
     * What is promised and has not gone out does not go; a second time changes nothing.
     *
     * @return whether it does not go: what has gone out meanwhile has
     */
    @Transactional
    boolean giveUp(UUID id) {
        Optional<LoanEntity> loan = loans.findById(id);
        loan.filter(one -> one.outAt().isEmpty()).ifPresent(loans::delete);
        return loan.filter(one -> one.outAt().isPresent()).isEmpty();
    }

    private LoanEntity asSeen(UUID id, int seen) {
        LoanEntity loan = entity(id);
        if (loan.version() != seen || loan.backAt().isPresent()) {
            throw new OptimisticLockingFailureException("loan " + id + " is at " + loan.version());
        }
        return loan;
    }

    // --- on its way --------------------------------------------------------------------------------------------------

    /**
     * What a look comes to, before it is recorded.
     *
     * @param instrumentId which instrument
     * @param seen what was seen
     * @param gapMm the gap at the top of the bridge, where it was measured
     * @param text what else there is to say
     * @return that
     */
    public Look look(UUID instrumentId, Seen seen, Optional<Double> gapMm, String text) {
        List<Finding> findings = inspections.of(instruments.get(instrumentId), seen, measured(gapMm));
        return new Look(seen, gapMm, findings, text);
    }

    private static Map<Measurable, Double> measured(Optional<Double> gapMm) {
        return gapMm.map(gap -> Map.of(Measurable.of(Quantity.BRIDGE_GAP), gap)).orElse(Map.of());
    }

    /**
     * It is handed out; when it is out already, nothing changes.
     *
     * @param id which loan
     * @param look how it is; null when nobody looked
     * @param on the day, no later than the one it is to be back
     * @param withIt what goes with it
     * @throws TakenException when somebody else has it, or is promised it for one of those days
     */
    @Transactional
    public void goesOut(UUID id, @Nullable Look look, LocalDate on, Collection<WithIt> withIt) {
        LoanEntity loan = entity(id);
        if (loan.outAt().isPresent()) {
            return;
        }
        shelf.lock(loan.instrumentId());
        mustBeHere(loan.instrumentId(), id);
        mustBeFree(loan.instrumentId(), Loan.of(on, loan.days().until()), id);
        loan.goesWith(withIt);
        loan.out(on, moment(on), CurrentWorkshop.person(), kept(look));
        loans.flush();
        record(loan, look, on);
    }

    /**
     * It is taken back; when it is back already, nothing changes.
     *
     * @param id which loan
     * @param look how it is; null when nobody looked
     * @param on the day, not before it went out
     */
    @Transactional
    public void comesBack(UUID id, @Nullable Look look, LocalDate on) {
        LoanEntity loan = entity(id);
        if (loan.backAt().isPresent()) {
            return;
        }
        loan.back(on, moment(on), CurrentWorkshop.person(), kept(look));
        loans.flush();
        record(loan, look, on);
    }

    private @Nullable String kept(@Nullable Look look) {
        return look == null ? null : json.writeValueAsString(Look.Kept.of(look));
    }

    /** What was seen is on record where everything else of its sort is. */
    private void record(LoanEntity loan, @Nullable Look look, LocalDate on) {
        if (look == null) {
            return;
        }
        UUID id = loan.instrumentId();
        Instrument instrument = instruments.get(id);
        Seen seen = look.seen();
        UUID by = CurrentWorkshop.person();
        PegKind kind = instrument.setUp().pegKind();
        Map<Position, Set<PegSign>> pegs = pegLooks.signs(id, kind);
        for (Position position : instrument.setUp().positions()) {
            Set<PegSign> known = pegs.getOrDefault(position, Set.of());
            Set<PegSign> now = LookOver.pegAfter(known, seen.pegs().getOrDefault(position, Set.of()));
            if (!now.equals(known)) {
                pegLooks.record(
                        id,
                        new PegLook(position, Optional.of(kind), now, Optional.empty(), null, on, by),
                        Map.of(),
                        press(loan, on, position.name()));
            }
        }
        for (StringOn string : instrument.strings()) {
            Position position = string.position();
            Set<WearSign> now = LookOver.wearAfter(string.signs(), seen.wear().getOrDefault(position, Set.of()));
            if (seen.missing().contains(position)) {
                instruments.takeOff(id, position, false, new Off(CameOff.BROKE, null));
            } else if (!now.equals(string.signs())) {
                instruments.look(id, string.fittedId(), string.version(), now);
            }
        }
        Map<Measurable, Double> measured = measured(look.gapMm());
        if (!measured.isEmpty()) {
            instruments.measure(id, measured, on, press(loan, on, "gap"));
        }
        List<Finding> byEye = look.findings().stream()
                .filter(finding -> LookOver.onlySeen(finding.kind()))
                .toList();
        if (!byEye.isEmpty()) {
            notes.write(id, new Note.LookedOver(byEye), byEye.stream().anyMatch(Finding::refer), moment(on));
        }
    }

    /** One look is one press for each thing it records. */
    private static UUID press(LoanEntity loan, LocalDate on, String what) {
        String whole = loan.id() + " " + loan.backAt().isPresent() + " " + on + " " + what;
        return UUID.nameUUIDFromBytes(whole.getBytes(StandardCharsets.UTF_8));
    }

    // --- who else wants to know --------------------------------------------------------------------------------------

    @Override
    public List<Days> notAtHand(Collection<UUID> instrumentIds, LocalDate from, LocalDate until) {
        return loans.outBetween(instrumentIds.toArray(UUID[]::new), from, until).stream()
                .map(loan -> {
                    Loan days = loan.days();
                    boolean late = loan.outAt() != null && days.until().isBefore(from);
                    // Nobody knows when a late one comes; not today.
                    LocalDate last = late ? from : days.free().minusDays(1);
                    return new Days(
                            loan.instrumentId(),
                            days.from(),
                            last.isBefore(days.from()) ? days.from() : last,
                            words.say(late ? "lend.notAtHand.late" : "lend.notAtHand"));
                })
                .filter(days -> !days.until().isBefore(from))
                .toList();
    }

    @Override
    public List<LogEntry> log(UUID id, int newest) {
        List<LogEntry> log = new ArrayList<>();
        for (LoanEntity loan : loans.findByInstrumentIdOrderByFromDayDescId(id, Limit.of(newest))) {
            loan.outAt().ifPresent(at -> log.add(LogEntry.of(at, "LENT", null, null, loan.outBy())));
            loan.backAt().ifPresent(at -> log.add(LogEntry.of(at, "CAME_BACK", null, null, loan.backBy())));
        }
        return log;
    }

    /** What is recorded later than it happened was done at noon of its day. */
    private Instant moment(LocalDate on) {
        return on.equals(today())
                ? clock.instant()
                : on.atTime(LocalTime.NOON).atZone(CurrentWorkshop.zone()).toInstant();
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }
}
