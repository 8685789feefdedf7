package rosinedpeg.web.instrument;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.bench.Learned;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.pegs.CollarTrend.Collar;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.drawer.StringKind;
import rosinedpeg.web.drawer.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;

/** The instruments of the workshop. */
@Service
@Transactional(readOnly = true)
public class Instruments {

    /** A note has at most so many characters. */
    public static final int LONGEST_NOTE = 500;

    private final InstrumentRepository instruments;
    private final MeasurementRepository measurements;
    private final FittedStringRepository fitted;
    private final NoteRepository notes;
    private final PegLookRepository looks;
    private final StringKinds kinds;
    private final NoteForms noteForms;
    private final NoteWords noteWords;
    private final Clock clock;

    Instruments(
            InstrumentRepository instruments,
            MeasurementRepository measurements,
            FittedStringRepository fitted,
            NoteRepository notes,
            PegLookRepository looks,
            StringKinds kinds,
            NoteForms noteForms,
            NoteWords noteWords,
            Clock clock) {
        this.instruments = instruments;
        this.measurements = measurements;
        this.fitted = fitted;
        this.notes = notes;
        this.looks = looks;
        this.kinds = kinds;
        this.noteForms = noteForms;
        this.noteWords = noteWords;
        this.clock = clock;
    }

    /** {@return how every instrument stands, in the order they came to the rack; four queries however many there are} */
    public List<Standing> standings() {
        Map<UUID, StringKind> kindsById = kinds.all();
        Map<UUID, List<FittedNow>> on = fitted.now().stream().collect(Collectors.groupingBy(FittedNow::instrumentId));
        Set<UUID> referred = notes.referred();
        return instruments.listed().stream()
                .map(one -> standing(one, on.getOrDefault(one.id(), List.of()), referred, kindsById))
                .toList();
    }

