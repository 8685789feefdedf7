package rosinedpeg.web.sound;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.web.instrument.Played;

/** What somebody said of how a string sounds. */
@Entity
@Table(name = "string_sound")
class SoundEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID fittedStringId;
    private UUID kindId;
    private UUID instrumentId;

    @Enumerated(EnumType.STRING)
    private SoundMoment moment;

    private Instant saidAt;
    private UUID saidBy;
    private @Nullable Double hoursPlayed;

    /** Null where nothing was said on any scale. */
    @Embedded
    private @Nullable SoundColumns columns;

    private String note;
    private boolean passedOver;

    protected SoundEntity() {}

    /**
     * Something that is said.
     *
     * @param id the press that this is
     * @param of which string, and when in its life
     * @param words what
     * @param string what the string is, where it is, and how much was played on it
     * @param saidAt when
     * @param saidBy by whom
     */
    SoundEntity(UUID id, Question of, InWords words, Played string, Instant saidAt, UUID saidBy) {
        this.id = id;
        this.fittedStringId = of.fittedId();
        this.moment = of.moment();
        this.saidAt = saidAt;
        this.saidBy = saidBy;
        this.hoursPlayed = string.hours().orElse(null);
        this.kindId = string.kindId();
        this.instrumentId = string.instrumentId();
        this.note = words.note();
        this.passedOver = words.isNothing();
        this.columns = new SoundColumns(words.places());
    }

    /** {@return where it stands on each scale of which something was said} */
    Map<SoundScale, Integer> places() {
        return columns == null ? Map.of() : columns.places();
    }

    UUID id() {
        return id;
    }

    UUID fittedStringId() {
        return fittedStringId;
    }

    SoundMoment moment() {
        return moment;
    }

    Instant saidAt() {
        return saidAt;
    }

    UUID saidBy() {
        return saidBy;
    }

    @Nullable
    Double hoursPlayed() {
        return hoursPlayed;
    }

    String note() {
        return note;
    }
}
