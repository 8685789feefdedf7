package rosinedpeg.web.diary;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;
import rosinedpeg.core.settling.Steadiness;

/** A row of the diary. */
@Entity
@Immutable
@Table(name = "occasion")
class OccasionEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private String name;

    @Enumerated(EnumType.STRING)
    private Steadiness kind;

    private Instant beginsAt;

    protected OccasionEntity() {}

    OccasionEntity(Occasion occasion) {
        this.id = UUID.randomUUID();
        this.name = occasion.name();
        this.kind = occasion.steadiness();
        this.beginsAt = occasion.beginsAt();
    }

    Occasion view() {
        return new Occasion(name, kind, beginsAt);
    }
}
