package rosinedpeg.web.drawer;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;

/** A row of the kinds of string. It never changes; what was put on was of it. */
@Entity
@Immutable
@Table(name = "string_kind")
class StringKindEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    @Enumerated(EnumType.STRING)
    private StringKind.Source source;

    private String maker;
    private String line;

    @Enumerated(EnumType.STRING)
    private Family family;

    @Enumerated(EnumType.STRING)
    private Position position;

    @Enumerated(EnumType.STRING)
    private StringCore core;

    @Enumerated(EnumType.STRING)
    private Winding winding;

    @Enumerated(EnumType.STRING)
    private StringEnd stringEnd;

    @JdbcTypeCode(SqlTypes.SMALLINT)
    private int nominalMidi;

    @Column(name = "design_length_mm")
    private double designLengthMm;

    @Column(name = "tension_n")
    private double tensionN;

    private double diameterMm;

    @Column(name = "axial_stiffness_n")
    private double axialStiffnessN;

    private double tailSilkEndMm;
    private double topSilkStartMm;
    private double totalLengthMm;
    private List<String> assumed;

    protected StringKindEntity() {}

    StringKindEntity(StringKind.Source source, String maker, String line, Family family, StringSpec spec) {
        this.id = UUID.randomUUID();
        this.source = source;
        this.maker = maker;
        this.line = line;
        this.family = family;
        this.position = spec.position();
        this.core = spec.core();
        this.winding = spec.winding();
        this.stringEnd = spec.end();
        this.nominalMidi = spec.nominalPitch().midi();
        this.designLengthMm = spec.designLengthMm();
        this.tensionN = spec.tensionN();
        this.diameterMm = spec.diameterMm();
        this.axialStiffnessN = spec.axialStiffnessN();
        this.tailSilkEndMm = spec.tailSilkEndMm();
        this.topSilkStartMm = spec.topSilkStartMm();
        this.totalLengthMm = spec.totalLengthMm();
        this.assumed =
                new ArrayList<>(spec.assumed().stream().map(Enum::name).sorted().toList());
    }

    StringKind view() {
        return new StringKind(
                id,
                source,
                maker,
                line,
                family,
                new StringSpec(
                        position,
                        core,
                        winding,
                        stringEnd,
                        new Pitch(nominalMidi),
                        designLengthMm,
                        tensionN,
                        diameterMm,
                        axialStiffnessN,
                        tailSilkEndMm,
                        topSilkStartMm,
                        totalLengthMm,
                        assumed.stream().map(StringFigure::valueOf).collect(Collectors.toUnmodifiableSet())));
    }
}
