package rosinedpeg.web.week;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** A day on which somebody does not want a job. */
@Entity
@Table(name = "bench_not_on")
class NotOnEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private String job;
    private LocalDate day;

    protected NotOnEntity() {}

    NotOnEntity(String job, LocalDate day) {
        this.id = UUID.randomUUID();
        this.job = job;
        this.day = day;
    }

    String job() {
        return job;
    }

    LocalDate day() {
        return day;
    }
}
