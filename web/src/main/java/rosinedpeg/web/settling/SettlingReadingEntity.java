package rosinedpeg.web.settling;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A reading of a settling string. It never changes, but that it may be taken back. */
@Entity
@Table(name = "settling_reading")
class SettlingReadingEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID fittedStringId;
    private UUID press;
    private Instant readAt;
    private double cents;
    private boolean retuned;
    private Instant recordedAt;
    private UUID recordedBy;
    private @Nullable Instant takenBackAt;
    private @Nullable UUID takenBackBy;

    protected SettlingReadingEntity() {}

    SettlingReadingEntity(
            UUID fittedStringId,
            UUID press,
            Instant readAt,
            double cents,
            boolean retuned,
            Instant recordedAt,
            UUID recordedBy) {
        this.id = UUID.randomUUID();
        this.fittedStringId = fittedStringId;
        this.press = press;
        this.readAt = readAt;
        this.cents = cents;
        this.retuned = retuned;
        this.recordedAt = recordedAt;
        this.recordedBy = recordedBy;
    }

    UUID id() {
        return id;
    }

    /** It counts no more. */
    void takeBack(Instant at, UUID by) {
        takenBackAt = at;
        takenBackBy = by;
    }

    UUID fittedStringId() {
        return fittedStringId;
    }

    Instant readAt() {
        return readAt;
    }

    double cents() {
        return cents;
    }

    boolean retuned() {
        return retuned;
    }
}
