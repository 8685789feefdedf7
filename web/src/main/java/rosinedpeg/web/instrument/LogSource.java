package rosinedpeg.web.instrument;

import java.util.List;
import java.util.UUID;

/** Something that keeps a record of what happened to instruments. */
public interface LogSource {

    /** {@return what it recorded of an instrument, in any order} */
    List<LogEntry> log(UUID instrumentId);
}
