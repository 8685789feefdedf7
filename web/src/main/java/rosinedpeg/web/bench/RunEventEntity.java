package rosinedpeg.web.bench;

import static java.util.Objects.requireNonNull;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.causes.Breakages.Breakage;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.strings.Position;

/** A row of a run's ledger. It is only ever added, so that nobody looks first whether it is there. */
@Entity
@Immutable
@Table(name = "run_event")
class RunEventEntity implements Persistable<UUID> {

    enum Kind {
        STEP_DONE,
        STEP_SKIPPED,
        PITCH_READ,
        GAP_READ,
        NOTED,
        UNDONE,
        ENDED,
        WENT_WRONG
    }

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID runId;
    private long sequence;
    private UUID press;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    private @Nullable Integer step;

    @Enumerated(EnumType.STRING)
    private @Nullable Position position;

    private @Nullable Double value;
    private @Nullable String text;
    private @Nullable Long undone;

    @Enumerated(EnumType.STRING)
    private Mishap.@Nullable Kind mishap;

    @Enumerated(EnumType.STRING)
    private @Nullable BreakPlace place;

    private @Nullable Integer toldVersion;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String told;

    private Instant recordedAt;
    private UUID recordedBy;

    @Transient
    private boolean added;

    protected RunEventEntity() {}

    RunEventEntity(UUID runId, UUID press, BenchEvent event, KeptForms forms, UUID recordedBy) {
        this.id = UUID.randomUUID();
        this.added = true;
        this.runId = runId;
        this.press = press;
        this.sequence = event.sequence();
        this.recordedAt = event.at();
        this.recordedBy = recordedBy;
        if (event instanceof BenchEvent.StepDone done) {
            kind = Kind.STEP_DONE;
            step = done.step();
        } else if (event instanceof BenchEvent.StepSkipped skipped) {
            kind = Kind.STEP_SKIPPED;
            step = skipped.step();
        } else if (event instanceof BenchEvent.PitchRead read) {
            kind = Kind.PITCH_READ;
            position = read.position();
            value = read.cents();
        } else if (event instanceof BenchEvent.GapRead read) {
            kind = Kind.GAP_READ;
            value = read.gapMm();
        } else if (event instanceof BenchEvent.Noted noted) {
            kind = Kind.NOTED;
            text = noted.text();
        } else if (event instanceof BenchEvent.Undone taken) {
            kind = Kind.UNDONE;
            undone = taken.undone();
        } else if (event instanceof BenchEvent.WentWrong wrong) {
            kind = Kind.WENT_WRONG;
            mishap = wrong.mishap().kind();
            position = wrong.mishap().position();
            place = wrong.mishap().place();
            told = wrong.told().map(forms::write).orElse(null);
            toldVersion = told == null ? null : KeptPlan.VERSION;
        } else {
            kind = Kind.ENDED;
        }
    }

    /**
     * The event.
     *
     * @throws UnreadablePlanException when what was told after a mishap cannot be read
     */
    BenchEvent event(KeptForms forms) {
        return switch (kind) {
            case STEP_DONE -> new BenchEvent.StepDone(sequence, recordedAt, requireNonNull(step));
            case STEP_SKIPPED -> new BenchEvent.StepSkipped(sequence, recordedAt, requireNonNull(step));
            case PITCH_READ ->
                new BenchEvent.PitchRead(sequence, recordedAt, requireNonNull(position), requireNonNull(value));
            case GAP_READ -> new BenchEvent.GapRead(sequence, recordedAt, requireNonNull(value));
            case NOTED -> new BenchEvent.Noted(sequence, recordedAt, requireNonNull(text));
            case UNDONE -> new BenchEvent.Undone(sequence, recordedAt, requireNonNull(undone));
            case WENT_WRONG ->
                new BenchEvent.WentWrong(
                        sequence,
                        recordedAt,
                        new Mishap(requireNonNull(mishap), position, place),
                        Optional.ofNullable(told).map(form -> forms.readTold(requireNonNull(toldVersion), form)));
            case ENDED -> new BenchEvent.Ended(sequence, recordedAt);
        };
    }

    /** {@return the break of a string that this row records} */
    Breakage breakage() {
        return new Breakage(requireNonNull(position), requireNonNull(place));
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return added;
    }

    UUID runId() {
        return runId;
    }

    long sequence() {
        return sequence;
    }

    /** {@return whether it moves the run, as readings and notes do not} */
    boolean moves() {
        return kind != Kind.PITCH_READ && kind != Kind.GAP_READ && kind != Kind.NOTED;
    }

    UUID press() {
        return press;
    }
}
