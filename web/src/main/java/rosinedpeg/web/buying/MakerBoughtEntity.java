package rosinedpeg.web.buying;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** From whom strings of a maker are bought. */
@Entity
@Table(name = "maker_bought")
class MakerBoughtEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private String maker;
    private UUID supplierId;

    @Version
    private int version;

    protected MakerBoughtEntity() {}

    MakerBoughtEntity(String maker, UUID supplierId) {
        this.id = UUID.randomUUID();
        this.maker = maker;
        this.supplierId = supplierId;
    }

    String maker() {
        return maker;
    }

    UUID supplierId() {
        return supplierId;
    }

    void from(UUID other) {
        this.supplierId = other;
    }
}
