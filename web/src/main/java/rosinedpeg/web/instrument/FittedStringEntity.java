package rosinedpeg.web.instrument;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.WearSign;

/** One string on one instrument, from the day it went on to the day it came off. */
@Entity
@Table(name = "fitted_string")
class FittedStringEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;

    @Enumerated(EnumType.STRING)
    private Position position;

    private UUID kindId;
    private @Nullable Instant fittedAt;
    private double hoursBefore;
    private @Nullable Double monthsBefore;
    private @Nullable Instant hoursCountedAt;
    private List<String> signs;
    private @Nullable Instant removedAt;
    private boolean kept;
    private @Nullable Double hoursPlayed;

    @Enumerated(EnumType.STRING)
    private @Nullable CameOff cameOff;

    @Enumerated(EnumType.STRING)
    private @Nullable BreakPlace brokeWhere;

    @Version
    private int version;

    protected FittedStringEntity() {}

    FittedStringEntity(UUID instrumentId, Position position, UUID kindId, @Nullable Instant fittedAt, Before before) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.position = position;
        this.kindId = kindId;
        this.fittedAt = fittedAt;
        this.hoursBefore = before.hours();
        this.monthsBefore = before.months() > 0 ? before.months() : null;
        this.signs =
                new ArrayList<>(before.signs().stream().map(Enum::name).sorted().toList());
    }

    /**
     * It comes off.
     *
     * @param at when
     * @param keep whether it is kept
     * @param told why, where that was said
     * @param hours how many hours were played on it, where that is known
     */
    void remove(Instant at, boolean keep, @Nullable Off told, @Nullable Double hours) {
        this.removedAt = fittedAt != null && at.isBefore(fittedAt) ? fittedAt : at;
        this.kept = keep;
        this.cameOff = told == null ? null : told.why();
        this.brokeWhere = told == null ? null : told.where();
        this.hoursPlayed = hours;
    }

    /** {@return it as it is read of strings that are on} */
    FittedNow now() {
        return new FittedNow(
                id,
                instrumentId,
                position,
                kindId,
                fittedAt,
                hoursBefore,
                monthsBefore,
                hoursCountedAt,
                signs,
                version);
    }

    /** {@return how many hours were played on it until it came off, where that is known} */
    @Nullable
    Double hoursPlayed() {
        return hoursPlayed;
    }

    /** {@return why it came off, where that was said} */
    @Nullable
    CameOff cameOff() {
        return cameOff;
    }

    /** {@return where it broke, where that was said} */
    @Nullable
    BreakPlace brokeWhere() {
        return brokeWhere;
    }

    /** It turns out to be of another kind. */
    void is(UUID otherKindId) {
        this.kindId = otherKindId;
    }

    void setSigns(Set<WearSign> seen) {
        this.signs = new ArrayList<>(seen.stream().map(Enum::name).sorted().toList());
    }

    /** So many hours have been played on it until that moment. */
    void count(double hours, Instant at) {
        this.hoursBefore = hours;
        this.hoursCountedAt = at;
    }

    UUID id() {
        return id;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    Position position() {
        return position;
    }

    UUID kindId() {
        return kindId;
    }

    int version() {
        return version;
    }

    @Nullable
    Instant fittedAt() {
        return fittedAt;
    }

    @Nullable
    Instant removedAt() {
        return removedAt;
    }

    boolean kept() {
        return kept;
    }
}
