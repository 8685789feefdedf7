package rosinedpeg.web.settling;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A string that is on an instrument, and until when it settles: kept, so that a page can ask for those that still do. */
@Entity
@Table(name = "settling_string")
class SettlingStringEntity {

    @Id
    private UUID fittedStringId;

    @TenantId
    private UUID workshopId;

    private Instant fittedAt;
    private @Nullable Instant steadyAt;

    protected SettlingStringEntity() {}

    SettlingStringEntity(UUID fittedStringId, Instant fittedAt) {
        this.fittedStringId = fittedStringId;
        this.fittedAt = fittedAt;
    }

    UUID fittedStringId() {
        return fittedStringId;
    }

    /** It holds for a concert from then on. */
    void holdsFrom(Instant moment) {
        steadyAt = moment;
    }
}
