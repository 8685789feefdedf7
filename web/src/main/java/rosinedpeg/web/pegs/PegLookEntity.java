package rosinedpeg.web.pegs;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.strings.Position;

/** A look at a peg; a later one takes its place, and all are kept. */
@Entity
@Immutable
@Table(name = "peg_look")
class PegLookEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;

    @Enumerated(EnumType.STRING)
    private Position position;

    @Enumerated(EnumType.STRING)
    private @Nullable PegKind pegs;

    private List<String> signs;

    @Enumerated(EnumType.STRING)
    private @Nullable PegTreatment treatment;

    private @Nullable String text;
    private LocalDate lookedOn;
    private UUID press;
    private Instant recordedAt;
    private UUID recordedBy;

    protected PegLookEntity() {}

    PegLookEntity(UUID instrumentId, PegLook look, UUID press, Instant recordedAt) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.position = look.position();
        this.pegs = look.pegs().orElse(null);
        this.signs =
                new ArrayList<>(look.signs().stream().map(Enum::name).sorted().toList());
        this.treatment = look.treatment().orElse(null);
        this.text = look.text();
        this.lookedOn = look.on();
        this.press = press;
        this.recordedAt = recordedAt;
        this.recordedBy = look.by();
    }

    UUID instrumentId() {
        return instrumentId;
    }

    PegLook look() {
        Set<PegSign> seen = signs.stream().map(PegSign::valueOf).collect(Collectors.toSet());
        return new PegLook(
                position, Optional.ofNullable(pegs), seen, Optional.ofNullable(treatment), text, lookedOn, recordedBy);
    }
}
