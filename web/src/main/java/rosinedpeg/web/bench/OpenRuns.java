package rosinedpeg.web.bench;

import java.util.List;

/**
 * The runs that are not over, oldest first.
 *
 * @param runs those that can be gone on with
 * @param unreadable those that cannot be read
 */
public record OpenRuns(List<Run> runs, List<UnreadableRun> unreadable) {}
