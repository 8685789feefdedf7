package rosinedpeg.web.lend;

import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.lending.Loan;

/**
 * One instrument with one borrower.
 *
 * @param id its id
 * @param instrumentId which instrument
 * @param instrument what that is called
 * @param borrowerId who has it; empty when they were removed since
 * @param borrower what they are called
 * @param days from when to when
 * @param withIt what goes with it
 * @param note what else was agreed; may be empty
 * @param outAt when it was handed out; empty while it was not
 * @param outBy who handed it out
 * @param outLook how it was then; empty when nobody looked
 * @param backAt when it was taken back; empty while it was not
 * @param backBy who took it back
 * @param backLook how it was then; empty when nobody looked
 * @param version how often it has been changed
 */
record Lent(
        UUID id,
        UUID instrumentId,
        String instrument,
        Optional<UUID> borrowerId,
        Optional<String> borrower,
        Loan days,
        Set<WithIt> withIt,
        String note,
        Optional<Instant> outAt,
        @Nullable UUID outBy,
        Optional<Look> outLook,
        Optional<Instant> backAt,
        @Nullable UUID backBy,
        Optional<Look> backLook,
        int version) {

    /** {@return whether it has gone out and not come back} */
    public boolean isOut() {
        return outAt.isPresent() && backAt.isEmpty();
    }

    /** {@return whether it has not gone out yet} */
    public boolean isPromised() {
        return outAt.isEmpty();
    }
}
