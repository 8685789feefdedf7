package rosinedpeg.web.practice;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.web.platform.KeptNames;

/** A lesson that a keeper has set somebody. */
@Entity
@Table(name = "practice_lesson")
class SetLessonEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID accountId;
    private String lesson;
    private @Nullable LocalDate untilDay;
    private Instant setAt;
    private UUID setBy;

    protected SetLessonEntity() {}

    SetLessonEntity(UUID accountId, Lesson lesson, @Nullable LocalDate untilDay, Instant at, UUID setBy) {
        this.id = UUID.randomUUID();
        this.accountId = accountId;
        this.lesson = lesson.name();
        this.untilDay = untilDay;
        this.setAt = at;
        this.setBy = setBy;
    }

    /** Sets it again, with another day. */
    void again(@Nullable LocalDate day, Instant at, UUID by) {
        this.untilDay = day;
        this.setAt = at;
        this.setBy = by;
    }

    UUID accountId() {
        return accountId;
    }

    Lesson lesson() {
        return KeptNames.of(Lesson.class, lesson);
    }

    Optional<LocalDate> untilDay() {
        return Optional.ofNullable(untilDay);
    }

    Instant setAt() {
        return setAt;
    }
}
