package rosinedpeg.web.rack;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.CurrentWorkshop;

/**
 * Works out what is out of date on the racks of large workshops before somebody looks: a holiday that begins, or a kind of which more is known,
 * puts thousands of places of a large workshop out of date at one moment, and whoever looked first would wait for seconds. Of several servers
 * one works out a place, and whoever looks meanwhile waits for no more than that place.
 */
@Component
class RackKeptUp {

    private static final Logger LOG = LoggerFactory.getLogger(RackKeptUp.class);

    /** Fewer are worked out by whoever looks, before they notice. */
    private static final int WORTH_IT = 200;

    /** So many workshops at a time: after an upgrade all of them are out of date, and people want pages meanwhile. */
    private static final int AT_A_TIME = 50;
    /** So many parts of one rack at a time, each in a transaction of its own: nobody who looks meanwhile waits for all of them. */
    private static final int PARTS = 20;

    private final JdbcClient database;
    private final Rack rack;
    private final Clock clock;

    RackKeptUp(JdbcClient database, Rack rack, Clock clock) {
        this.database = database;
        this.rack = rack;
        this.clock = clock;
    }

    private record Workshop(UUID id, ZoneId zone) {}

    /** Works out some of what is out of date in each workshop where that is much. */
    @Scheduled(fixedDelayString = "${peg.rack.kept-up}", initialDelayString = "${peg.rack.kept-up}")
    void keepUp() {
        for (Workshop one : outdated()) {
            try {
                // Nobody signs anything: nothing is recorded.
                CurrentWorkshop.in(one.id(), one.id(), one.zone(), this::inParts);
            } catch (RuntimeException complaint) {
                // The next looks do it, and say what is wrong to whoever looks.
                LOG.warn(
                        "The rack of workshop {} was not worked out: {}",
                        one.id(),
                        NestedExceptionUtils.getMostSpecificCause(complaint)
                                .getClass()
                                .getName());
            }
        }
    }

    private int inParts() {
        int parts = 0;
        while (parts < PARTS && rack.keepUp()) {
            parts++;
        }
        return parts;
    }

    private List<Workshop> outdated() {
        return database.sql("select id, zone from workshop where exists (select 1 from rack_place"
                        + " where workshop_id = workshop.id and holds_until <= ? offset ?) order by random() limit ?")
                .params(OffsetDateTime.now(clock.withZone(ZoneOffset.UTC)), WORTH_IT - 1, AT_A_TIME)
                .query((row, number) -> new Workshop(row.getObject("id", UUID.class), ZoneId.of(row.getString("zone"))))
                .list();
    }
}
