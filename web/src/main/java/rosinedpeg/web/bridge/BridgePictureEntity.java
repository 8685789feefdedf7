package rosinedpeg.web.bridge;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;

/** A picture of a bridge with the two lines that were drawn on it. */
@Entity
@Immutable
@Table(name = "bridge_picture")
class BridgePictureEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;
    private String mediaType;
    private byte[] picture;
    private double[] plate;
    private double[] back;
    private boolean tailpieceOnLeft;
    private double leanDeg;
    private UUID press;
    private Instant recordedAt;
    private UUID recordedBy;

    protected BridgePictureEntity() {}

    BridgePictureEntity(
            UUID instrumentId,
            String mediaType,
            byte[] picture,
            PictureLines lines,
            UUID press,
            Instant recordedAt,
            UUID recordedBy) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.mediaType = mediaType;
        this.picture = picture;
        this.plate = PictureLines.ends(lines.plate());
        this.back = PictureLines.ends(lines.back());
        this.tailpieceOnLeft = lines.tailpieceOnLeft();
        this.leanDeg = lines.lean().degrees();
        this.press = press;
        this.recordedAt = recordedAt;
        this.recordedBy = recordedBy;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    String mediaType() {
        return mediaType;
    }

    byte[] picture() {
        return picture;
    }
}
