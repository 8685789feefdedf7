package rosinedpeg.web.lend;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** Somebody who borrows, as the workshop calls them. */
@Entity
@Table(name = "borrower")
class BorrowerEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private String name;
    private String reached;

    /** Not there before it is kept, so that one that is there already is not written over. */
    @Version
    private @Nullable Integer version;

    protected BorrowerEntity() {}

    BorrowerEntity(UUID id, String name, String reached) {
        this.id = id;
        this.name = name;
        this.reached = reached;
    }

    void change(String name, String reached) {
        this.name = name;
        this.reached = reached;
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    String reached() {
        return reached;
    }

    int version() {
        return version == null ? 0 : version;
    }
}
