package rosinedpeg.web.rack;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearRate;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;

/** When a string that is on falls due, and how it is used up until then: worked out and kept with its instrument's place on the rack. */
@Entity
@Table(name = "due_string")
class DueStringEntity implements Persistable<UUID> {

    @Id
    private UUID fittedStringId;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;
    private String instrumentName;

    @Enumerated(EnumType.STRING)
    private Position position;

    private UUID kindId;
    private Instant workedOutAt;
    private @Nullable LocalDate dueOn;
    private double worn;
    private double wornAnHour;
    private double hoursPerWeek;

    protected DueStringEntity() {}

    /**
     * A string as it stands.
     *
     * @param instrument what it is on
     * @param string the string
     * @param at when it was looked at
     * @param dueOn the day on which it is due; null where it is due already
     * @param rate how it is used up
     */
    DueStringEntity(Standing instrument, StringOn string, Instant at, @Nullable LocalDate dueOn, WearRate rate) {
        this.fittedStringId = string.fittedId();
        this.instrumentId = instrument.id();
        this.instrumentName = instrument.name();
        this.position = string.position();
        this.kindId = string.kind().id();
        this.workedOutAt = at;
        this.dueOn = dueOn;
        this.worn = rate.worn();
        this.wornAnHour = rate.anHour();
        this.hoursPerWeek = string.wornBy().hoursPerWeek();
    }

    @Override
    public UUID getId() {
        return fittedStringId;
    }

    /** One that is worked out again is a new one: what was there before is gone by then. */
    @Override
    public boolean isNew() {
        return true;
    }
}
