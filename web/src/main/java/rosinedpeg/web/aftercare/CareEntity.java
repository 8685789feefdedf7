package rosinedpeg.web.aftercare;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** Strings or bow were cared for. */
@Entity
@Table(name = "care")
class CareEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;

    @Enumerated(EnumType.STRING)
    private CareKind kind;

    private UUID press;
    private Instant at;
    private UUID recordedBy;

    protected CareEntity() {}

    CareEntity(UUID instrumentId, CareKind kind, UUID press, Instant at, UUID recordedBy) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.kind = kind;
        this.press = press;
        this.at = at;
        this.recordedBy = recordedBy;
    }

    CareKind kind() {
        return kind;
    }

    Instant at() {
        return at;
    }

    UUID recordedBy() {
        return recordedBy;
    }
}
