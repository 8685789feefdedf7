package rosinedpeg.web.drawer;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** A file that somebody is shown before it is taken in. */
@Entity
@Table(name = "waiting_file")
class WaitingFileEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private String content;
    private Instant cameAt;

    protected WaitingFileEntity() {}

    WaitingFileEntity(String content, Instant cameAt) {
        this.id = UUID.randomUUID();
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
