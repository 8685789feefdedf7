package rosinedpeg.web.instrument;

import java.time.Instant;
import java.util.Map;
import java.util.UUID;

/**
 * An instrument that had left the rack is on it again.
 *
 * @param instrumentId its id
 * @param name its name
 * @param arrivedAt when it came to the rack first
 * @param fittedAt the ids of the strings that are on it, with the moment each went on, where anybody knows that
 */
public record InstrumentBroughtBack(UUID instrumentId, String name, Instant arrivedAt, Map<UUID, Instant> fittedAt)
        implements InstrumentEvent {}
