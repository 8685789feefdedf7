package rosinedpeg.web.week;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.week.Place;

/** Where a job stands, whether somebody pinned it there, and the day that was promised for it. */
@Entity
@Table(name = "bench_place")
class PlaceEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private String job;
    private @Nullable LocalDate day;
    private @Nullable String person;
    private boolean pinned;
    private @Nullable LocalDate promised;

    protected PlaceEntity() {}

    PlaceEntity(String job) {
        this.id = UUID.randomUUID();
        this.job = job;
    }

    String job() {
        return job;
    }

    Optional<Place> place() {
        return day == null || person == null ? Optional.empty() : Optional.of(new Place(day, person));
    }

    Optional<Place> pinned() {
        return place().filter(place -> pinned);
    }

    Optional<LocalDate> promised() {
        return Optional.ofNullable(promised);
    }

    void pin(Place place) {
        day = place.day();
        person = place.person();
        pinned = true;
    }

    void free() {
        pinned = false;
    }

    void promise() {
        promised = day;
    }
}
