package rosinedpeg.web.archive;

import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.LogSource;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.ListPage;

/** Reads once, as the pages will, whatever came in from elsewhere, before it is kept. */
@Component
class Arrival {

    private static final Logger LOG = LoggerFactory.getLogger(Arrival.class);
    private static final int AT_A_TIME = 100;

    private final Instruments instruments;
    private final StringKinds kinds;
    private final List<LogSource> logs;

    Arrival(Instruments instruments, StringKinds kinds, List<LogSource> logs) {
        this.instruments = instruments;
        this.kinds = kinds;
        this.logs = logs;
    }

    /**
     * Reads what came, and tells of the instruments.
     *
     * @param arrived the instruments
     * @param amongOthers whether there are others here, whose strings may be of the same kinds
     * @throws UnreadableArchiveException when some of it cannot be true
     */
    void check(List<UUID> arrived, boolean amongOthers) {
        try {
            kinds.entered();
            for (int from = 0; from < arrived.size(); from += AT_A_TIME) {
                List<UUID> some = arrived.subList(from, Math.min(arrived.size(), from + AT_A_TIME));
                instruments.arrived(some, amongOthers);
                some.forEach(one -> logs.forEach(log -> log.log(one, ListPage.MOST)));
            }
        } catch (RuntimeException cannotBeTrue) {
            LOG.info("records from elsewhere cannot be true", cannotBeTrue);
            throw new UnreadableArchiveException("untrue");
        }
    }
}
