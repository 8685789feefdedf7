package rosinedpeg.web.findings;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** Something noticed on an instrument. */
@Entity
@Table(name = "instrument_note")
class NoteEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;

    @Enumerated(EnumType.STRING)
    private Note.Kind kind;

    private @Nullable String text;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String arguments;

    private boolean refer;
    private @Nullable Instant settledAt;
    private Instant recordedAt;
    private UUID recordedBy;

    @Version
    private int version;

    protected NoteEntity() {}

    NoteEntity(UUID instrumentId, Note note, NoteForms forms, boolean refer, Instant recordedAt, UUID recordedBy) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.kind = note.kind();
        this.text = note instanceof Note.Written written ? written.text() : null;
        this.arguments = forms.arguments(note);
        this.refer = refer;
        this.recordedAt = recordedAt;
        this.recordedBy = recordedBy;
    }

    void settle(Instant at) {
        if (settledAt == null) {
            settledAt = at;
        }
    }

    /** {@return what somebody wrote; empty where it was the bench} */
    Optional<String> written() {
        return Optional.ofNullable(text).filter(there -> kind == Note.Kind.WRITTEN);
    }

    void become(String words, boolean forRepairer) {
        text = words;
        refer = forRepairer;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    Note note(NoteForms forms) {
        return forms.read(kind, text, arguments);
    }

    boolean refer() {
        return refer;
    }

    @Nullable
    Instant settledAt() {
        return settledAt;
    }

    Instant recordedAt() {
        return recordedAt;
    }

    UUID recordedBy() {
        return recordedBy;
    }

    UUID id() {
        return id;
    }

    int version() {
        return version;
    }
}
