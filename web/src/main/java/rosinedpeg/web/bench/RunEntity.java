package rosinedpeg.web.bench;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One change of strings, or other work. */
@Entity
@Table(name = "run")
class RunEntity {

    enum Outcome {
        OPEN,
        FINISHED,
        ENDED
    }

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;

    @Enumerated(EnumType.STRING)
    private Reason reason;

    @JdbcTypeCode(SqlTypes.JSON)
    private String replacements;

    private boolean keepOld;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String schools;

    private Instant startedAt;
    private UUID startedBy;

    @Enumerated(EnumType.STRING)
    private Outcome outcome;

    private @Nullable Instant endedAt;

    protected RunEntity() {}

    RunEntity(
            UUID instrumentId,
            Reason reason,
            String replacements,
            boolean keepOld,
            @Nullable String schools,
            Instant startedAt,
            UUID startedBy) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.reason = reason;
        this.replacements = replacements;
        this.keepOld = keepOld;
        this.schools = schools;
        this.startedAt = startedAt;
        this.startedBy = startedBy;
        this.outcome = Outcome.OPEN;
    }

    void close(Outcome outcome, Instant at) {
        this.outcome = outcome;
        this.endedAt = at;
    }

    UUID id() {
        return id;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    Reason reason() {
        return reason;
    }

    String replacements() {
        return replacements;
    }

    boolean keepOld() {
        return keepOld;
    }

    /** How whoever began it likes to work; missing where that was not said. */
    @Nullable
    String schools() {
        return schools;
    }

    Instant startedAt() {
        return startedAt;
    }

    UUID startedBy() {
        return startedBy;
    }

    @Nullable
    Instant endedAt() {
        return endedAt;
    }
}
