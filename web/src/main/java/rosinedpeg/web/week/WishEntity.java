package rosinedpeg.web.week;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.strings.Position;

/** Work that somebody asked for. */
@Entity
@Table(name = "bench_wish")
class WishEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;

    @Enumerated(EnumType.STRING)
    private WishKind kind;

    private List<String> strings;
    private String note;
    private @Nullable Short minutes;
    private @Nullable LocalDate fromDay;
    private @Nullable LocalDate byDay;
    private Instant wishedAt;
    private UUID wishedBy;
    private @Nullable Instant doneAt;

    protected WishEntity() {}

    WishEntity(
            UUID id,
            UUID instrumentId,
            WishKind kind,
            Collection<Position> strings,
            String note,
            @Nullable Integer minutes,
            @Nullable LocalDate fromDay,
            @Nullable LocalDate byDay,
            Instant wishedAt,
            UUID wishedBy) {
        this.id = id;
        this.instrumentId = instrumentId;
        this.kind = kind;
        this.strings = strings.stream().sorted().map(Position::name).toList();
        this.note = note;
        this.minutes = minutes == null ? null : minutes.shortValue();
        this.fromDay = fromDay;
        this.byDay = byDay;
        this.wishedAt = wishedAt;
        this.wishedBy = wishedBy;
    }

    UUID id() {
        return id;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    WishKind kind() {
        return kind;
    }

    List<Position> strings() {
        return strings.stream().map(Position::valueOf).toList();
    }

    String note() {
        return note;
    }

    int minutes() {
        return minutes == null ? 0 : minutes;
    }

    @Nullable
    LocalDate fromDay() {
        return fromDay;
    }

    @Nullable
    LocalDate byDay() {
        return byDay;
    }

    Instant wishedAt() {
        return wishedAt;
    }

    UUID wishedBy() {
        return wishedBy;
    }

    void done(Instant at) {
        if (doneAt == null) {
            doneAt = at;
        }
    }
}
