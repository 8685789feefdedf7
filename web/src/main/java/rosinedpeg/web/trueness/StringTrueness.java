package rosinedpeg.web.trueness;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.hearing.Trueness;
import rosinedpeg.core.hearing.Trueness.Change;
import rosinedpeg.core.hearing.Trueness.Verdict;
import rosinedpeg.web.listen.PitchFrom;

/**
 * How true a string was found, from day to day.
 *
 * @param readings what was read, the first first
 */
public record StringTrueness(List<Reading> readings) {

    /**
     * A reading.
     *
     * @param id its id
     * @param at when it was taken
     * @param from where its pitches are known from
     * @param trueness what was found
     * @param since what has become of the string since the first reading
     * @param by who recorded it
     */
    public record Reading(UUID id, Instant at, PitchFrom from, Trueness trueness, Change since, UUID by) {}

    static StringTrueness of(List<TruenessReadingEntity> entities) {
        List<Change> changes = Trueness.sinceTheFirst(
                entities.stream().map(TruenessReadingEntity::trueness).toList());
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < entities.size(); i++) {
            TruenessReadingEntity one = entities.get(i);
            readings.add(new Reading(
                    one.id(), one.readAt(), one.pitchFrom(), one.trueness(), changes.get(i), one.recordedBy()));
        }
        return new StringTrueness(readings);
    }

    /** {@return the last reading; empty where there is none} */
    public Optional<Reading> last() {
        return readings.isEmpty() ? Optional.empty() : Optional.of(readings.get(readings.size() - 1));
    }

    /** {@return whether the last reading says that it has become false} */
    public boolean isFalse() {
        return last().flatMap(reading -> reading.since().verdict())
                .filter(Verdict.FALSE::equals)
                .isPresent();
    }
}
