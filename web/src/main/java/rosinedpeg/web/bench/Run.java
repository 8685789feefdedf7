package rosinedpeg.web.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.strings.Position;

/**
 * A run as it stands.
 *
 * @param id its id
 * @param instrumentId the instrument
 * @param reason why it is done
 * @param startedAt when it began
 * @param startedBy who began it
 * @param endedAt when it was over, if it is
 * @param replacements the kinds of string that go on
 * @param state where it stands
 * @param events its ledger
 */
public record Run(
        UUID id,
        UUID instrumentId,
        Reason reason,
        Instant startedAt,
        UUID startedBy,
        @Nullable Instant endedAt,
        Map<Position, UUID> replacements,
        BenchState state,
        List<BenchEvent> events) {

    /** {@return the time it has taken} */
    public Duration taken(Instant now) {
        return Duration.between(startedAt, endedAt == null ? now : endedAt);
    }

    /** {@return the same as a clock shows it, as 4:07} */
    public String clock(Instant now) {
        Duration taken = taken(now);
        return taken.toMinutes() + ":" + "%02d".formatted(taken.toSecondsPart());
    }

    /** {@return the number of the step in hand, from 1} */
    public int stepNumber() {
        return state.now().map(step -> step.index() + 1).orElse(steps());
    }

    /** {@return how many steps there are} */
    public int steps() {
        return state.plan().steps().size();
    }

    /** {@return what was noted, oldest first} */
    public List<BenchEvent.Noted> notes() {
        return events.stream()
                .filter(BenchEvent.Noted.class::isInstance)
                .map(BenchEvent.Noted.class::cast)
                .toList();
    }

    /** {@return the strings that are off} */
    public List<Position> off() {
        return state.plan().setUp().positions().stream()
                .filter(position -> state.tensionsN().getOrDefault(position, 0.0) == 0)
                .toList();
    }
}
