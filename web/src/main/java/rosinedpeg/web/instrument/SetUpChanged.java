package rosinedpeg.web.instrument;

import java.util.UUID;

/**
 * Something of an instrument was measured, or its strings hang on something else now.
 *
 * @param instrumentId the instrument
 */
record SetUpChanged(UUID instrumentId) implements InstrumentEvent {}
