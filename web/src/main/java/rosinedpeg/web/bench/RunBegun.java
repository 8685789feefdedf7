package rosinedpeg.web.bench;

import java.util.UUID;
import rosinedpeg.web.instrument.InstrumentEvent;

/**
 * An instrument has come to the bench.
 *
 * @param instrumentId the instrument
 * @param runId the run
 */
record RunBegun(UUID instrumentId, UUID runId) implements InstrumentEvent {}
