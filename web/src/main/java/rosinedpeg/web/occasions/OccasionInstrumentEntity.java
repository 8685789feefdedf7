package rosinedpeg.web.occasions;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** An instrument that is played on a date. */
@Entity
@Table(name = "occasion_instrument")
class OccasionInstrumentEntity {

    @EmbeddedId
    private Key key;

    @TenantId
    private UUID workshopId;

    protected OccasionInstrumentEntity() {}

    OccasionInstrumentEntity(UUID occasionId, UUID instrumentId) {
        this.key = new Key(occasionId, instrumentId);
    }

    Key key() {
        return key;
    }

    /** Which instrument, on which date. */
    @Embeddable
    record Key(UUID occasionId, UUID instrumentId) implements Serializable {}
}
