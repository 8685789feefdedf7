package rosinedpeg.web.instrument;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;

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

    @Enumerated(EnumType.STRING)
    private @Nullable Position position;

    private double value;
    private LocalDate measuredOn;
    private Instant recordedAt;
    private UUID recordedBy;
    private UUID press;

    protected MeasurementEntity() {}

    MeasurementEntity(
            UUID instrumentId,
            Measurable measurable,
            double value,
            LocalDate measuredOn,
            UUID press,
            Instant recordedAt,
            UUID recordedBy) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.quantity = measurable.quantity();
        this.position = measurable.position();
        this.press = press;
        this.value = value;
        this.measuredOn = measuredOn;
        this.recordedAt = recordedAt;
        this.recordedBy = recordedBy;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    Measurable measurable() {
        return Measurable.of(quantity, position);
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

    UUID recordedBy() {
        return recordedBy;
    }

    /** {@return what is known by some measurements of one instrument, the earliest first: what was measured last counts} */
    static Map<Measurable, Figure> figures(List<MeasurementEntity> measured) {
        Map<Measurable, Figure> figures = new HashMap<>();
        measured.forEach(one -> figures.put(
                one.measurable(),
                Figure.measured(one.value(), one.measurable().quantity().unit())));
        return figures;
    }
}