    /** {@return some of the instruments, by their ids; six queries however many there are} */
    public Map<UUID, Instrument> of(Collection<UUID> ids) {
        Map<UUID, List<MeasurementEntity>> measured =
                measurements.findByInstrumentIdInOrderByMeasuredOnAscRecordedAtAsc(ids).stream()
                        .collect(Collectors.groupingBy(MeasurementEntity::instrumentId));
        Map<UUID, List<FittedNow>> on =
                fitted.now(ids).stream().collect(Collectors.groupingBy(FittedNow::instrumentId));
        Map<UUID, List<NoteEntity>> referred =
                notes.findByInstrumentIdInAndReferTrueAndSettledAtIsNullOrderByRecordedAt(ids).stream()
                        .collect(Collectors.groupingBy(NoteEntity::instrumentId));
        Map<UUID, List<PegLookEntity>> looked = looks.findByInstrumentIdInOrderByLookedOnAscRecordedAtAsc(ids).stream()
                .collect(Collectors.groupingBy(PegLookEntity::instrumentId));
        Map<UUID, StringKind> kindsById = kinds.all();
        return instruments.findByIdIn(ids).stream()
                .collect(Collectors.toMap(
                        InstrumentEntity::id,
                        entity -> view(
                                entity,
                                measured.getOrDefault(entity.id(), List.of()),
                                on.getOrDefault(entity.id(), List.of()),
                                referred.getOrDefault(entity.id(), List.of()),
                                looked.getOrDefault(entity.id(), List.of()),
                                kindsById)));
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
     * How the instrument stands that a string is on.
     *
     * @param fittedId the id of the very string
     * @throws NotFoundException when this workshop has no such string, or it has come off
     */
    public Standing withString(UUID fittedId) {
        InstrumentEntity entity = fitted.findById(fittedId)
                .filter(string -> string.removedAt() == null)
                .map(string -> entity(string.instrumentId()))
                .orElseThrow(() -> new NotFoundException("string " + fittedId));
        return standing(entity.listed(), fitted.now(List.of(entity.id())), notes.referred(), kinds.all());
    }

    /** Puts an instrument on the rack. */
    @Transactional
    public UUID add(NewInstrument wanted) {
        return instruments
                .saveAndFlush(new InstrumentEntity(wanted, clock.instant()))
                .id();
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
                .filter(measurable -> setUp.figure(measurable) == null)
                .findAny()
                .ifPresent(missing -> {
                    throw new NotFoundException(missing.code() + " of " + id);
                });
        setUp.measured(values);
        if (measurements.existsByPress(press)) {
            return;
        }
        values.forEach((measurable, value) -> measurements.save(new MeasurementEntity(
                id, measurable, value, measuredOn, press, clock.instant(), CurrentWorkshop.recordedBy())));
    }

    /** {@return every measurement of an instrument, the latest of each first} */
    Map<Measurable, List<Measured>> history(UUID id) {
        Map<Measurable, List<Measured>> history = new LinkedHashMap<>();
        for (MeasurementEntity one : measurements.findByInstrumentIdOrderByMeasuredOnAscRecordedAtAsc(id)) {
            history.computeIfAbsent(one.measurable(), none -> new ArrayList<>())
                    .add(0, new Measured(one.value(), one.measuredOn(), one.recordedBy()));
        }
        return history;
    }

    /** Changes what keeps I from cutting into the bridge. */
    @Transactional
    public void guard(UUID id, boolean parchment, boolean tube) {
        entity(id).guard(parchment, tube);
    }

    /** Records what the pegs are made of; null when nobody knows. */
    @Transactional
    void setPegWood(UUID id, PegWood wood) {
        entity(id).carve(wood);
    }

    /** Changes how much load the post wants. */
    @Transactional
    void setBands(UUID id, LoadBands bands) {
        entity(id).setBands(bands);
    }

    /** Changes what the strings are hung on, I first. */
    @Transactional
    public void hang(UUID id, List<TailEnd> tailEnds, boolean tunersBuiltIn) {
        entity(id).hang(tailEnds, tunersBuiltIn);
    }

    /** Changes what the strings are wound on and on which side each knob is, I first. */
    @Transactional
    void peg(UUID id, PegKind kind, List<Side> knobs) {
        entity(id).peg(kind, knobs);
    }

    /** Records a look at a peg; one that was already taken changes nothing. */
    @Transactional
    public void lookAtPeg(UUID id, PegLook look, Map<Measurable, Double> measured, UUID press) {
        entity(id);
        if (!looks.existsByPress(press)) {
            looks.save(new PegLookEntity(id, look, press, clock.instant()));
            measure(id, measured, look.on(), press);
        }
    }

    /** {@return every look at an instrument's pegs, the latest first} */
    List<PegLook> pegLooks(UUID id) {
        List<PegLook> all = new ArrayList<>(looks.findByInstrumentIdOrderByLookedOnAscRecordedAtAsc(id).stream()
                .map(PegLookEntity::look)
                .toList());
        Collections.reverse(all);
        return all;
    }

    /**
     * Records that a string is on an instrument; what was recorded there before counts as taken off.
     *
     * @param id the instrument
     * @param position where
     * @param kindId what it is
     * @param since since when, null when nobody knows
     * @param hoursBefore hours it had been played elsewhere before
     * @param signs what was seen or heard on it
     * @param keepOld whether the string it replaces is kept as a spare
     */
    @Transactional
    public UUID fit(
            UUID id,
            Position position,
            UUID kindId,
            Instant since,
            double hoursBefore,
            Set<WearSign> signs,
            boolean keepOld) {
        entity(id);
        fitted.findByInstrumentIdAndPositionAndRemovedAtIsNull(id, position)
                .ifPresent(old -> old.remove(since == null ? clock.instant() : since, keepOld));
        fitted.flush();
        return fitted.save(new FittedStringEntity(id, position, kindId, since, hoursBefore, signs))
                .id();
    }

    /** Adds to what is known of how much an instrument gives, and of how much sticks in its grooves. */
    @Transactional
    public void learn(UUID id, Collection<Coupling.Observation> sinkings, Learned.Leans leans) {
        entity(id).learn(sinkings, leans);
    }

    /** Records that a string came off and nothing went on in its place. */
    @Transactional
    public void takeOff(UUID id, Position position, boolean keep) {
        entity(id);
        fitted.findByInstrumentIdAndPositionAndRemovedAtIsNull(id, position)
                .ifPresent(old -> old.remove(clock.instant(), keep));
    }

    /** Records that a string broke and one of the same kind has gone on in its place now. */
    @Transactional
    public void replaceBroken(UUID id, Position position) {
        fitted.findByInstrumentIdAndPositionAndRemovedAtIsNull(id, position)
                .ifPresent(old -> fit(id, position, old.kindId(), clock.instant(), 0, Set.of(), false));
    }

    /**
     * Notes something.
     *
     * @param id the instrument
     * @param note what
     * @param refer whether it is work for a repairer
     */
    @Transactional
    public void note(UUID id, Note note, boolean refer) {
        entity(id);
        notes.save(new NoteEntity(id, note, noteForms, refer, clock.instant(), CurrentWorkshop.recordedBy()));
    }

    private Referral referral(NoteEntity entity) {
        Note note = entity.note(noteForms);
        return new Referral(entity.id(), note, noteWords.says(note), entity.recordedAt(), entity.recordedBy());
    }

    /** Records that a repairer has seen to it. */
    @Transactional
    void settle(UUID id, UUID noteId) {
        notes.findById(noteId)
                .filter(note -> note.instrumentId().equals(id))
                .orElseThrow(() -> new NotFoundException("note " + noteId))
                .settle(clock.instant());
    }

    boolean nameTaken(String name) {
        return instruments.existsByNameIgnoreCase(name);
    }

    /** Records what is seen or heard on a string now. */
    @Transactional
    void look(UUID id, Position position, Set<WearSign> signs) {
        entity(id);
        fitted.findByInstrumentIdAndPositionAndRemovedAtIsNull(id, position)
                .orElseThrow(() -> new NotFoundException("string " + position))
                .setSigns(signs);
    }

    /** {@return what was recorded about an instrument, newest first} */
    List<LogEntry> log(UUID id) {
        Map<UUID, StringKind> kindsById = kinds.all();
        List<LogEntry> log = new ArrayList<>();
        measurements.findByInstrumentIdOrderByMeasuredOnAscRecordedAtAsc(id).stream()
                .collect(Collectors.groupingBy(one -> List.of(one.measuredOn(), one.recordedBy())))
                .values()
                .forEach(sitting -> log.add(LogEntry.measured(sitting)));
        for (PegLook look : pegLooks(id)) {
            log.add(LogEntry.looked(look));
        }
        for (NoteEntity note : notes.findByInstrumentIdOrderByRecordedAt(id)) {
            String kind = note.refer() ? "REFERRED" : "NOTED";
            String text = noteWords.says(note.note(noteForms));
            log.add(LogEntry.of(note.recordedAt(), kind, null, text, note.recordedBy()));
            if (note.settledAt() != null) {
                log.add(LogEntry.of(note.settledAt(), "SETTLED", null, text, null));
            }
        }
        for (FittedStringEntity string : fitted.findByInstrumentIdOrderByPosition(id)) {
            StringKind kind = kindsById.get(string.kindId());
            if (string.fittedAt() != null) {
                log.add(LogEntry.of(string.fittedAt(), "WENT_ON", string.position(), kind.label(), null));
            }
            if (string.removedAt() != null) {
                log.add(LogEntry.of(
                        string.removedAt(),
                        string.kept() ? "CAME_OFF_KEPT" : "CAME_OFF",
                        string.position(),
                        kind.label(),
                        null));
            }
        }
        log.sort(Comparator.comparing(LogEntry::at).reversed());
        return log;
    }

    private InstrumentEntity entity(UUID id) {
        return instruments.findById(id).orElseThrow(() -> new NotFoundException("instrument " + id));
    }

    private Standing standing(Listed one, List<FittedNow> on, Set<UUID> referred, Map<UUID, StringKind> kindsById) {
        List<StringOn> strings = strings(one, on, kindsById);
        return new Standing(
                one.id(), one.name(), referred.contains(one.id()), strings.size() == one.strings(), strings);
    }

    private List<StringOn> strings(Listed one, List<FittedNow> on, Map<UUID, StringKind> kindsById) {
        Instant now = clock.instant();
        return on.stream()
                .sorted(Comparator.comparing(FittedNow::position))
                .map(string -> StringOn.of(
                        string, kindsById.get(string.kindId()), one.family(), one.hoursPerWeek(), one.demand(), now))
                .toList();
    }

    private Instrument view(
            InstrumentEntity entity,
            List<MeasurementEntity> measured,
            List<FittedNow> on,
            List<NoteEntity> referred,
            List<PegLookEntity> looked,
            Map<UUID, StringKind> kindsById) {
        Map<Measurable, Figure> figures = new HashMap<>();
        Map<Position, List<Collar>> collars = new EnumMap<>(Position.class);
        for (MeasurementEntity one : measured) {
            Measurable measurable = one.measurable();
            figures.put(
                    measurable,
                    Figure.measured(one.value(), measurable.quantity().unit()));
            if (measurable.quantity() == Quantity.COLLAR_TO_WALL) {
                collars.computeIfAbsent(measurable.position(), none -> new ArrayList<>())
                        .add(new Collar(one.measuredOn(), one.value()));
            }
        }
        Map<Position, Set<PegSign>> pegSigns = new EnumMap<>(Position.class);
        looked.stream().map(PegLookEntity::look).forEach(look -> pegSigns.put(look.position(), look.signs()));
        SetUp setUp = entity.setUp(figures);
        List<StringOn> strings = strings(entity.listed(), on, kindsById);
        return new Instrument(
                entity.id(),
                entity.name(),
                setUp,
                entity.hoursPerWeek(),
                entity.demand(),
                strings,
                referred.stream().map(this::referral).toList(),
                entity.fittings(),
                pegSigns,
                collars,
                measured.stream()
                        .filter(one -> one.measurable().quantity() == Quantity.BRIDGE_GAP)
                        .map(MeasurementEntity::measuredOn)
                        .max(Comparator.naturalOrder())
                        .orElse(null),
                entity.coupling(),
                entity.stuck(),
                entity.bands());
    }
}
