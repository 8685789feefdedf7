package rosinedpeg.web.bench;

import java.util.UUID;
import rosinedpeg.web.instrument.InstrumentEvent;

/**
 * A run is over, led to its end or not, and what it made of the instrument is recorded.
 *
 * @param instrumentId the instrument
 * @param runId the run
 */
record RunFinished(UUID instrumentId, UUID runId) implements InstrumentEvent {}
