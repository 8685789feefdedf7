package rosinedpeg.web.instrument;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
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

    private final InstrumentRepository instruments;
    private final MeasurementRepository measurements;
    private final FittedStringRepository fitted;
    private final NoteRepository notes;
    private final StringKinds kinds;
    private final Clock clock;

    Instruments(
            InstrumentRepository instruments,
            MeasurementRepository measurements,
            FittedStringRepository fitted,
            NoteRepository notes,
            StringKinds kinds,
            Clock clock) {
        this.instruments = instruments;
        this.measurements = measurements;
        this.fitted = fitted;
        this.notes = notes;
        this.kinds = kinds;
        this.clock = clock;
    }

    /** {@return every instrument, in the order they came to the rack; five queries however many there are} */
    public List<Instrument> all() {
        Map<UUID, List<MeasurementEntity>> measured = measurements.findAllByOrderByMeasuredOnAscRecordedAtAsc().stream()
                .collect(Collectors.groupingBy(MeasurementEntity::instrumentId));
        Map<UUID, List<FittedStringEntity>> strings = fitted.findByRemovedAtIsNull().stream()
                .collect(Collectors.groupingBy(FittedStringEntity::instrumentId));
        Map<UUID, List<NoteEntity>> referred = notes.findByReferTrueAndSettledAtIsNullOrderByRecordedAt().stream()
                .collect(Collectors.groupingBy(NoteEntity::instrumentId));
        Map<UUID, StringKind> kindsById = kinds.all();
        return instruments.findAllByOrderByCreatedAt().stream()
                .map(entity -> view(
                        entity,
                        measured.getOrDefault(entity.id(), List.of()),
                        strings.getOrDefault(entity.id(), List.of()),
                        referred.getOrDefault(entity.id(), List.of()),
                        kindsById))
                .toList();
    }

    /**
     * One instrument.
     *
     * @throws NotFoundException when this workshop has none with that id
     */
    public Instrument get(UUID id) {
        InstrumentEntity entity = entity(id);
        List<FittedStringEntity> on = fitted.findByInstrumentIdOrderByPosition(id).stream()
                .filter(string -> string.removedAt() == null)
                .toList();
        return view(
                entity,
                measurements.findByInstrumentIdOrderByMeasuredOnAscRecordedAtAsc(id),
                on,
                notes.findByInstrumentIdOrderByRecordedAt(id).stream()
                        .filter(note -> note.refer() && note.settledAt() == null)
                        .toList(),
                kinds.all());
    }

    /** Puts an instrument on the rack. */
    @Transactional
    public UUID add(NewInstrument wanted) {
        return instruments
                .saveAndFlush(new InstrumentEntity(wanted, clock.instant()))
                .id();
    }

    /** Records a measurement; the range has been checked. */
    @Transactional
    public void measure(UUID id, Quantity quantity, double value, LocalDate measuredOn) {
        SetUp setUp = get(id).setUp();
        if (setUp.figure(quantity) == null) {
            throw new NotFoundException(quantity + " of " + id);
        }
        setUp.rangeOf(quantity).require(quantity.name(), value);
        measurements.save(
                new MeasurementEntity(id, quantity, value, measuredOn, clock.instant(), CurrentWorkshop.recordedBy()));
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

    /**
     * Notes something that was noticed.
     *
     * @param id the instrument
     * @param text what was noticed, at most 500 characters
     * @param refer whether it is work for a repairer
     */
    @Transactional
    public void note(UUID id, String text, boolean refer) {
        entity(id);
        notes.save(new NoteEntity(id, text, refer, clock.instant(), CurrentWorkshop.recordedBy()));
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
        for (MeasurementEntity measurement : measurements.findByInstrumentIdOrderByMeasuredOnAscRecordedAtAsc(id)) {
            log.add(LogEntry.measured(measurement));
        }
        for (NoteEntity note : notes.findByInstrumentIdOrderByRecordedAt(id)) {
            String kind = note.refer() ? "REFERRED" : "NOTED";
            log.add(new LogEntry(note.recordedAt(), kind, null, note.text(), null, 0, note.recordedBy()));
            if (note.settledAt() != null) {
                log.add(new LogEntry(note.settledAt(), "SETTLED", null, note.text(), null, 0, null));
            }
        }
        for (FittedStringEntity string : fitted.findByInstrumentIdOrderByPosition(id)) {
            StringKind kind = kindsById.get(string.kindId());
            if (string.fittedAt() != null) {
                log.add(new LogEntry(string.fittedAt(), "WENT_ON", string.position(), kind.label(), null, 0, null));
            }
            if (string.removedAt() != null) {
                log.add(new LogEntry(
                        string.removedAt(),
                        string.kept() ? "CAME_OFF_KEPT" : "CAME_OFF",
                        string.position(),
                        kind.label(),
                        null,
                        0,
                        null));
            }
        }
        log.sort(Comparator.comparing(LogEntry::at).reversed());
        return log;
    }

    private InstrumentEntity entity(UUID id) {
        return instruments.findById(id).orElseThrow(() -> new NotFoundException("instrument " + id));
    }

    private Instrument view(
            InstrumentEntity entity,
            List<MeasurementEntity> measured,
            List<FittedStringEntity> on,
            List<NoteEntity> referred,
            Map<UUID, StringKind> kindsById) {
        Map<Quantity, Figure> figures = new EnumMap<>(Quantity.class);
        measured.forEach(m -> figures.put(
                m.quantity(), Figure.measured(m.value(), m.quantity().unit())));
        SetUp setUp = entity.setUp(figures);
        Instant now = clock.instant();
        List<StringOn> strings = on.stream()
                .sorted(Comparator.comparing(FittedStringEntity::position))
                .map(string -> StringOn.of(
                        string, kindsById.get(string.kindId()), setUp, entity.hoursPerWeek(), entity.demand(), now))
                .toList();
        return new Instrument(
                entity.id(),
                entity.name(),
                setUp,
                entity.hoursPerWeek(),
                entity.demand(),
                strings,
                referred.stream().map(NoteEntity::referral).toList());
    }
}
