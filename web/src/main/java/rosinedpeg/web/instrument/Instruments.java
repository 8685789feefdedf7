package rosinedpeg.web.instrument;

import static java.util.Objects.requireNonNull;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.bench.Learned;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.pegs.CollarTrend.Collar;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.instrument.Reckonings.Reckoning;
import rosinedpeg.web.kinds.KindWords;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.ReadOnce;

/** The instruments of the workshop. */
@Service
@Transactional(readOnly = true)
public class Instruments implements LogSource {

    private final InstrumentRepository instruments;
    private final MeasurementRepository measurements;
    private final FittedStringRepository fitted;
    private final Listings listings;
    private final Stringings stringings;
    private final Reckonings reckonings;
    private final StringKinds kinds;
    private final KindWords kindWords;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    private final ReadOnce<UUID, List<MeasurementEntity>> measured = new ReadOnce<>();
    private final ReadOnce<UUID, Standing> standings = new ReadOnce<>();
    private final ReadOnce<UUID, Instrument> whole = new ReadOnce<>();

    Instruments(
            InstrumentRepository instruments,
            MeasurementRepository measurements,
            FittedStringRepository fitted,
            Listings listings,
            Stringings stringings,
            Reckonings reckonings,
            StringKinds kinds,
            KindWords kindWords,
            ApplicationEventPublisher events,
            Clock clock) {
        this.instruments = instruments;
        this.measurements = measurements;
        this.fitted = fitted;
        this.listings = listings;
        this.stringings = stringings;
        this.reckonings = reckonings;
        this.kinds = kinds;
        this.kindWords = kindWords;
        this.events = events;
        this.clock = clock;
    }

    /** {@return how some of the instruments stand, by their ids; five queries however many there are} */
    public Map<UUID, Standing> standings(Collection<UUID> ids) {
        return standings.some(ids, unread -> standings(unread, on(unread)));
    }

    private Map<UUID, Standing> standings(Set<UUID> ids, Map<UUID, List<FittedNow>> on) {
        Reckoning reckoning = reckoning(on);
        return listings.of(ids).values().stream()
                .map(one -> standing(one, on.getOrDefault(one.id(), List.of()), reckoning))
                .collect(Collectors.toMap(Standing::id, Function.identity()));
    }

    /** {@return some of the instruments, by their ids; six queries however many there are} */
    public Map<UUID, Instrument> of(Collection<UUID> ids) {
        return whole.some(ids, this::read);
    }

    private Map<UUID, Instrument> read(Set<UUID> ids) {
        Map<UUID, List<MeasurementEntity>> measured = measured(ids);
        Map<UUID, List<FittedNow>> on = on(ids);
        Reckoning reckoning = reckoning(on);
        Map<UUID, Instrument> read = new HashMap<>();
        for (InstrumentEntity entity : instruments.some(ids.toArray(UUID[]::new))) {
            UUID id = entity.id();
            Instrument one =
                    view(entity, measured.getOrDefault(id, List.of()), on.getOrDefault(id, List.of()), reckoning);
            read.put(id, one);
            listings.tell(entity.listed());
            standings.tell(id, one.standing());
        }
        return read;
    }

    /** Every measurement of some instruments, the first first. */
    private Map<UUID, List<MeasurementEntity>> measured(Set<UUID> ids) {
        return measured.some(
                ids,
                unread -> measurements.of(unread.toArray(UUID[]::new)).stream()
                        .collect(Collectors.groupingBy(MeasurementEntity::instrumentId)));
    }

    private Map<UUID, List<FittedNow>> on(Set<UUID> ids) {
        return fitted.now(ids.toArray(UUID[]::new)).stream().collect(Collectors.groupingBy(FittedNow::instrumentId));
    }

    /**
     * One instrument.
     *
     * @throws NotFoundException when this workshop has none with that id
     */
    public Instrument get(UUID id) {
        return Optional.ofNullable(of(List.of(id)).get(id))
                .orElseThrow(() -> new NotFoundException("instrument " + id));
    }

    /**
     * How one instrument is strung. What the diary says of the strings is not read.
     *
     * @throws NotFoundException when this workshop has none with that id
     */
    public Stringing stringing(UUID id) {
        return stringings.of(id);
    }

