package rosinedpeg.web.kinds;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.wear.Life;

/** A row of the kinds of string. A usual one never changes. */
@Entity
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
    private @Nullable String size;
    private String note = "";
    private @Nullable BigDecimal price;

    @JdbcTypeCode(SqlTypes.CHAR)
    private @Nullable String currency;

    private @Nullable Double lifeHours;
    private @Nullable Double lifeMonths;
    private @Nullable Double learnedAll;
    private @Nullable Double learnedConcert;
    private @Nullable Double learnedStudy;
    private @Nullable Double learnedLoan;
    private @Nullable Instant learnedAt;

    @JdbcTypeCode(SqlTypes.SMALLINT)
    private @Nullable Integer ready;

    @Version
    private int version;

    protected StringKindEntity() {}

    StringKindEntity(StringKind.Source source, String maker, String line, Family family, StringSpec spec) {
        this.id = UUID.randomUUID();
        this.source = source;
        this.maker = maker;
        this.line = line;
        this.family = family;
        figures(spec);
    }

    StringKindEntity(Packaged packaged) {
        this(
                StringKind.Source.PACKET,
                packaged.maker(),
                packaged.line(),
                packaged.size().family(),
                packaged.spec());
        describe(packaged);
    }

    /** It is as that says. */
    final void describe(Packaged packaged) {
        this.maker = packaged.maker();
        this.line = packaged.line();
        this.family = packaged.size().family();
        this.size = packaged.size().code();
        this.note = packaged.note();
        Price asked = packaged.price();
        this.price = asked == null ? null : asked.amount();
        this.currency = asked == null ? null : asked.currency();
        Life found = packaged.life();
        this.lifeHours = found == null ? null : found.hours();
        this.lifeMonths = found == null ? null : found.months();
        figures(packaged.spec());
    }

    /** So many are to lie ready; none where nobody says. */
    void keepReady(@Nullable Integer many) {
        this.ready = many;
    }

    int version() {
        return version;
    }

    private void figures(StringSpec spec) {
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

    private Optional<LearnedFactors> learned() {
        return learnedAll == null
                        || learnedConcert == null
                        || learnedStudy == null
                        || learnedLoan == null
                        || learnedAt == null
                ? Optional.empty()
                : Optional.of(new LearnedFactors(learnedAll, learnedConcert, learnedStudy, learnedLoan, learnedAt));
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
                        assumed.stream().map(StringFigure::valueOf).collect(Collectors.toUnmodifiableSet())),
                Optional.ofNullable(size),
                note,
                price == null || currency == null ? Optional.empty() : Optional.of(new Price(price, currency)),
                lifeHours == null || lifeMonths == null
                        ? Optional.empty()
                        : Optional.of(new Life(lifeHours, lifeMonths, Origin.MEASURED)),
                learned(),
                Optional.ofNullable(ready),
                version);
    }
}
