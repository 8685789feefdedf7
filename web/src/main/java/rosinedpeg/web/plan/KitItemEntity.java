package rosinedpeg.web.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;
import rosinedpeg.core.plan.Material;

/** Something in somebody's kit. */
@Entity
@Immutable
@Table(name = "kit_item")
class KitItemEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID accountId;

    @Enumerated(EnumType.STRING)
    private Material material;

    protected KitItemEntity() {}

    Material material() {
        return material;
    }
}
