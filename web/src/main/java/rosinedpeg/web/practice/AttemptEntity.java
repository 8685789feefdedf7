package rosinedpeg.web.practice;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

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

    protected AttemptEntity() {}

    AttemptEntity(UUID id, UUID accountId, @Nullable UUID instrumentId, String name, String start, Instant at) {
        this.id = id;
        this.accountId = accountId;
        this.instrumentId = instrumentId;
        this.name = name;
        this.start = start;
        this.begunAt = at;
        this.touchedAt = at;
    }

    void touch(Instant at) {
        this.touchedAt = at;
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
