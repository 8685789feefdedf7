package rosinedpeg.web.platform;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A file that somebody is shown before it is taken in. */
@Entity
@Table(name = "waiting_file")
class WaitingFileEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    @Enumerated(EnumType.STRING)
    private WaitingFiles.Purpose purpose;

    private String content;
    private Instant cameAt;

    @Enumerated(EnumType.STRING)
    private WaitingFile.State state;

    private @Nullable UUID askedBy;
    private @Nullable LocalDate askedOn;

    protected WaitingFileEntity() {}

    WaitingFileEntity(WaitingFiles.Purpose purpose, String content, Instant cameAt) {
        this.id = UUID.randomUUID();
        this.purpose = purpose;
        this.content = content;
        this.cameAt = cameAt;
        this.state = WaitingFile.State.WAITS;
    }

    /** It could not be taken in. */
    void fail() {
        this.state = WaitingFile.State.FAILED;
    }

    UUID id() {
        return id;
    }

    WaitingFile view() {
        return new WaitingFile(content, state, Optional.ofNullable(askedOn));
    }
}
