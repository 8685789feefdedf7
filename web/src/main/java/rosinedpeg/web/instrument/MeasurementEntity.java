package rosinedpeg.web.instrument;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;
import rosinedpeg.core.setup.Quantity;

/** One measurement; a later one of the same quantity takes its place, and both are kept. */
@Entity
@Immutable
@Table(name = "measurement")
class MeasurementEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;

    @Enumerated(EnumType.STRING)
    private Quantity quantity;

    private double value;
    private LocalDate measuredOn;
    private Instant recordedAt;
    private String recordedBy;

    protected MeasurementEntity() {}

    MeasurementEntity(
            UUID instrumentId,
            Quantity quantity,
            double value,
            LocalDate measuredOn,
            Instant recordedAt,
            String recordedBy) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.quantity = quantity;
        this.value = value;
        this.measuredOn = measuredOn;
        this.recordedAt = recordedAt;
        this.recordedBy = recordedBy;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    Quantity quantity() {
        return quantity;
    }

    double value() {
        return value;
    }

    LocalDate measuredOn() {
        return measuredOn;
    }

    Instant recordedAt() {
        return recordedAt;
    }

    String recordedBy() {
        return recordedBy;
    }
}