    /**
     * One instrument with every string on it.
     *
     * @throws NotFoundException when this workshop has none with that id
     * @throws NotStrungException when a string of it is not recorded
     */
    public Instrument strung(UUID id) {
        Instrument instrument = get(id);
        if (!instrument.fullyStrung()) {
            throw new NotStrungException(id);
        }
        return instrument;
    }

    /**
     * Makes sure that this workshop has an instrument.
     *
     * @throws NotFoundException when it has none with that id
     */
    public void require(UUID id) {
        entity(id);
    }

    /**
     * How the instruments stand that some strings are on.
     *
     * @param fittedIds the ids of the very strings
     * @return the standings by the ids of the strings; those that have come off, or that this workshop never had, are missing
     */
    public Map<UUID, Standing> withStrings(Collection<UUID> fittedIds) {
        if (fittedIds.isEmpty()) {
            return Map.of();
        }
        Map<UUID, List<FittedNow>> on = fitted.nowWith(fittedIds.toArray(UUID[]::new)).stream()
                .collect(Collectors.groupingBy(FittedNow::instrumentId));
        Set<UUID> wanted = Set.copyOf(fittedIds);
        Map<UUID, Standing> with = new HashMap<>();
        standings
                .some(on.keySet(), unread -> standings(unread, on))
                .values()
                .forEach(standing -> standing.strings().stream()
                        .map(StringOn::fittedId)
                        .filter(wanted::contains)
                        .forEach(fittedId -> with.put(fittedId, standing)));
        return with;
    }

    /**
     * Puts an instrument on the rack with what is known of it, all of it or nothing.
     *
     * @param wanted the instrument
     * @param measured what was measured on it, today
     * @param strung records what is on it, by its id
     * @return its id
     */
    @Transactional
    public UUID add(NewInstrument wanted, Map<Measurable, Double> measured, Consumer<UUID> strung) {
        UUID id = add(wanted);
        if (!measured.isEmpty()) {
            LocalDate today = CurrentWorkshop.today(clock);
            measure(id, measured, today, UUID.randomUUID());
        }
        strung.accept(id);
        return id;
    }

    /** Records usual strings at every place of an instrument where none is recorded. */
    @Transactional
    public void stringUsually(UUID id, Optional<StringCore> ofSet, Optional<Instant> since) {
        Instrument instrument = get(id);
        SetUp setUp = instrument.setUp();
        Map<Position, StringKind> set =
                requireNonNull(kinds.usual(setUp).get(ofSet.orElse(UsualString.likely(setUp.size()))));
        set.forEach((position, kind) -> {
            if (instrument.string(position).isEmpty()) {
                fit(id, position, kind.id(), since.orElse(null), Before.NOTHING, false);
            }
        });
    }

    /** Puts an instrument on the rack. */
    @Transactional
    public UUID add(NewInstrument wanted) {
        Instant now = clock.instant();
        UUID id = instruments.saveAndFlush(new InstrumentEntity(wanted, now)).id();
        events.publishEvent(new InstrumentAdded(id, wanted.name(), now));
        return id;
    }

    /**
     * Records what was measured in one go.
     *
     * @param id the instrument
     * @param values in the unit of each quantity; ranges and contradictions have been told at the fields
     * @param measuredOn the day
     * @param press the press of the button that this is; one that was already taken changes nothing
     * @throws rosinedpeg.core.figure.OutOfRangeException when a value is outside its range
     */
    @Transactional
    public void measure(UUID id, Map<Measurable, Double> values, LocalDate measuredOn, UUID press) {
        SetUp setUp = get(id).setUp();
        values.keySet().stream()
                .filter(measurable -> !setUp.has(measurable))
                .findAny()
                .ifPresent(missing -> {
                    throw new NotFoundException(missing.code() + " of " + id);
                });
        setUp.measured(values);
        if (measurements.existsByPress(press)) {
            return;
        }
        values.forEach((measurable, value) -> measurements.save(new MeasurementEntity(
                id, measurable, value, measuredOn, press, clock.instant(), CurrentWorkshop.person())));
        events.publishEvent(new SetUpChanged(id));
    }

