package rosinedpeg.web.instrument;

import static java.util.Objects.requireNonNull;

import jakarta.persistence.AttributeOverride;
import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bench.Learned;
import rosinedpeg.core.bridge.StuckShare;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Demand;

/** A row of the instruments: what one is, and how it is used. Its measurements and its strings have rows of their own. */
@Entity
@Table(name = "instrument")
class InstrumentEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private String name;

    @Enumerated(EnumType.STRING)
    private Family family;

    private String size;
    private boolean leftHanded;

    @Column(name = "reference_a_hz")
    private double referenceAHz;

    private List<Integer> openStrings;
    private List<String> tailEnds;

    @Enumerated(EnumType.STRING)
    private PegKind pegKind;

    private @Nullable List<String> pegSides;

    @Enumerated(EnumType.STRING)
    private @Nullable PegWood pegWood;

    private boolean tunersBuiltIn;
    private boolean parchment;
    private boolean tube;

    @Embedded
    @AttributeOverride(name = "xx", column = @Column(name = "coupling_xx"))
    @AttributeOverride(name = "xy", column = @Column(name = "coupling_xy"))
    @AttributeOverride(name = "readings", column = @Column(name = "coupling_readings"))
    private KeptEvidence coupling = KeptEvidence.NOTHING;

    @Embedded
    @AttributeOverride(name = "xx", column = @Column(name = "stuck_dry_xx"))
    @AttributeOverride(name = "xy", column = @Column(name = "stuck_dry_xy"))
    @AttributeOverride(name = "readings", column = @Column(name = "stuck_dry_readings"))
    private KeptEvidence stuckDry = KeptEvidence.NOTHING;

    @Embedded
    @AttributeOverride(name = "xx", column = @Column(name = "stuck_graphited_xx"))
    @AttributeOverride(name = "xy", column = @Column(name = "stuck_graphited_xy"))
    @AttributeOverride(name = "readings", column = @Column(name = "stuck_graphited_readings"))
    private KeptEvidence stuckGraphited = KeptEvidence.NOTHING;

    private double heldFrom = LoadBands.USUAL.heldFrom();
    private double lightFrom = LoadBands.USUAL.lightFrom();
    private double thinFrom = LoadBands.USUAL.thinFrom();

    private double hoursPerWeek;

    @Enumerated(EnumType.STRING)
    private Demand demand;

    private Instant createdAt;
    private @Nullable Instant retiredAt;

    @Version
    private int version;

    protected InstrumentEntity() {}

    InstrumentEntity(NewInstrument wanted, Instant createdAt) {
        this.id = UUID.randomUUID();
        this.name = wanted.name();
        this.family = wanted.size().family();
        this.size = wanted.size().code();
        this.leftHanded = wanted.leftHanded();
        this.referenceAHz = wanted.referenceA().hertz();
        this.openStrings =
                new ArrayList<>(wanted.openStrings().stream().map(Pitch::midi).toList());
        this.tailEnds =
                new ArrayList<>(wanted.tailEnds().stream().map(Enum::name).toList());
        this.tunersBuiltIn = wanted.tunersBuiltIn();
        this.pegKind = wanted.pegKind();
        this.hoursPerWeek = wanted.hoursPerWeek();
        this.demand = wanted.demand();
        this.createdAt = createdAt;
    }

    /** {@return another like that one, of which nothing has been measured or learned yet} */
    InstrumentEntity copy(String copyName, Instant now) {
        InstrumentEntity copy = new InstrumentEntity();
        copy.id = UUID.randomUUID();
        copy.name = copyName;
        copy.family = family;
        copy.size = size;
        copy.leftHanded = leftHanded;
        copy.referenceAHz = referenceAHz;
        copy.openStrings = new ArrayList<>(openStrings);
        copy.tailEnds = new ArrayList<>(tailEnds);
        copy.pegKind = pegKind;
        copy.pegSides = pegSides == null ? null : new ArrayList<>(pegSides);
        copy.pegWood = pegWood;
        copy.tunersBuiltIn = tunersBuiltIn;
        copy.parchment = parchment;
        copy.tube = tube;
        copy.setBands(bands());
        copy.hoursPerWeek = hoursPerWeek;
        copy.demand = demand;
        copy.createdAt = now;
        return copy;
    }

    void edit(InstrumentEdit edit) {
        name = edit.name();
        size = edit.size().code();
        leftHanded = edit.leftHanded();
        referenceAHz = edit.referenceA().hertz();
        openStrings =
                new ArrayList<>(edit.openStrings().stream().map(Pitch::midi).toList());
        hoursPerWeek = edit.hoursPerWeek();
        demand = edit.demand();
    }

    void retire(@Nullable Instant at) {
        retiredAt = at;
    }

    Optional<Instant> retiredAt() {
        return Optional.ofNullable(retiredAt);
    }

    Instant createdAt() {
        return createdAt;
    }

    Retired retired() {
        return new Retired(id, name, family, size, requireNonNull(retiredAt));
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    double hoursPerWeek() {
        return hoursPerWeek;
    }

    Demand demand() {
        return demand;
    }

    Listed listed() {
        return new Listed(id, name, family, size, openStrings.size(), hoursPerWeek, demand, retiredAt);
    }

    Size size() {
        return Size.of(family, size);
    }

    Fittings fittings() {
        return new Fittings(parchment, tube, tunersBuiltIn, Optional.ofNullable(pegWood));
    }

    Evidence coupling() {
        return coupling.evidence();
    }

    int version() {
        return version;
    }

    LoadBands bands() {
        return new LoadBands(heldFrom, lightFrom, thinFrom);
    }

    void setBands(LoadBands bands) {
        heldFrom = bands.heldFrom();
        lightFrom = bands.lightFrom();
        thinFrom = bands.thinFrom();
    }

    StuckShares stuck() {
        return StuckShares.learned(stuckDry.evidence(), stuckGraphited.evidence());
    }

    void learn(Collection<Coupling.Observation> sinkings, Learned.Leans leans) {
        coupling = KeptEvidence.of(Coupling.add(coupling.evidence(), sinkings));
        stuckDry = KeptEvidence.of(StuckShare.add(stuckDry.evidence(), leans.dry()));
        stuckGraphited = KeptEvidence.of(StuckShare.add(stuckGraphited.evidence(), leans.graphited()));
    }

    void guard(boolean parchment, boolean tube) {
        this.parchment = parchment;
        this.tube = tube;
    }

    void carve(@Nullable PegWood wood) {
        this.pegWood = wood;
    }

    void hang(List<TailEnd> ends, boolean builtIn) {
        this.tailEnds = new ArrayList<>(ends.stream().map(Enum::name).toList());
        this.tunersBuiltIn = builtIn;
    }

    void peg(PegKind kind, List<Side> knobs) {
        this.pegKind = kind;
        this.pegSides = new ArrayList<>(knobs.stream().map(Enum::name).toList());
    }

    SetUp setUp(Map<Measurable, Figure> measured) {
        Map<Position, TailEnd> hung = new EnumMap<>(Position.class);
        for (int i = 0; i < tailEnds.size(); i++) {
            hung.put(Position.ofNumber(i + 1), TailEnd.valueOf(tailEnds.get(i)));
        }
        Map<Position, Side> knobs = new EnumMap<>(Position.class);
        for (int i = 0; pegSides != null && i < pegSides.size(); i++) {
            knobs.put(Position.ofNumber(i + 1), Side.valueOf(pegSides.get(i)));
        }
        return new SetUp(
                size(),
                leftHanded,
                new ReferenceA(referenceAHz),
                openStrings.stream().map(Pitch::new).toList(),
                measured,
                hung,
                knobs,
                pegKind);
    }
}
