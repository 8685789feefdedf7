package rosinedpeg.web.week;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** An instrument on which two sets take turns. */
@Entity
@Table(name = "two_sets")
class TwoSetsEntity {

    @Id
    private UUID instrumentId;

    @TenantId
    private UUID workshopId;

    private short weeks;
    private LocalDate fromDay;
    private Instant enteredAt;
    private UUID enteredBy;

    protected TwoSetsEntity() {}

    TwoSetsEntity(UUID instrumentId, int weeks, LocalDate fromDay, Instant enteredAt, UUID enteredBy) {
        this.instrumentId = instrumentId;
        become(weeks, fromDay, enteredAt, enteredBy);
    }

    final void become(int everyWeeks, LocalDate from, Instant at, UUID by) {
        this.weeks = (short) everyWeeks;
        this.fromDay = from;
        this.enteredAt = at;
        this.enteredBy = by;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    int weeks() {
        return weeks;
    }

    LocalDate fromDay() {
        return fromDay;
    }

    UUID enteredBy() {
        return enteredBy;
    }
}