    /** {@return every measurement of an instrument, the latest of each first} */
    public Map<Measurable, List<Measured>> history(UUID id) {
        Map<Measurable, List<Measured>> history = new LinkedHashMap<>();
        for (MeasurementEntity one : measured(Set.of(id)).getOrDefault(id, List.of())) {
            history.computeIfAbsent(one.measurable(), none -> new ArrayList<>())
                    .add(0, new Measured(one.value(), one.measuredOn(), one.recordedBy()));
        }
        return history;
    }

    /** Records what keeps I from cutting into the bridge, as it was done at the bench. */
    @Transactional
    public void guard(UUID id, boolean parchment, boolean tube) {
        entity(id).guard(parchment, tube);
    }

    /**
     * Changes what keeps I from cutting into the bridge.
     *
     * @param id the instrument
     * @param seen the {@link Instrument#version()} that whoever changes it has seen
     * @param parchment whether there is one
     * @param tube whether there is one
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void guard(UUID id, int seen, boolean parchment, boolean tube) {
        asSeen(id, seen).guard(parchment, tube);
    }

    /**
     * Records what the pegs are made of.
     *
     * @param id the instrument
     * @param seen the {@link Instrument#version()} that whoever changes it has seen
     * @param wood the wood, if anybody knows
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void setPegWood(UUID id, int seen, @Nullable PegWood wood) {
        asSeen(id, seen).carve(wood);
    }

    /**
     * Changes how much load the post wants.
     *
     * @param id the instrument
     * @param seen the {@link Instrument#version()} that whoever changes it has seen
     * @param bands the bands
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void setBands(UUID id, int seen, LoadBands bands) {
        asSeen(id, seen).setBands(bands);
    }

    /**
     * Changes what the strings are hung on.
     *
     * @param id the instrument
     * @param seen the {@link Instrument#version()} that whoever changes it has seen
     * @param tailEnds what each hangs on, I first
     * @param tunersBuiltIn whether the tuners are part of the tailpiece
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void hang(UUID id, int seen, List<TailEnd> tailEnds, boolean tunersBuiltIn) {
        asSeen(id, seen).hang(tailEnds, tunersBuiltIn);
        events.publishEvent(new SetUpChanged(id));
    }

    /**
     * Changes what the strings are wound on.
     *
     * @param id the instrument
     * @param seen the {@link Instrument#version()} that whoever changes it has seen
     * @param kind the kind of peg
     * @param knobs on which side each knob is, I first
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void peg(UUID id, int seen, PegKind kind, List<Side> knobs) {
        asSeen(id, seen).peg(kind, knobs);
        events.publishEvent(new SetUpChanged(id));
    }

    private InstrumentEntity asSeen(UUID id, int seen) {
        InstrumentEntity entity = entity(id);
        if (entity.version() != seen) {
            throw new ChangedMeanwhileException(id);
        }
        return entity;
    }

    /**
     * Records that a string is on an instrument; what was recorded there before counts as taken off.
     *
     * @param id the instrument
     * @param position where
     * @param kindId what it is
     * @param since since when, if anybody knows
     * @param before what it has behind it
     * @param keepOld whether the string it replaces is kept as a spare
     */
    @Transactional
    public UUID fit(UUID id, Position position, UUID kindId, @Nullable Instant since, Before before, boolean keepOld) {
        return fit(id, position, kindId, since, before, keepOld, null);
    }

    /**
     * Records that a string is on an instrument, and why the one before it came off.
     *
     * @param id the instrument
     * @param position where
     * @param kindId what it is
     * @param since since when, if anybody knows
     * @param before what it has behind it
     * @param keepOld whether the string it replaces is kept as a spare
     * @param why why that came off, if it was said
     */
    @Transactional
    public UUID fit(
            UUID id,
            Position position,
            UUID kindId,
            @Nullable Instant since,
            Before before,
            boolean keepOld,
            @Nullable Off why) {
        entity(id);
        fitted.findByInstrumentIdAndPositionAndRemovedAtIsNull(id, position)
                .ifPresent(old -> remove(old, since == null ? clock.instant() : since, keepOld, why));
        fitted.flush();
        UUID fittedId = fitted.saveAndFlush(new FittedStringEntity(id, position, kindId, since, before))
                .id();
        events.publishEvent(new StringFitted(id, fittedId, Optional.ofNullable(since)));
        return fittedId;
    }

