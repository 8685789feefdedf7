package rosinedpeg.web.occasions;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.core.wear.Span;

/** A date the workshop keeps. */
@Entity
@Table(name = "occasion")
class OccasionEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private @Nullable UUID seriesId;
    private String name;
    private String note;

    @Enumerated(EnumType.STRING)
    private OccasionKind kind;

    private Instant beginsAt;
    private Instant endsAt;

    @Version
    private int version;

    protected OccasionEntity() {}

    OccasionEntity(Occasion.What what, @Nullable UUID seriesId) {
        this.id = UUID.randomUUID();
        this.seriesId = seriesId;
        become(what);
    }

    final void become(Occasion.What what) {
        this.kind = what.kind();
        this.name = what.name();
        this.note = what.note();
        this.beginsAt = what.beginsAt();
        this.endsAt = what.endsAt();
    }

    UUID id() {
        return id;
    }

    Instant beginsAt() {
        return beginsAt;
    }

    Span span() {
        return new Span(beginsAt, endsAt);
    }

    Occasion view(Set<UUID> instruments) {
        return new Occasion(
                id,
                new Occasion.What(kind, name, note, beginsAt, endsAt, instruments),
                Optional.ofNullable(seriesId),
                version);
    }
}
