package rosinedpeg.web.trueness;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.hearing.Octave;
import rosinedpeg.core.hearing.Ringing;
import rosinedpeg.core.hearing.Trueness;
import rosinedpeg.web.listen.PitchFrom;

/** A reading of how true a string is. It never changes, but that it may be taken back. */
@Entity
@Table(name = "trueness_reading")
class TruenessReadingEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID fittedStringId;
    private UUID press;
    private Instant readAt;

    @Enumerated(EnumType.STRING)
    private PitchFrom pitchFrom;

    private @Nullable Double octaveCents;
    private @Nullable Double octaveDoubtCents;
    private @Nullable Double stiffness;
    private @Nullable Double scatterCents;
    private @Nullable Short partials;
    private UUID recordedBy;
    private @Nullable Instant takenBackAt;
    private @Nullable UUID takenBackBy;

    protected TruenessReadingEntity() {}

    TruenessReadingEntity(
            UUID fittedStringId, UUID press, Instant readAt, PitchFrom pitchFrom, Trueness trueness, UUID recordedBy) {
        this.id = UUID.randomUUID();
        this.fittedStringId = fittedStringId;
        this.press = press;
        this.readAt = readAt;
        this.pitchFrom = pitchFrom;
        octaveCents = trueness.octave().map(Octave::cents).orElse(null);
        octaveDoubtCents = trueness.octave().map(Octave::doubtCents).orElse(null);
        stiffness = trueness.ringing().map(Ringing::stiffness).orElse(null);
        scatterCents = trueness.ringing().map(Ringing::scatterCents).orElse(null);
        partials = trueness.ringing().map(rang -> (short) rang.partials()).orElse(null);
        this.recordedBy = recordedBy;
    }

    /** It counts no more. */
    void takeBack(Instant at, UUID by) {
        takenBackAt = at;
        takenBackBy = by;
    }

    UUID id() {
        return id;
    }

    Instant readAt() {
        return readAt;
    }

    PitchFrom pitchFrom() {
        return pitchFrom;
    }

    UUID recordedBy() {
        return recordedBy;
    }

    Trueness trueness() {
        return new Trueness(
                octaveCents == null || octaveDoubtCents == null
                        ? Optional.empty()
                        : Optional.of(new Octave(octaveCents, octaveDoubtCents)),
                stiffness == null || scatterCents == null || partials == null
                        ? Optional.empty()
                        : Optional.of(new Ringing(stiffness, scatterCents, partials)));
    }
}