    /**
     * Records that a string was found on an instrument, or put on without the bench.
     *
     * @param id the instrument
     * @param seen the string that is on record there, as whoever found another has seen it; empty when none was
     * @param position where
     * @param kindId what it is
     * @param since since when, if anybody knows
     * @param hoursBefore hours it had been played elsewhere before
     * @param keepOld whether the string it replaces is kept as a spare; a broken one is not
     * @param why why that one came off, if it was said
     * @throws OptimisticLockingFailureException when another string has come to be on record there since
     */
    @Transactional
    public void found(
            UUID id,
            Optional<UUID> seen,
            Position position,
            UUID kindId,
            @Nullable Instant since,
            double hoursBefore,
            boolean keepOld,
            @Nullable CameOff why) {
        Optional<UUID> on = fitted.findByInstrumentIdAndPositionAndRemovedAtIsNull(id, position)
                .map(FittedStringEntity::id);
        if (!on.equals(seen)) {
            throw new ChangedMeanwhileException(id);
        }
        fit(
                id,
                position,
                kindId,
                since,
                Before.hours(hoursBefore),
                keepOld && why != CameOff.BROKE,
                why == null ? null : new Off(why, null));
    }

    /** Adds to what is known of how much an instrument gives, and of how much sticks in its grooves. */
    @Transactional
    public void learn(UUID id, Collection<Coupling.Observation> sinkings, Learned.Leans leans) {
        entity(id).learn(sinkings, leans);
    }

    /** Records that a string came off and nothing went on in its place. */
    @Transactional
    public void takeOff(UUID id, Position position, boolean keep, @Nullable Off why) {
        entity(id);
        fitted.findByInstrumentIdAndPositionAndRemovedAtIsNull(id, position)
                .ifPresent(old -> remove(old, clock.instant(), keep, why));
    }

    private void remove(FittedStringEntity string, Instant at, boolean keep, @Nullable Off why) {
        Instant until = at.isAfter(clock.instant()) ? clock.instant() : at;
        FittedNow now = string.now();
        StringOn was = reckonings
                .of(List.of(now))
                .at(until, now, entity(string.instrumentId()).listed());
        string.remove(at, keep, why, was.fittedAt().isPresent() ? was.hours() : null);
        // Whoever is told reads it from the database.
        fitted.flush();
        events.publishEvent(new StringTakenOff(string.instrumentId(), string.id(), string.kindId(), keep));
    }

    /** {@return the kinds of string that are on any instrument of the rack} */
    public Set<UUID> kindsOn() {
        return fitted.kindsOn();
    }

    /** Records that a string broke there and one of the same kind has gone on in its place now. */
    @Transactional
    public void replaceBroken(UUID id, Position position, BreakPlace where) {
        fitted.findByInstrumentIdAndPositionAndRemovedAtIsNull(id, position)
                .ifPresent(old -> fit(
                        id,
                        position,
                        old.kindId(),
                        clock.instant(),
                        Before.NOTHING,
                        false,
                        new Off(CameOff.BROKE, where)));
    }

    /**
     * Puts right what is on record of an instrument. Usual strings that stand in for unknown ones follow its set-up: they become
     * those that are usual for it as it is now.
     *
     * @param id the instrument
     * @param seen the {@link Instrument#version()} that whoever changes it has seen
     * @param edit how it is
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void edit(UUID id, int seen, InstrumentEdit edit) {
        boolean sameSetUp = InstrumentEdit.of(get(id)).sameSetUp(edit);
        asSeen(id, seen).edit(edit);
        instruments.flush();
        if (!sameSetUp) {
            followSetUp(get(id));
        }
        events.publishEvent(new InstrumentEdited(id, edit.name()));
    }

    private void followSetUp(Instrument instrument) {
        Map<StringCore, Map<Position, StringKind>> usual = kinds.usual(instrument.setUp());
        for (StringOn string : instrument.strings()) {
            if (string.kind().isUsual()) {
                StringKind inItsPlace = requireNonNull(usual.getOrDefault(
                                string.kind().spec().core(),
                                requireNonNull(usual.get(
                                        UsualString.likely(instrument.setUp().size()))))
                        .get(string.position()));
                fitted.findById(string.fittedId()).orElseThrow().is(inItsPlace.id());
            }
        }
    }

    /**
     * Puts more of the same kind on the rack: set up alike, with strings of the same kinds. What was measured, read or learned of
     * the first is not known of them.
     *
     * @param id the first
     * @param names what they are called, one for each
     * @param since the moment their strings went on, if anybody knows
     * @return their ids, in the order of their names
     */
    @Transactional
    public List<UUID> copy(UUID id, List<String> names, Optional<Instant> since) {
        InstrumentEntity first = entity(id);
        Instrument like = get(id);
        List<UUID> copies = new ArrayList<>();
        for (String name : names) {
            Instant now = clock.instant();
            UUID copy = instruments.saveAndFlush(first.copy(name, now)).id();
            events.publishEvent(new InstrumentAdded(copy, name, now));
            like.strings()
                    .forEach(string -> fit(
                            copy, string.position(), string.kind().id(), since.orElse(null), Before.NOTHING, false));
            copies.add(copy);
        }
        return copies;
    }

