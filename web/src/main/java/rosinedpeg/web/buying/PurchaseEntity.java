package rosinedpeg.web.buying;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/** An order. Its id is the press that wrote it, so that a second one finds it there. */
@Entity
@Table(name = "purchase")
class PurchaseEntity implements Persistable<UUID> {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private @Nullable UUID supplierId;

    @JdbcTypeCode(SqlTypes.SMALLINT)
    private int leadDays;

    private Instant writtenAt;
    private UUID writtenBy;
    private @Nullable LocalDate sentOn;

    @Version
    private @Nullable Integer version;

    protected PurchaseEntity() {}

    PurchaseEntity(UUID press, @Nullable UUID supplierId, int leadDays, Instant writtenAt, UUID writtenBy) {
        this.id = press;
        this.supplierId = supplierId;
        this.leadDays = leadDays;
        this.writtenAt = writtenAt;
        this.writtenBy = writtenBy;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return version == null;
    }

    /** {@return who it goes to, if that was said} */
    Optional<UUID> supplierId() {
        return Optional.ofNullable(supplierId);
    }

    int leadDays() {
        return leadDays;
    }

    Instant writtenAt() {
        return writtenAt;
    }

    UUID writtenBy() {
        return writtenBy;
    }

    /** {@return when it was sent, if it was} */
    Optional<LocalDate> sentOn() {
        return Optional.ofNullable(sentOn);
    }

    /** It was sent on that day; not yet, where none is given. */
    void send(@Nullable LocalDate on) {
        this.sentOn = on;
    }

    int version() {
        return version == null ? 0 : version;
    }
}
