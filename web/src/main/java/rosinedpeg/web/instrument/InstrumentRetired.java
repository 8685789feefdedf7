package rosinedpeg.web.instrument;

import java.util.List;
import java.util.UUID;

/**
 * An instrument has left the rack; its record stays.
 *
 * @param instrumentId its id
 * @param fittedIds the ids of the strings that are on it
 */
public record InstrumentRetired(UUID instrumentId, List<UUID> fittedIds) implements InstrumentEvent {}