    /** Takes an instrument off the rack; what is on record of it stays. */
    @Transactional
    public void retire(UUID id) {
        InstrumentEntity entity = entity(id);
        if (entity.retiredAt().isEmpty()) {
            entity.retire(clock.instant());
            events.publishEvent(new InstrumentRetired(
                    id, fitted.now(id).stream().map(FittedNow::id).toList()));
        }
    }

    /** Puts an instrument back on the rack, as it was. */
    @Transactional
    public void bringBack(UUID id) {
        InstrumentEntity entity = entity(id);
        if (entity.retiredAt().isPresent()) {
            entity.retire(null);
            tellOfArrival(entity);
        }
    }

    /**
     * Reads instruments whose records came here from elsewhere as they are, and tells of those that are on the rack.
     *
     * @param ids the instruments
     * @param amongOthers whether there are others here, whose strings may be of the same kinds
     * @throws RuntimeException when what is on record of one cannot be true
     */
    @Transactional
    public void arrived(Collection<UUID> ids, boolean amongOthers) {
        of(ids).values().stream()
                .filter(instrument -> instrument.retiredAt().isEmpty())
                .forEach(instrument -> tellOfArrival(entity(instrument.id())));
        events.publishEvent(new HistoryArrived(fitted.kindsEverOn(ids), amongOthers));
    }

    private void tellOfArrival(InstrumentEntity entity) {
        Map<UUID, Instant> fittedAt = new HashMap<>();
        fitted.now(entity.id()).stream()
                .filter(string -> string.fittedAt() != null)
                .forEach(string -> fittedAt.put(string.id(), string.fittedAt()));
        events.publishEvent(new InstrumentBroughtBack(entity.id(), entity.name(), entity.createdAt(), fittedAt));
    }

    /**
     * The instruments that have left the rack, the last first.
     *
     * @param from how many come before
     * @return the part of them that fits on a page
     */
    public ListPage<Retired> retired(int from) {
        ListPage<InstrumentEntity> page =
                ListPage.of(instruments.findByRetiredAtNotNullOrderByRetiredAtDescIdAsc(ListPage.after(from)));
        return page.flatMap(entity -> Optional.of(entity.retired()));
    }

    /** {@return how many have left the rack} */
    public int retiredCount() {
        return instruments.countByRetiredAtNotNull();
    }

    /**
     * Records what is seen or heard on a string now.
     *
     * @param id the instrument
     * @param fittedId the very string
     * @param seen the {@link StringOn#version()} that whoever looked has seen
     * @param signs what there is
     * @throws NotFoundException when the instrument has no such string on
     * @throws OptimisticLockingFailureException when somebody else has changed what is recorded of it since
     */
    @Transactional
    public void look(UUID id, UUID fittedId, int seen, Set<WearSign> signs) {
        on(id, fittedId, seen).setSigns(signs);
        events.publishEvent(new StringLookedAt(id));
    }

