package rosinedpeg.web.instrument;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.Lived;

/**
 * A string of a kind, on an instrument or come off, as far as it says how long such strings last.
 *
 * @param instrumentId where it is or was
 * @param instrument what that is called
 * @param position which string
 * @param fittedAt since when
 * @param removedAt when it came off; empty while it is on
 * @param why why it came off, where that was said
 * @param where where it broke, where that was said
 * @param lived how long it lasted
 */
public record PastString(
        UUID instrumentId,
        String instrument,
        Position position,
        Instant fittedAt,
        Optional<Instant> removedAt,
        Optional<CameOff> why,
        Optional<BreakPlace> where,
        Lived lived) {}
