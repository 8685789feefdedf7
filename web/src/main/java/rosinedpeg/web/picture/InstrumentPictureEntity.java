package rosinedpeg.web.picture;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** The picture of an instrument, a JPEG. */
@Entity
@Table(name = "instrument_picture")
class InstrumentPictureEntity {

    @Id
    private UUID instrumentId;

    @TenantId
    private UUID workshopId;

    private byte[] picture;
    private Instant recordedAt;
    private UUID recordedBy;

    protected InstrumentPictureEntity() {}

    InstrumentPictureEntity(UUID instrumentId, byte[] picture, Instant recordedAt, UUID recordedBy) {
        this.instrumentId = instrumentId;
        this.picture = picture;
        this.recordedAt = recordedAt;
        this.recordedBy = recordedBy;
    }

    byte[] picture() {
        return picture;
    }
}
