package rosinedpeg.web.instrument;

import java.time.Instant;
import java.util.UUID;

/**
 * An instrument has come to the rack.
 *
 * @param instrumentId its id
 * @param name its name
 * @param at when
 */
public record InstrumentAdded(UUID instrumentId, String name, Instant at) implements InstrumentEvent {}
