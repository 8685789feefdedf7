package rosinedpeg.web.sound;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.kinds.StringKind;

/**
 * What somebody said of how a string sounds.
 *
 * @param id its id
 * @param instrumentId on which instrument
 * @param position which string
 * @param kind what it is
 * @param moment when in its life
 * @param at when it was said
 * @param by by whom
 * @param hours how many hours had been played on it, where that is known
 * @param days how many days it had been on, where that is known
 * @param words what was said
 */
public record Heard(
        UUID id,
        UUID instrumentId,
        Position position,
        StringKind kind,
        SoundMoment moment,
        Instant at,
        UUID by,
        Optional<Double> hours,
        Optional<Long> days,
        InWords words) {}
