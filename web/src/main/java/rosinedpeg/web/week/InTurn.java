package rosinedpeg.web.week;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;

/** On which instruments two sets take turns. */
@Service
@Transactional(readOnly = true)
public class InTurn {

    /** On more instruments nobody keeps it up. */
    private static final Limit MOST = Limit.of(200);

    private final TwoSetsRepository all;
    private final Instruments instruments;
    private final Clock clock;

    InTurn(TwoSetsRepository all, Instruments instruments, Clock clock) {
        this.all = all;
        this.instruments = instruments;
        this.clock = clock;
    }

    /**
     * Two sets take turns.
     *
     * @param instrumentId on which instrument
     * @param weeks how many weeks each is on
     * @param from the first day of the first turn
     * @param by who said so
     */
    record Turns(UUID instrumentId, int weeks, LocalDate from, UUID by) {}

    /** {@return on which instruments} */
    List<Turns> all() {
        return all.findByOrderByFromDayAscInstrumentId(MOST).stream()
                .map(InTurn::view)
                .toList();
    }

    /** {@return how they take turns on one; empty where they do not} */
    Optional<Turns> on(UUID instrumentId) {
        return all.findById(instrumentId).map(InTurn::view);
    }

    private static Turns view(TwoSetsEntity row) {
        return new Turns(row.instrumentId(), row.weeks(), row.fromDay(), row.enteredBy());
    }

    /**
     * Two sets take turns from now on; said again, as it was said last.
     *
     * @param instrumentId on which instrument
     * @param weeks how many weeks each is on, 1 to 26
     * @param from the first day of the first turn
     */
    @Transactional
    public void begin(UUID instrumentId, int weeks, LocalDate from) {
        instruments.require(instrumentId);
        all.findById(instrumentId)
                .ifPresentOrElse(
                        row -> row.become(weeks, from, clock.instant(), CurrentWorkshop.person()),
                        () -> all.saveAndFlush(new TwoSetsEntity(
                                instrumentId, weeks, from, clock.instant(), CurrentWorkshop.person())));
    }

    /** They take no turns any more; a second time changes nothing. */
    @Transactional
    void end(UUID instrumentId) {
        all.findById(instrumentId).ifPresent(all::delete);
    }
}
