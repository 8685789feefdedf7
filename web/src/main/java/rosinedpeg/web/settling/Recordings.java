package rosinedpeg.web.settling;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.hearing.RecordedTuning.Tuned;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.platform.WaitingFiles;
import tools.jackson.databind.json.JsonMapper;

/**
 * Recordings of somebody who tunes. What was heard of each string, and not the sound, waits until somebody has seen it and says what is to be
 * taken; that becomes a reading of each string that settles.
 */
@Service
@Transactional
class Recordings {

    private static final WaitingFiles.Purpose PURPOSE = WaitingFiles.Purpose.RECORDING;
    private static final long MILLIS_PER_SECOND = 1000;

    private final WaitingFiles waiting;
    private final Settlings settlings;
    private final JsonMapper json;

    Recordings(WaitingFiles waiting, Settlings settlings, JsonMapper json) {
        this.waiting = waiting;
        this.settlings = settlings;
        this.json = json;
    }

    /**
     * What was heard of an instrument.
     *
     * @param begunAt when the recording began
     * @param strings each of its very strings that was heard
     */
    record Heard(Instant begunAt, List<One> strings) {}

    /**
     * What was heard of a string.
     *
     * @param fittedId the very string
     * @param position where it is
     * @param tuned how it was found and left
     */
    record One(UUID fittedId, Position position, Tuned tuned) {}

    /** {@return where it waits what was heard of an instrument} */
    UUID keep(Standing instrument, Instant begunAt, Map<Position, Tuned> heard) {
        List<One> strings = instrument.strings().stream()
                .filter(string -> heard.containsKey(string.position()))
                .map(string -> new One(
                        string.fittedId(), string.position(), string.position().in(heard)))
                .toList();
        return waiting.keep(PURPOSE, json.writeValueAsString(new Heard(begunAt, strings)));
    }

    /** {@return what a recording that waits would add; empty when it no longer waits} */
    @Transactional(readOnly = true)
    Optional<Preview> preview(UUID id) {
        return waiting.content(PURPOSE, id).map(content -> {
            Heard heard = json.readValue(content, Heard.class);
            Map<UUID, SettlingString> strings =
                    settlings.get(heard.strings().stream().map(One::fittedId).toList());
            return new Preview(
                    heard.begunAt(),
                    heard.strings().stream()
                            .map(one -> line(heard, one, Optional.ofNullable(strings.get(one.fittedId()))))
                            .toList());
        });
    }

    private static Line line(Heard heard, One one, Optional<SettlingString> string) {
        Instant at =
                heard.begunAt().plus(Duration.ofMillis(Math.round(one.tuned().foundAtSeconds() * MILLIS_PER_SECOND)));
        return new Line(
                one.position(),
                string.map(SettlingString::string),
                at,
                one.tuned(),
                string.map(settling -> fate(settling, at, one.tuned())).orElse(Fate.NO_DAY));
    }

    private static Fate fate(SettlingString string, Instant at, Tuned tuned) {
        if (at.isBefore(string.fittedAt())) {
            return Fate.BEFORE;
        }
        return SettlingController.READING.contains(tuned.found().value()) ? Fate.NEW : Fate.TOO_FAR;
    }

    /** {@return how many readings were taken of the strings of a recording that were chosen; empty when it no longer waits} */
    Optional<Integer> take(UUID id, Set<Position> chosen) {
        return preview(id).map(preview -> {
            List<Line> taken = preview.lines().stream()
                    .filter(line -> line.fate() == Fate.NEW && chosen.contains(line.position()))
                    .toList();
            taken.forEach(line -> settlings.read(
                    line.string().orElseThrow().fittedId(),
                    press(id, line.position()),
                    line.at(),
                    line.tuned().found().value(),
                    line.tuned().retuned()));
            waiting.taken(id);
            return taken.size();
        });
    }

    /** A string of a recording is read once, however often it is sent. */
    private static UUID press(UUID id, Position position) {
        return UUID.nameUUIDFromBytes((id + position.name()).getBytes(StandardCharsets.UTF_8));
    }

    /** What becomes of a string of a recording. */
    enum Fate {
        NEW,
        /** Nobody knows since when it is on, or it has come off. */
        NO_DAY,
        /** It went on after the recording. */
        BEFORE,
        /** Further off than a reading may be. */
        TOO_FAR
    }

    /**
     * A string of a recording.
     *
     * @param position where it is
     * @param string the string; empty when nobody knows since when it is on, or it has come off
     * @param at when it was found
     * @param tuned how it was found and left
     * @param fate what becomes of it
     */
    record Line(Position position, Optional<StringOn> string, Instant at, Tuned tuned, Fate fate) {}

    /**
     * What a recording would add.
     *
     * @param begunAt when it began
     * @param lines string by string
     */
    record Preview(Instant begunAt, List<Line> lines) {

        /** {@return how many readings it can give} */
        public long fresh() {
            return lines.stream().filter(line -> line.fate() == Fate.NEW).count();
        }
    }
}
