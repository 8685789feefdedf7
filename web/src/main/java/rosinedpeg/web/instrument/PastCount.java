package rosinedpeg.web.instrument;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.wear.CameOff;

/**
 * How many strings of a kind went one way on an instrument.
 *
 * @param kindId what they are
 * @param instrumentId where they were
 * @param why why they came off; null where nobody said, or while they are on
 * @param where where they broke; null where they did not, or nobody said
 * @param strings how many
 */
public record PastCount(
        UUID kindId,
        UUID instrumentId,
        @Nullable CameOff why,
        @Nullable BreakPlace where,
        long strings) {}
