package rosinedpeg.web.week;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.week.BenchHours;

/** When somebody is at the bench: as usual on a weekday, or otherwise on one day. */
@Entity
@Table(name = "bench_hours")
class BenchHoursEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID person;
    private @Nullable Short weekday;
    private @Nullable LocalDate day;
    private String hours;

    protected BenchHoursEntity() {}

    BenchHoursEntity(UUID person, DayOfWeek weekday, BenchHours hours) {
        this.id = UUID.randomUUID();
        this.person = person;
        this.weekday = (short) weekday.getValue();
        this.hours = hours.toString();
    }

    BenchHoursEntity(UUID person, LocalDate day, BenchHours hours) {
        this.id = UUID.randomUUID();
        this.person = person;
        this.day = day;
        this.hours = hours.toString();
    }

    UUID id() {
        return id;
    }

    UUID person() {
        return person;
    }

    @Nullable
    DayOfWeek weekday() {
        return weekday == null ? null : DayOfWeek.of(weekday);
    }

    @Nullable
    LocalDate day() {
        return day;
    }

    BenchHours hours() {
        return BenchHours.of(hours);
    }

    void become(BenchHours other) {
        hours = other.toString();
    }
}
