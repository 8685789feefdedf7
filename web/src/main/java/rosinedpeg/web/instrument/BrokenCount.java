package rosinedpeg.web.instrument;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.causes.BreakPlace;

/**
 * How many strings of a kind broke on an instrument.
 *
 * @param kindId what they were
 * @param instrumentId where they were
 * @param where where they broke; null where nobody said
 * @param strings how many
 */
public record BrokenCount(
        UUID kindId, UUID instrumentId, @Nullable BreakPlace where, long strings) {}
