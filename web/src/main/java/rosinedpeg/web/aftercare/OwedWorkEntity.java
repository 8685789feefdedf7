package rosinedpeg.web.aftercare;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;

/** Something that is left to do on an instrument. */
@Entity
@Table(name = "owed_work")
class OwedWorkEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;
    private @Nullable String step;
    private List<String> strings;
    private List<String> materials;
    private Instant owedSince;
    private @Nullable Instant doneAt;
    private @Nullable UUID doneBy;

    @Version
    private int version;

    protected OwedWorkEntity() {}

    private OwedWorkEntity(
            UUID instrumentId,
            @Nullable StepKind step,
            Collection<Position> strings,
            Collection<Material> materials,
            Instant owedSince) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.step = step == null ? null : step.name();
        this.strings = strings.stream().map(Enum::name).toList();
        this.materials = materials.stream().map(Enum::name).toList();
        this.owedSince = owedSince;
    }

    static OwedWorkEntity step(UUID instrumentId, StepKind step, Collection<Position> strings, Instant since) {
        return new OwedWorkEntity(instrumentId, step, strings, List.of(), since);
    }

    static OwedWorkEntity restock(
            UUID instrumentId, Collection<Position> strings, Collection<Material> materials, Instant since) {
        return new OwedWorkEntity(instrumentId, null, strings, materials, since);
    }

    void done(Instant at, UUID by) {
        if (doneAt == null) {
            doneAt = at;
            doneBy = by;
        }
    }

    UUID instrumentId() {
        return instrumentId;
    }

    @Nullable
    Instant doneAt() {
        return doneAt;
    }

    @Nullable
    UUID doneBy() {
        return doneBy;
    }

    OwedWork view() {
        return new OwedWork(
                id,
                step == null ? null : StepKind.valueOf(step),
                strings.stream().map(Position::valueOf).toList(),
                materials.stream().map(Material::valueOf).toList(),
                owedSince);
    }
}
