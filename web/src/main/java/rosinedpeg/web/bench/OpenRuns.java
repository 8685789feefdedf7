package rosinedpeg.web.bench;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Runs that are not over, oldest first.
 *
 * @param runs those that can be gone on with
 * @param unreadable those that cannot be read
 * @param from how many come before these
 * @param total how many there are in all
 */
public record OpenRuns(List<Run> runs, List<UnreadableRun> unreadable, int from, int total) {

    /** {@return the instruments that they are of} */
    Set<UUID> instrumentIds() {
        return Stream.concat(
                        runs.stream().map(Run::instrumentId),
                        unreadable.stream().map(UnreadableRun::instrumentId))
                .collect(Collectors.toSet());
    }
}
