package rosinedpeg.web.instrument;

import java.util.UUID;

/**
 * A string has been recorded as no longer on an instrument.
 *
 * @param instrumentId the instrument
 * @param fittedId the id of this very string
 * @param kindId what it is
 * @param kept whether it is kept as a spare
 */
public record StringTakenOff(UUID instrumentId, UUID fittedId, UUID kindId, boolean kept) implements InstrumentEvent {}
