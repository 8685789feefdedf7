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
import rosinedpeg.web.platform.PersonNames;

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
    private @Nullable UUID person;
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

    /** {@return where it stands, with whoever is called so now} */
    Optional<Place> place(PersonNames names) {
        return day == null || person == null ? Optional.empty() : Optional.of(new Place(day, names.of(person)));
    }

    Optional<Place> pinned(PersonNames names) {
        return place(names).filter(place -> pinned);
    }

    /** {@return the day it is pinned to} */
    Optional<LocalDate> pinnedDay() {
        return Optional.ofNullable(day).filter(there -> pinned);
    }

    Optional<LocalDate> promised() {
        return Optional.ofNullable(promised);
    }

    void pin(LocalDate on, UUID with) {
        day = on;
        person = with;
        pinned = true;
    }

    void free() {
        pinned = false;
    }

    void promise() {
        promised = day;
    }
}
