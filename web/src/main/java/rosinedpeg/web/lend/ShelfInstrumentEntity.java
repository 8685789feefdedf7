package rosinedpeg.web.lend;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** That an instrument is there to be lent. */
@Entity
@Table(name = "shelf_instrument")
class ShelfInstrumentEntity {

    @Id
    private UUID instrumentId;

    @TenantId
    private UUID workshopId;

    protected ShelfInstrumentEntity() {}

    ShelfInstrumentEntity(UUID instrumentId) {
        this.instrumentId = instrumentId;
    }
}
