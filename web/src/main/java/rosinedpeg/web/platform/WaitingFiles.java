package rosinedpeg.web.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Files that somebody is shown before they are taken in. A file waits for a day, so that what was shown
 * is what is taken in; one that was asked for waits until it is.
 */
@Service
@Transactional
public class WaitingFiles {

    private static final Duration WAITS = Duration.ofDays(1);
    /** So many wait at a time in a workshop; what has waited longest makes way. */
    private static final int MOST = 10;

    private final WaitingFileRepository waiting;
    private final JdbcClient database;
    private final Clock clock;

    WaitingFiles(WaitingFileRepository waiting, JdbcClient database, Clock clock) {
        this.waiting = waiting;
        this.database = database;
        this.clock = clock;
    }

    /** {@return where a file waits} */
    public UUID keep(Purpose purpose, String content) {
        Instant now = clock.instant();
        waiting.deleteOld(now.minus(WAITS));
        List<UUID> newestFirst = waiting.newestFirst();
        waiting.deleteAllById(newestFirst.subList(Math.min(MOST - 1, newestFirst.size()), newestFirst.size()));
        return waiting.save(new WaitingFileEntity(purpose, content, now)).id();
    }

    /** {@return what is in a file; empty when it no longer waits} */
    @Transactional(readOnly = true)
    public Optional<String> content(Purpose purpose, UUID id) {
        return find(purpose, id).map(WaitingFile::content);
    }

    /** {@return a file; empty when it is there no longer} */
    @Transactional(readOnly = true)
    public Optional<WaitingFile> find(Purpose purpose, UUID id) {
        return waiting.findByIdAndPurpose(id, purpose).map(WaitingFileEntity::view);
    }

    /** Somebody wants a file taken in: from then on it is certain to be, after the answer, or to say that it could not be. */
    public void ask(UUID id) {
        waiting.ask(id, CurrentWorkshop.person(), CurrentWorkshop.today(clock));
    }

    /**
     * A file that was asked for.
     *
     * @param id which
     * @param workshopId the workshop that it is of
     * @param by who asked
     */
    public record Asked(UUID id, UUID workshopId, UUID by) {}

    /** {@return those of every workshop that were asked for, what came first coming first} */
    @Transactional(readOnly = true)
    public List<Asked> asked(Purpose purpose) {
        return database.sql("select id, workshop_id, asked_by from waiting_file where state = 'ASKED' and purpose = ?"
                        + " order by came_at")
                .param(purpose.name())
                .query((row, number) -> new Asked(
                        row.getObject("id", UUID.class),
                        row.getObject("workshop_id", UUID.class),
                        row.getObject("asked_by", UUID.class)))
                .list();
    }

    /** {@return a file that was asked for, nobody else's until the transaction is over; empty where somebody else takes it in} */
    public Optional<WaitingFile> inHand(UUID id) {
        return waiting.asked(id).map(WaitingFileEntity::view);
    }

    /** A file could not be taken in. */
    public void failed(UUID id) {
        waiting.findById(id).ifPresent(WaitingFileEntity::fail);
    }

    /** A file has been taken in. */
    public void taken(UUID id) {
        waiting.remove(id);
    }

    /** What a file is to become. */
    public enum Purpose {
        STRINGS,
        CALENDAR,
        DRAWER,
        ORDER,
        RECORDING
    }
}
