package rosinedpeg.web.buying;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;

/** Somebody who sells strings. */
@Entity
@Table(name = "supplier")
class SupplierEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private String name;

    @JdbcTypeCode(SqlTypes.SMALLINT)
    private int leadDays;

    @Version
    private int version;

    protected SupplierEntity() {}

    SupplierEntity(String name, int leadDays) {
        this.id = UUID.randomUUID();
        describe(name, leadDays);
    }

    /** {@return who it is} */
    Supplier view() {
        return new Supplier(id, name, leadDays, version);
    }

    /** It is called so, and takes so long. */
    final void describe(String otherName, int otherLeadDays) {
        this.name = otherName;
        this.leadDays = otherLeadDays;
    }

    int version() {
        return version;
    }
}
