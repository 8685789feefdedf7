package rosinedpeg.web.bench;

import java.util.List;
import java.util.UUID;
import java.util.function.Function;

/**
 * What is on the bench, or the part of it that fits on a page.
 *
 * @param total how many runs are open
 * @param runs those of the part that can be gone on with, oldest first
 * @param unreadable those of it that cannot be read, oldest first
 * @param next how many have been shown with this part
 * @param left how many are not shown yet
 */
record OpenPage(int total, List<On<Run>> runs, List<On<UnreadableRun>> unreadable, int next, int left) {

    static OpenPage of(OpenRuns open, Function<UUID, String> name) {
        int next = open.from() + open.runs().size() + open.unreadable().size();
        return new OpenPage(
                open.total(),
                open.runs().stream()
                        .map(run -> new On<>(name.apply(run.instrumentId()), run))
                        .toList(),
                open.unreadable().stream()
                        .map(run -> new On<>(name.apply(run.instrumentId()), run))
                        .toList(),
                next,
                open.total() - next);
    }

    /**
     * A run with what it is of.
     *
     * @param instrument the name of the instrument
     * @param run the run
     */
    record On<R>(String instrument, R run) {}
}
