package rosinedpeg.web.instrument;

import java.util.Optional;
import java.util.UUID;

/**
 * How much was played on a string by some moment.
 *
 * @param instrumentId on which instrument
 * @param kindId what it is
 * @param on whether it was still on it then
 * @param hours hours played on it, where that is known
 */
public record Played(UUID instrumentId, UUID kindId, boolean on, Optional<Double> hours) {}
