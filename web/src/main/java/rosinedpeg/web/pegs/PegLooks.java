package rosinedpeg.web.pegs;

import java.time.Clock;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.pegs.PegDiagnosis;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.LogEntry;
import rosinedpeg.web.instrument.LogSource;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ReadOnce;

/** What was seen of the pegs of the instruments. */
@Service
@Transactional(readOnly = true)
public class PegLooks implements LogSource {

    /** So many of the latest looks that found something are asked for what wants treatment. */
    private static final int MOST_LOOKS = 400;

    private final Instruments instruments;
    private final PegLookRepository looks;
    private final Clock clock;
    private final ReadOnce<UUID, List<PegLook>> read = new ReadOnce<>();

    PegLooks(Instruments instruments, PegLookRepository looks, Clock clock) {
        this.instruments = instruments;
        this.looks = looks;
        this.clock = clock;
    }

    /**
     * Records a look at a peg; one that was already taken changes nothing.
     *
     * @param id the instrument
     * @param look what was seen, and done
     * @param measured what was measured with it
     * @param press the press of the button that this is
     * @throws rosinedpeg.web.platform.NotFoundException when this workshop has no such instrument
     */
    @Transactional
    public void record(UUID id, PegLook look, Map<Measurable, Double> measured, UUID press) {
        instruments.require(id);
        if (!looks.existsByPress(press)) {
            looks.save(new PegLookEntity(id, look, press, clock.instant()));
            instruments.measure(id, measured, look.on(), press);
        }
    }

    /** {@return every look at an instrument's pegs, and at those that were there before, the latest first} */
    List<PegLook> of(UUID id) {
        return read.one(
                id,
                () -> looks.findByInstrumentIdOrderByLookedOnDescRecordedAtDesc(id).stream()
                        .map(PegLookEntity::look)
                        .toList());
    }

    /**
     * What was noticed of an instrument's pegs.
     *
     * @param id the instrument
     * @param pegs what its strings are wound on
     * @return what was noticed last at each that was looked at
     */
    public Map<Position, Set<PegSign>> signs(UUID id, PegKind pegs) {
        Map<Position, Set<PegSign>> signs = new EnumMap<>(Position.class);
        last(id, pegs).forEach((position, look) -> signs.put(position, look.signs()));
        return signs;
    }

    private Map<Position, PegLook> last(UUID id, PegKind pegs) {
        Map<Position, PegLook> last = new EnumMap<>(Position.class);
        of(id).stream().filter(look -> look.isOf(pegs)).forEach(look -> last.putIfAbsent(look.position(), look));
        return last;
    }

    /**
     * How the pegs of an instrument behave.
     *
     * @param id the instrument
     * @param pegs what its strings are wound on
     * @return how each does that was looked at, by the last look
     */
    public Map<Position, PegCondition> conditions(UUID id, PegKind pegs) {
        Map<Position, PegCondition> conditions = new EnumMap<>(Position.class);
        signs(id, pegs).forEach((position, signs) -> conditions.put(position, PegCondition.of(signs)));
        return conditions;
    }

    /**
     * The pegs of one instrument that stick or slip, by the last look at each, and were not treated then.
     *
     * @param id the instrument
     * @param pegs what its strings are wound on
     * @return how each of them behaves
     */
    public Map<Position, PegCondition> toTreat(UUID id, PegKind pegs) {
        Map<Position, PegCondition> toTreat = new EnumMap<>(Position.class);
        last(id, pegs).forEach((position, look) -> {
            if (look.treatment().isEmpty() && PegDiagnosis.wantsTreatment(look.signs())) {
                toTreat.put(position, PegCondition.of(look.signs()));
            }
        });
        return toTreat;
    }

    /**
     * The pegs that stick or slip, by the last look at each within a year, and were not treated then.
     *
     * @return for each instrument that has such a peg the day of the latest of those looks
     */
    public Map<UUID, LocalDate> toTreat() {
        Map<UUID, LocalDate> toTreat = new LinkedHashMap<>();
        looks.lastSince(CurrentWorkshop.today(clock).minusYears(1), Limit.of(MOST_LOOKS)).stream()
                .filter(entity -> PegDiagnosis.wantsTreatment(entity.look().signs()))
                .forEach(entity ->
                        toTreat.putIfAbsent(entity.instrumentId(), entity.look().on()));
        return toTreat;
    }

    @Override
    public List<LogEntry> log(UUID id, int newest) {
        return of(id).stream()
                .limit(newest)
                .map(look -> LogEntry.on(look.on(), "PEG_LOOKED", look.position(), look.by()))
                .toList();
    }
}
