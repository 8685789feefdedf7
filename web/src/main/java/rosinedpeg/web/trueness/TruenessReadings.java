package rosinedpeg.web.trueness;

import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.hearing.Trueness;
import rosinedpeg.web.listen.PitchFrom;
import rosinedpeg.web.platform.CurrentWorkshop;

/** How true strings were found. */
@Service
@Transactional(readOnly = true)
public class TruenessReadings {

    private final TruenessReadingRepository readings;
    private final Clock clock;

    TruenessReadings(TruenessReadingRepository readings, Clock clock) {
        this.readings = readings;
        this.clock = clock;
    }

    /** {@return what was read of a string, and not taken back} */
    public StringTrueness of(UUID fittedId) {
        return StringTrueness.of(readings.findByFittedStringIdAndTakenBackAtIsNullOrderByReadAtAscIdAsc(fittedId));
    }

    /**
     * Records a reading; one that was already sent changes nothing.
     *
     * @param fittedId the very string
     * @param press the press of a button, or a reading that was heard
     * @param at when it was taken
     * @param from typed or heard
     * @param trueness what was found
     */
    @Transactional
    public void record(UUID fittedId, UUID press, Instant at, PitchFrom from, Trueness trueness) {
        if (!readings.existsByPress(press)) {
            readings.saveAndFlush(
                    new TruenessReadingEntity(fittedId, press, at, from, trueness, CurrentWorkshop.person()));
        }
    }

    /** Takes a reading back; one that was taken back already, or is of another string, changes nothing. */
    @Transactional
    public void takeBack(UUID fittedId, UUID readingId) {
        readings.findByIdAndFittedStringIdAndTakenBackAtIsNull(readingId, fittedId)
                .ifPresent(reading -> reading.takeBack(clock.instant(), CurrentWorkshop.person()));
    }
}
