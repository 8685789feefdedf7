package rosinedpeg.web.platform;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;

/** A file that somebody is shown before it is taken in. */
@Entity
@Immutable
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

    protected WaitingFileEntity() {}

    WaitingFileEntity(WaitingFiles.Purpose purpose, String content, Instant cameAt) {
        this.id = UUID.randomUUID();
        this.purpose = purpose;
        this.content = content;
        this.cameAt = cameAt;
    }

    UUID id() {
        return id;
    }

    String content() {
        return content;
    }
}
