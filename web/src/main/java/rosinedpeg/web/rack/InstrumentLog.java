package rosinedpeg.web.rack;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import rosinedpeg.web.instrument.LogEntry;
import rosinedpeg.web.instrument.LogSource;
import rosinedpeg.web.platform.ListPage;

/**
 * What happened to an instrument, or the part of it that fits on a page.
 *
 * @param entries what, the latest first
 * @param continued whether others come before these
 * @param next how many entries come before what is not shown yet
 * @param more whether there is anything not shown yet
 */
record InstrumentLog(List<LogEntry> entries, boolean continued, int next, boolean more) {

    /** No instrument has lived through more. */
    private static final int FURTHEST = 1_000_000;

    /** {@return the part that begins after so many entries; each source is asked for no more than can be on it} */
    static InstrumentLog of(Collection<LogSource> sources, UUID instrumentId, int after) {
        int from = Math.max(0, Math.min(after, FURTHEST));
        int next = from + ListPage.MOST;
        List<LogEntry> latest = LogSource.latest(sources, instrumentId, next + 1).stream()
                .skip(from)
                .toList();
        boolean more = latest.size() > ListPage.MOST;
        return new InstrumentLog(more ? latest.subList(0, ListPage.MOST) : latest, from > 0, next, more);
    }
}
