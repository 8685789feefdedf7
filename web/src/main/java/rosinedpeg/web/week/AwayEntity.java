package rosinedpeg.web.week;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** Days on which an instrument is not at hand. */
@Entity
@Table(name = "instrument_away")
class AwayEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;
    private LocalDate fromDay;
    private LocalDate untilDay;
    private String why;

    protected AwayEntity() {}

    AwayEntity(UUID id, UUID instrumentId, LocalDate fromDay, LocalDate untilDay, String why) {
        this.id = id;
        this.instrumentId = instrumentId;
        this.fromDay = fromDay;
        this.untilDay = untilDay;
        this.why = why;
    }

    UUID id() {
        return id;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    LocalDate fromDay() {
        return fromDay;
    }

    LocalDate untilDay() {
        return untilDay;
    }

    String why() {
        return why;
    }
}
