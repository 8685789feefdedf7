package rosinedpeg.web.instrument;

import java.util.UUID;

/**
 * What is seen or heard on a string has been recorded.
 *
 * @param instrumentId the instrument it is on
 */
record StringLookedAt(UUID instrumentId) implements InstrumentEvent {}
