package rosinedpeg.web.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Files that somebody is shown before they are taken in. A file waits for a day, so that what was shown is what is taken in. */
@Service
@Transactional
public class WaitingFiles {

    private static final Duration WAITS = Duration.ofDays(1);
    /** So many wait at a time in a workshop; what has waited longest makes way. */
    private static final int MOST = 10;

    private final WaitingFileRepository waiting;
    private final Clock clock;

    WaitingFiles(WaitingFileRepository waiting, Clock clock) {
        this.waiting = waiting;
        this.clock = clock;
    }

    /** {@return where a file waits} */
    public UUID keep(Purpose purpose, String content) {
        Instant now = clock.instant();
        waiting.deleteByCameAtBefore(now.minus(WAITS));
        List<UUID> newestFirst = waiting.newestFirst();
        waiting.deleteAllById(newestFirst.subList(Math.min(MOST - 1, newestFirst.size()), newestFirst.size()));
        return waiting.save(new WaitingFileEntity(purpose, content, now)).id();
    }

    /** {@return what is in a file; empty when it no longer waits} */
    @Transactional(readOnly = true)
    public Optional<String> content(Purpose purpose, UUID id) {
        return waiting.findByIdAndPurpose(id, purpose).map(WaitingFileEntity::content);
    }

    /** A file has been taken in. */
    public void taken(UUID id) {
        waiting.deleteById(id);
    }

    /** What a file is to become. */
    public enum Purpose {
        STRINGS,
        CALENDAR,
        DRAWER,
        ORDER
    }
}
