package rosinedpeg.web.bench;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import rosinedpeg.core.setup.Family;

/** How long a run took, and what it was. */
@Entity
@Table(name = "finished_work")
class FinishedWorkEntity {

    @Id
    private UUID runId;

    @TenantId
    private UUID workshopId;

    @Enumerated(EnumType.STRING)
    private Family family;

    @JdbcTypeCode(SqlTypes.JSON)
    private String schools;

    private UUID person;
    private double usualMinutes;
    private double takenMinutes;
    private Instant finishedAt;

    protected FinishedWorkEntity() {}

    FinishedWorkEntity(
            UUID runId,
            Family family,
            String schools,
            UUID person,
            double usualMinutes,
            double takenMinutes,
            Instant finishedAt) {
        this.runId = runId;
        this.family = family;
        this.schools = schools;
        this.person = person;
        this.usualMinutes = usualMinutes;
        this.takenMinutes = takenMinutes;
        this.finishedAt = finishedAt;
    }

    Family family() {
        return family;
    }

    String schools() {
        return schools;
    }

    UUID person() {
        return person;
    }

    double usualMinutes() {
        return usualMinutes;
    }

    double takenMinutes() {
        return takenMinutes;
    }
}
