package rosinedpeg.web.instrument;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;

/** Something that keeps a record of what happened to instruments. */
public interface LogSource {

    /**
     * What it recorded of an instrument.
     *
     * @param instrumentId the instrument
     * @param newest how many of the latest entries are wanted; more may come, none of those may be missing
     * @return the entries, in any order
     */
    List<LogEntry> log(UUID instrumentId, int newest);

    /**
     * What several recorded of an instrument.
     *
     * @param sources those
     * @param instrumentId the instrument
     * @param newest how many of the latest entries are wanted
     * @return no more than those, the latest first
     */
    static List<LogEntry> latest(Collection<LogSource> sources, UUID instrumentId, int newest) {
        return sources.stream()
                .flatMap(source -> source.log(instrumentId, newest).stream())
                .sorted(Comparator.comparing(LogEntry::at).reversed())
                .limit(newest)
                .toList();
    }
}
