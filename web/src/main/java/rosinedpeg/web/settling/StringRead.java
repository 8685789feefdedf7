package rosinedpeg.web.settling;

import java.util.UUID;
import rosinedpeg.web.instrument.InstrumentEvent;

/**
 * A settling string has been read.
 *
 * @param instrumentId the instrument it is on
 * @param fittedId the id of this very string
 */
record StringRead(UUID instrumentId, UUID fittedId) implements InstrumentEvent {}
