package rosinedpeg.web.bench;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An open run whose plan or ledger this release cannot read. Nothing of it is lost, and nothing of it is guessed.
 *
 * @param id its id
 * @param instrumentId the instrument
 * @param startedAt when it began
 * @param startedBy who began it
 * @param why what could not be read, in the application's own terms
 */
public record UnreadableRun(
        UUID id,
        UUID instrumentId,
        Instant startedAt,
        UUID startedBy,
        @Nullable String why) {}
