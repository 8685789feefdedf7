package rosinedpeg.web.instrument;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** Something noticed on an instrument. */
@Entity
@Table(name = "instrument_note")
class NoteEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;
    private String text;
    private boolean refer;
    private Instant settledAt;
    private Instant recordedAt;
    private String recordedBy;

    @Version
    private int version;

    protected NoteEntity() {}

    NoteEntity(UUID instrumentId, String text, boolean refer, Instant recordedAt, String recordedBy) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.text = text;
        this.refer = refer;
        this.recordedAt = recordedAt;
        this.recordedBy = recordedBy;
    }

    void settle(Instant at) {
        if (settledAt == null) {
            settledAt = at;
        }
    }

    UUID instrumentId() {
        return instrumentId;
    }

    String text() {
        return text;
    }

    boolean refer() {
        return refer;
    }

    Instant settledAt() {
        return settledAt;
    }

    Instant recordedAt() {
        return recordedAt;
    }

    String recordedBy() {
        return recordedBy;
    }

    Referral referral() {
        return new Referral(id, text, recordedAt, recordedBy);
    }
}
