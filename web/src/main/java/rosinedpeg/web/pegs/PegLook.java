package rosinedpeg.web.pegs;

import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.strings.Position;

/**
 * A look at a peg.
 *
 * @param position whose
 * @param pegs what its string was wound on then; empty where it was recorded before that was kept
 * @param signs what was seen, felt or heard; nothing when it is as it should be
 * @param treatment what was done to it
 * @param text what else there is to say
 * @param on the day
 * @param by who looked
 */
public record PegLook(
        Position position,
        Optional<PegKind> pegs,
        Set<PegSign> signs,
        Optional<PegTreatment> treatment,
        @Nullable String text,
        LocalDate on,
        UUID by) {

    /** {@return whether it tells of a peg as it is now: one that has made way for another does not} */
    boolean isOf(PegKind now) {
        return pegs.isEmpty() || pegs.get() == now;
    }
}
