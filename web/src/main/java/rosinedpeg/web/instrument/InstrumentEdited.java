package rosinedpeg.web.instrument;

import java.util.UUID;

/**
 * What an instrument is called, how it is set up or how it is played has been changed.
 *
 * @param instrumentId its id
 * @param name its name now
 */
public record InstrumentEdited(UUID instrumentId, String name) implements InstrumentEvent {}
