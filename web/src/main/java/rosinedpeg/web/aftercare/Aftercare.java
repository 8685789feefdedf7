package rosinedpeg.web.aftercare;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.care.Rosining;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.LogEntry;
import rosinedpeg.web.instrument.LogSource;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;

/** What is left to do on instruments after work on them, and the care of strings and bows between. */
@Service
@Transactional(readOnly = true)
public class Aftercare implements LogSource {

    private final Instruments instruments;
    private final OwedWorkRepository owed;
    private final CareRepository cares;
    private final OwedWords words;
    private final Clock clock;

    Aftercare(Instruments instruments, OwedWorkRepository owed, CareRepository cares, OwedWords words, Clock clock) {
        this.instruments = instruments;
        this.owed = owed;
        this.cares = cares;
        this.words = words;
        this.clock = clock;
    }

    /** {@return what is left to do on an instrument, the longest owed first} */
    public List<OwedWork> owed(UUID instrumentId) {
        return owed.findByInstrumentIdAndDoneAtIsNullOrderByOwedSince(instrumentId).stream()
                .map(OwedWorkEntity::view)
                .toList();
    }

    /** {@return what is left to do on any instrument, by the instrument's id, the longest owed first, and no more than so much} */
    public Map<UUID, List<OwedWork>> owed(int most) {
        return owed.findByDoneAtIsNullOrderByOwedSince(Limit.of(most)).stream()
                .collect(Collectors.groupingBy(
                        OwedWorkEntity::instrumentId,
                        LinkedHashMap::new,
                        Collectors.mapping(OwedWorkEntity::view, Collectors.toList())));
    }

    /**
     * Records a step that was left out and has to be made up for; what is owed already is not owed twice.
     *
     * @param instrumentId the instrument
     * @param step the step
     * @param strings the strings it concerns, none for the whole instrument
     */
    @Transactional
    public void owe(UUID instrumentId, StepKind step, Collection<Position> strings) {
        boolean there = owed(instrumentId).stream()
                .anyMatch(work -> work.step() == step && work.strings().equals(List.copyOf(strings)));
        if (!there) {
            owed.save(OwedWorkEntity.step(instrumentId, step, strings, clock.instant()));
        }
    }

    /**
     * Records that the case kit wants restocking.
     *
     * @param instrumentId the instrument it was used for
     * @param strings the strings that were used
     * @param materials what else was used up
     */
    @Transactional
    public void restock(UUID instrumentId, Collection<Position> strings, Collection<Material> materials) {
        owed.save(OwedWorkEntity.restock(instrumentId, strings, materials, clock.instant()));
    }

    /**
     * Records that something owed has been done; a second time changes nothing.
     *
     * @throws NotFoundException when the instrument owes no such thing
     */
    @Transactional
    public void done(UUID instrumentId, UUID workId) {
        owed.findById(workId)
                .filter(work -> work.instrumentId().equals(instrumentId))
                .orElseThrow(() -> new NotFoundException("owed work " + workId))
                .done(clock.instant(), CurrentWorkshop.person());
    }

    /** Records that strings or bow were cared for; a press that was already taken changes nothing. */
    @Transactional
    public void care(UUID instrumentId, CareKind kind, UUID press) {
        instruments.require(instrumentId);
        if (!cares.existsByPress(press)) {
            cares.save(new CareEntity(instrumentId, kind, press, clock.instant(), CurrentWorkshop.person()));
        }
    }

    /** {@return when each kind of care was taken last; what never was is missing} */
    public Map<CareKind, Instant> lastCare(UUID instrumentId) {
        Map<CareKind, Instant> last = new EnumMap<>(CareKind.class);
        cares.last(instrumentId).forEach(care -> last.put(care.kind(), care.at()));
        return last;
    }

    /** {@return how often rosin went on lately, against how much the instrument is played} */
    public Rosining rosining(Instrument instrument, ZoneId zone) {
        Instant now = clock.instant();
        return Rosining.of(
                cares
                        .findByInstrumentIdAndKindAndAtAfter(
                                instrument.id(), CareKind.ROSINED, now.minus(Duration.ofDays(Rosining.DAYS + 1)))
                        .stream()
                        .map(care -> care.at().atZone(zone).toLocalDate())
                        .toList(),
                instrument.hoursPerWeek(),
                now.atZone(zone).toLocalDate());
    }

    @Override
    public List<LogEntry> log(UUID instrumentId, int newest) {
        List<LogEntry> log = new ArrayList<>();
        for (OwedWorkEntity work : owed.latest(instrumentId, Limit.of(newest))) {
            OwedWork view = work.view();
            if (!view.restocks()) {
                log.add(LogEntry.of(view.since(), "OWED", null, words.says(view), null));
            }
            if (work.doneAt() != null) {
                log.add(LogEntry.of(work.doneAt(), "OWED_DONE", null, words.says(view), work.doneBy()));
            }
        }
        for (CareEntity care : cares.findByInstrumentIdOrderByAtDesc(instrumentId, Limit.of(newest))) {
            log.add(LogEntry.of(care.at(), "CARE_" + care.kind(), null, null, care.recordedBy()));
        }
        return log;
    }
}
