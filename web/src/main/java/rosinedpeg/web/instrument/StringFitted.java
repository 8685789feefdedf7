package rosinedpeg.web.instrument;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A string has been recorded as on an instrument.
 *
 * @param instrumentId the instrument
 * @param fittedId the id of this very string
 * @param fittedAt since when it is on; empty when nobody knows
 */
public record StringFitted(UUID instrumentId, UUID fittedId, Optional<Instant> fittedAt) implements InstrumentEvent {}
