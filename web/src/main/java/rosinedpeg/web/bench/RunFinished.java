package rosinedpeg.web.bench;

import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.web.instrument.InstrumentEvent;

/**
 * A run is over, led to its end or not, and what it made of the instrument is recorded.
 *
 * @param instrumentId the instrument
 * @param runId the run
 * @param done what was done; empty where it was not led to its end
 */
public record RunFinished(UUID instrumentId, UUID runId, Optional<PlanKind> done) implements InstrumentEvent {}
