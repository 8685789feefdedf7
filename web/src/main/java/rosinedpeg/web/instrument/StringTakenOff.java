package rosinedpeg.web.instrument;

import java.util.UUID;

/**
 * A string has been recorded as no longer on an instrument.
 *
 * @param instrumentId the instrument
 * @param fittedId the id of this very string
 */
public record StringTakenOff(UUID instrumentId, UUID fittedId) implements InstrumentEvent {}
