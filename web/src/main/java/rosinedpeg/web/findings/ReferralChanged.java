package rosinedpeg.web.findings;

import java.util.UUID;
import rosinedpeg.web.instrument.InstrumentEvent;

/**
 * Something has become work for a repairer, or a repairer has seen to it.
 *
 * @param instrumentId the instrument
 */
record ReferralChanged(UUID instrumentId) implements InstrumentEvent {}