    /**
     * Records how many hours have been played on a string until now; they count on from here.
     *
     * @param id the instrument
     * @param fittedId the string
     * @param seen the version of what is recorded of it that whoever counted has seen
     * @param hours 0 h or more
     * @throws NotFoundException when the instrument has no such string on, or nobody knows since when
     * @throws OptimisticLockingFailureException when somebody else has changed what is recorded of it since
     */
    @Transactional
    public void countHours(UUID id, UUID fittedId, int seen, double hours) {
        FittedStringEntity string = on(id, fittedId, seen);
        if (string.fittedAt() == null) {
            throw new NotFoundException("age of string " + fittedId);
        }
        string.count(hours, clock.instant());
        events.publishEvent(new StringLookedAt(id));
    }

    private FittedStringEntity on(UUID id, UUID fittedId, int seen) {
        FittedStringEntity string = fitted.findById(fittedId)
                .filter(one -> one.instrumentId().equals(id))
                .orElseThrow(() -> new NotFoundException("string " + fittedId));
        if (string.removedAt() != null || string.version() != seen) {
            throw new ChangedMeanwhileException(id);
        }
        return string;
    }

    @Override
    public List<LogEntry> log(UUID id, int newest) {
        List<LogEntry> log = new ArrayList<>();
        measured(Set.of(id)).getOrDefault(id, List.of()).stream()
                .collect(Collectors.groupingBy(one -> List.of(one.measuredOn(), one.recordedBy())))
                .values()
                .forEach(sitting -> log.add(LogEntry.measured(sitting)));
        List<FittedStringEntity> latest = fitted.latest(id, Limit.of(newest));
        Map<UUID, StringKind> kindsById =
                kinds.some(latest.stream().map(FittedStringEntity::kindId).collect(Collectors.toSet()));
        for (FittedStringEntity string : latest) {
            StringKind kind = requireNonNull(kindsById.get(string.kindId()));
            if (string.fittedAt() != null) {
                log.add(LogEntry.of(string.fittedAt(), "WENT_ON", string.position(), kindWords.label(kind), null));
            }
            if (string.removedAt() != null) {
                log.add(LogEntry.of(
                        string.removedAt(),
                        string.kept() ? "CAME_OFF_KEPT" : "CAME_OFF",
                        string.position(),
                        kindWords.label(kind),
                        null));
            }
        }
        return log;
    }

    private InstrumentEntity entity(UUID id) {
        return instruments.findById(id).orElseThrow(() -> new NotFoundException("instrument " + id));
    }

    private Reckoning reckoning(Map<UUID, List<FittedNow>> on) {
        return reckonings.of(on.values().stream().flatMap(List::stream).toList());
    }

    private Standing standing(Listed one, List<FittedNow> on, Reckoning reckoning) {
        List<StringOn> strings = strings(one, on, reckoning);
        return new Standing(one.id(), one.name(), one.family(), strings.size() == one.strings(), strings);
    }

    private List<StringOn> strings(Listed one, List<FittedNow> on, Reckoning reckoning) {
        Instant now = clock.instant();
        return on.stream()
                .sorted(Comparator.comparing(FittedNow::position))
                .map(string -> reckoning.at(now, string, one))
                .toList();
    }

    private Instrument view(
            InstrumentEntity entity, List<MeasurementEntity> measured, List<FittedNow> on, Reckoning reckoning) {
        SetUp setUp = entity.setUp(MeasurementEntity.figures(measured));
        Map<Position, List<Collar>> collars = new EnumMap<>(Position.class);
        for (MeasurementEntity one : measured) {
            Measurable measurable = one.measurable();
            // What was logged of pegs that have made way for gears is no longer there.
            if (measurable.quantity() == Quantity.COLLAR_TO_WALL && setUp.has(measurable)) {
                collars.computeIfAbsent(measurable.position(), none -> new ArrayList<>())
                        .add(new Collar(one.measuredOn(), one.value()));
            }
        }
        List<StringOn> strings = strings(entity.listed(), on, reckoning);
        return new Instrument(
                entity.id(),
                entity.name(),
                setUp,
                entity.hoursPerWeek(),
                entity.demand(),
                strings,
                entity.fittings(),
                collars,
                measured.stream()
                        .filter(one -> one.measurable().quantity() == Quantity.BRIDGE_GAP)
                        .map(MeasurementEntity::measuredOn)
                        .max(Comparator.naturalOrder())
                        .orElse(null),
                entity.coupling(),
                entity.stuck(),
                entity.bands(),
                entity.retiredAt(),
                entity.version());
    }
}
