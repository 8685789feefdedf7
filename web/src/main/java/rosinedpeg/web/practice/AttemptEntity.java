package rosinedpeg.web.practice;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.QuickChange;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.KeptNames;

/** Somebody practises on an instrument that cannot be hurt. */
@Entity
@Table(name = "practice_attempt")
class AttemptEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID accountId;
    private @Nullable UUID instrumentId;
    private String name;

    @JdbcTypeCode(SqlTypes.JSON)
    private String start;

    private Instant begunAt;
    private Instant touchedAt;
    private @Nullable String lesson;
    private @Nullable String quickChange;
    private @Nullable Integer beforehand;
    private @Nullable Integer harms;
    private @Nullable Instant finishedAt;
    private @Nullable Boolean clean;
    private @Nullable Long totalMs;

    protected AttemptEntity() {}

    AttemptEntity(
            UUID id, UUID accountId, @Nullable UUID instrumentId, String name, String start, Task task, Instant at) {
        this.id = id;
        this.accountId = accountId;
        this.instrumentId = instrumentId;
        this.name = name;
        this.start = start;
        this.lesson = task.lesson().map(Enum::name).orElse(null);
        this.quickChange = task.change().map(change -> change.position().name()).orElse(null);
        this.begunAt = at;
        this.touchedAt = at;
    }

    /** Notes what was done before anybody began. */
    void isPrepared(int actions) {
        this.beforehand = actions;
    }

    void touch(Instant at) {
        this.touchedAt = at;
    }

    void wentWrong() {
        this.harms = harms() + 1;
    }

    /** A lesson was done. */
    void finish(Instant at, boolean went) {
        this.finishedAt = at;
        this.clean = went;
    }

    /** The clock was stopped. */
    void finish(Instant at, QuickChange.Clocked clocked) {
        finish(at, !clocked.spoiled());
        this.totalMs = clocked.total().toMillis();
    }

    Task task() {
        return new Task(
                Optional.ofNullable(lesson).map(kept -> KeptNames.of(Lesson.class, kept)),
                Optional.ofNullable(quickChange).map(kept -> new QuickChange(KeptNames.of(Position.class, kept))));
    }

    int beforehand() {
        return beforehand == null ? 0 : beforehand;
    }

    int harms() {
        return harms == null ? 0 : harms;
    }

    Optional<Instant> finishedAt() {
        return Optional.ofNullable(finishedAt);
    }

    /** {@return whether it went well; empty as long as it is not finished} */
    Optional<Boolean> clean() {
        return Optional.ofNullable(clean);
    }

    Instant begunAt() {
        return begunAt;
    }

    UUID id() {
        return id;
    }

    @Nullable
    UUID instrumentId() {
        return instrumentId;
    }

    String name() {
        return name;
    }

    String start() {
        return start;
    }

    Instant touchedAt() {
        return touchedAt;
    }
}
