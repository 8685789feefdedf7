package rosinedpeg.core.usual;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.Tuning;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Tension;
import rosinedpeg.core.strings.Winding;

/**
 * What a packet, a caliper or kitchen scales say of a string, and the string that follows. What nobody says is as it is with
 * {@linkplain UsualString usual strings} of that make, and is marked so.
 *
 * <p>Tension follows from mass per length by {@code T = μ·(2·L·f)²}. Where only the diameter is known, mass per length is density
 * times cross-section: that of the material for a bare string, for a wound one the mean density that strings with such a winding
 * have, which is a default. A string that is heavier than the usual one for its place is thicker by the root of that, and resists
 * stretching by as much more, since its core is thicker too.
 *
 * @param size the instruments it is made for
 * @param position where it goes
 * @param pitch what it is tuned to
 * @param core what is inside
 * @param winding what is wound round it
 * @param end how its tail end is finished
 * @param designLengthMm the vibrating length it is made for, 180 to 1200 mm, if it is known
 * @param pull how hard it pulls
 * @param diameterMm 0.15 to 4 mm, if it is known
 * @param axialStiffnessN what would stretch it to double its length, 500 to 80 000 N, where a maker says so
 * @param tailSilkEndMm from the ball to the end of the tail silk, if it was measured
 * @param topSilkStartMm from the ball to the start of the top silk, if it was measured
 * @param totalLengthMm from the ball to the tip, if it was measured
 */
public record Packet(
        Size size,
        Position position,
        Pitch pitch,
        StringCore core,
        Winding winding,
        StringEnd end,
        Optional<Double> designLengthMm,
        Pull pull,
        Optional<Double> diameterMm,
        Optional<Double> axialStiffnessN,
        Optional<Double> tailSilkEndMm,
        Optional<Double> topSilkStartMm,
        Optional<Double> totalLengthMm) {

    /** Allowed silk and total lengths, in mm from the ball. */
    public static final Range FROM_BALL = new Range(0, StringSpec.LONGEST_MM, Unit.MILLIMETRE);

    private static final Range DENSITY = new Range(1, 25_000, Unit.KILOGRAM_PER_CUBIC_METRE);

    /** A bare string may be so much lighter or denser than its material, as a share: gut is not all alike. */
    private static final double BARE_TOLERANCE = 0.15;
    /** A wound string is at least so dense as a share of its lightest part: there is air between the turns. */
    private static final double LEAST_PACKED = 0.5;
    /** A string whose weighing may be wrong by more than this says little. */
    private static final double COARSE = 0.1;

    /** Checks what has to be there. */
    public Packet {
        requireNonNull(size, "size");
        requireNonNull(position, "position");
        requireNonNull(pitch, "pitch");
        requireNonNull(core, "core");
        requireNonNull(winding, "winding");
        requireNonNull(end, "end");
        requireNonNull(pull, "pull");
        designLengthMm.ifPresent(mm -> StringSpec.DESIGN_LENGTH.require("designLengthMm", mm));
        axialStiffnessN.ifPresent(newton -> StringSpec.AXIAL_STIFFNESS.require("axialStiffnessN", newton));
        diameterMm.ifPresent(mm -> StringSpec.DIAMETER.require("diameterMm", mm));
        tailSilkEndMm.ifPresent(mm -> FROM_BALL.require("tailSilkEndMm", mm));
        topSilkStartMm.ifPresent(mm -> FROM_BALL.require("topSilkStartMm", mm));
        totalLengthMm.ifPresent(mm -> FROM_BALL.require("totalLengthMm", mm));
        if (!mayHave(size.family(), position, pitch)) {
            throw new IllegalArgumentException("pitch is " + pitch.spelling() + ", which " + position + " of a "
                    + size.family() + " cannot be tuned to");
        }
    }

    /**
     * What a string's packet must have said, so that the string came of it.
     *
     * @param size the instruments it is made for
     * @param string the string
     * @return its packet, silent about what is assumed; a grade stands for the tension that comes nearest
     */
    public static Packet of(Size size, StringSpec string) {
        requireNonNull(size, "size");
        Set<StringFigure> assumed = string.assumed();
        Packet said = new Packet(
                size,
                string.position(),
                string.nominalPitch(),
                string.core(),
                string.winding(),
                string.end(),
                said(assumed, StringFigure.DESIGN_LENGTH, string.designLengthMm()),
                new Pull.OfTension(string.tensionN()),
                said(assumed, StringFigure.DIAMETER, string.diameterMm()),
                said(assumed, StringFigure.AXIAL_STIFFNESS, string.axialStiffnessN()),
                said(assumed, StringFigure.TAIL_SILK_END, string.tailSilkEndMm()),
                said(assumed, StringFigure.TOP_SILK_START, string.topSilkStartMm()),
                said(assumed, StringFigure.TOTAL_LENGTH, string.totalLengthMm()));
        if (!assumed.contains(StringFigure.TENSION)) {
            return said;
        }
        return Arrays.stream(Pull.Gauge.values())
                .map(gauge -> said.with(new Pull.OfGauge(gauge)))
                .min(Comparator.comparingDouble(graded -> Math.abs(graded.tensionN() - string.tensionN())))
                .orElseThrow();
    }

    private static Optional<Double> said(Set<StringFigure> assumed, StringFigure figure, double value) {
        return assumed.contains(figure) ? Optional.empty() : Optional.of(value);
    }

    /** {@return the same, pulling otherwise} */
    public Packet with(Pull other) {
        return new Packet(
                size,
                position,
                pitch,
                core,
                winding,
                end,
                designLengthMm,
                other,
                diameterMm,
                axialStiffnessN,
                tailSilkEndMm,
                topSilkStartMm,
                totalLengthMm);
    }

    /**
     * The same, saying something else of one of its figures.
     *
     * @param figure which
     * @param value what it says, in the figure's unit
     */
    public Packet with(StringFigure figure, double value) {
        requireNonNull(figure, "figure");
        requireFinite("value", value);
        return new Packet(
                size,
                position,
                pitch,
                core,
                winding,
                end,
                figure == StringFigure.DESIGN_LENGTH ? Optional.of(value) : designLengthMm,
                figure == StringFigure.TENSION ? new Pull.OfTension(value) : pull,
                figure == StringFigure.DIAMETER ? Optional.of(value) : diameterMm,
                figure == StringFigure.AXIAL_STIFFNESS ? Optional.of(value) : axialStiffnessN,
                figure == StringFigure.TAIL_SILK_END ? Optional.of(value) : tailSilkEndMm,
                figure == StringFigure.TOP_SILK_START ? Optional.of(value) : topSilkStartMm,
                figure == StringFigure.TOTAL_LENGTH ? Optional.of(value) : totalLengthMm);
    }

    /** {@return what a string is usually tuned to; V is a fifth below IV, on the bass a fourth} */
    public static Pitch usualPitch(Family family, Position position) {
        List<Pitch> open = family.openStrings();
        int place = position.number() - 1;
        return place < open.size()
                ? open.get(place)
                : new Pitch(open.get(open.size() - 1).midi() - (family == Family.BASS ? 5 : 7));
    }

    /** {@return whether a string at that place can be tuned to that pitch} */
    public static boolean mayHave(Family family, Position position, Pitch pitch) {
        return Tuning.fault(family, tuning(family, position, pitch)).isEmpty();
    }

    private static List<Pitch> tuning(Family family, Position position, Pitch pitch) {
        List<Pitch> open = new ArrayList<>(family.openStrings());
        if (position.number() > open.size()) {
            open.add(pitch);
        } else {
            open.set(position.number() - 1, pitch);
        }
        return open;
    }

    /**
     * The string.
     *
     * @return it, with what was not said marked as assumed
     * @throws rosinedpeg.core.figure.OutOfRangeException when what follows is no string that is taken
     */
    public StringSpec string() {
        return new StringSpec(
                position,
                core,
                winding,
                end,
                pitch,
                lengthMm(),
                tensionN(),
                thicknessMm(),
                stiffnessN(),
                tailSilkMm(),
                topSilkMm(),
                totalMm(),
                assumed());
    }

    /** {@return where its tail silk ends, in mm from the ball; by default before the bridge} */
    public double tailSilkMm() {
        return tailSilkEndMm.orElseGet(() -> cut().tailSilkEndMm());
    }

    /** {@return where its top silk starts, in mm from the ball; by default beyond the nut} */
    public double topSilkMm() {
        return topSilkStartMm.orElseGet(() -> cut().topSilkStartMm());
    }

    /** {@return how long it is, in mm from the ball to the tip; by default for the usual turns} */
    public double totalMm() {
        return totalLengthMm.orElseGet(() -> cut().totalLengthMm());
    }

    private StringSpec cut() {
        StringMake make = new StringMake(core, winding, tensionN(), thicknessMm(), stiffnessN());
        return UsualString.cut(setUp(), position, pitch, make, end);
    }

    /** {@return which figures of the string nobody has said} */
    public Set<StringFigure> assumed() {
        Map<StringFigure, Boolean> said = Map.of(
                StringFigure.DESIGN_LENGTH, designLengthMm.isPresent(),
                // The material of a bare string is known, and with it what a metre of such a thickness weighs.
                StringFigure.TENSION, !(pull instanceof Pull.OfGauge) || isBare() && diameterMm.isPresent(),
                StringFigure.DIAMETER, diameterMm.isPresent(),
                StringFigure.AXIAL_STIFFNESS, axialStiffnessN.isPresent(),
                StringFigure.TAIL_SILK_END, tailSilkEndMm.isPresent(),
                StringFigure.TOP_SILK_START, topSilkStartMm.isPresent(),
                StringFigure.TOTAL_LENGTH, totalLengthMm.isPresent());
        return said.entrySet().stream()
                .filter(figure -> !figure.getValue())
                .map(Map.Entry::getKey)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** {@return the instrument it is made for, as such instruments usually are} */
    public SetUp setUp() {
        return new SetUp(size, false, ReferenceA.STANDARD, tuning(size.family(), position, pitch), Map.of(), Map.of());
    }

    private StringSpec usual() {
        return UsualString.of(setUp(), position, core == StringCore.PLAIN_STEEL ? StringCore.ROPE_STEEL : core);
    }

    /** {@return the vibrating length it is made for, in mm; by default that of its size} */
    public double lengthMm() {
        return designLengthMm.orElse(size.vibratingLengthMm());
    }

    /** {@return its tension at that length, in N} */
    public double tensionN() {
        if (pull instanceof Pull.OfTension given) {
            return given.tensionN();
        }
        if (pull instanceof Pull.OfGauge graded && diameterMm.isEmpty()) {
            return usual().tensionN() * graded.gauge().tension();
        }
        return Tension.tensionN(gramsPerMetre() / 1000, lengthMm(), frequencyHz());
    }

    /** {@return what a metre of its playing length weighs, in g} */
    public double gramsPerMetre() {
        if (pull instanceof Pull.OfMass mass) {
            return mass.gramsPerMetre();
        }
        if (pull instanceof Pull.Weighed weighed) {
            return weighed.gramsPerMetre();
        }
        if (pull instanceof Pull.OfGauge && diameterMm.isPresent()) {
            return densityKgM3() * areaM2(diameterMm.get()) * 1000;
        }
        return Tension.massPerLengthKgM(tensionN(), lengthMm(), frequencyHz()) * 1000;
    }

    private double frequencyHz() {
        return pitch.frequencyHz(ReferenceA.STANDARD);
    }

    /** {@return how thick it is, in mm; by default as thick as its mass makes it} */
    public double thicknessMm() {
        return diameterMm.orElseGet(() -> thicknessMm(densityKgM3()));
    }

    /**
     * How thick its mass makes it.
     *
     * @param densityKgM3 its mean density, 1 to 25 000 kg/m³
     * @return its thickness in mm
     */
    public double thicknessMm(double densityKgM3) {
        DENSITY.require("densityKgM3", densityKgM3);
        return Math.sqrt(4 * gramsPerMetre() / 1000 / Math.PI / densityKgM3) * 1000;
    }

    /** {@return EA, what would stretch it to double its length, in N; by default as its core resists} */
    public double stiffnessN() {
        if (axialStiffnessN.isPresent()) {
            return axialStiffnessN.get();
        }
        if (isBare()) {
            double thicknessMm = thicknessMm();
            return StringSpec.AXIAL_STIFFNESS.clamp(youngModulusNMm2() * Math.PI / 4 * thicknessMm * thicknessMm);
        }
        StringSpec usual = usual();
        return StringSpec.AXIAL_STIFFNESS.clamp(usual.axialStiffnessN() * tensionN() / usual.tensionN());
    }

    private boolean isBare() {
        return winding == Winding.NONE;
    }

    /** {@return its mean density in kg/m³: of a bare string its material's, of a wound one that of such strings} */
    public double densityKgM3() {
        if (isBare()) {
            return densityKgM3(core);
        }
        StringSpec usual = usual();
        return usual.winding() == winding
                ? usual.massPerLengthKgM() / areaM2(usual.diameterMm())
                : switch (winding) {
                    case ALUMINIUM -> 2000;
                    case SILVER -> 5300;
                    case TUNGSTEN -> 7000;
                    case STEEL, NONE -> 5400;
                };
    }

    private static double areaM2(double diameterMm) {
        return Math.PI / 4 * diameterMm * diameterMm * 1e-6;
    }

    private static double densityKgM3(StringCore core) {
        return switch (core) {
            case PLAIN_STEEL, ROPE_STEEL -> 7850;
            case SYNTHETIC -> 1200;
            case GUT -> 1300;
        };
    }

    private static double densityKgM3(Winding winding) {
        return switch (winding) {
            case ALUMINIUM -> 2700;
            case SILVER -> 10_500;
            case TUNGSTEN -> 19_300;
            case STEEL, NONE -> 7900;
        };
    }

    /** In N/mm²; of gut and plastic as strings of them stretch. */
    private double youngModulusNMm2() {
        return switch (core) {
            case PLAIN_STEEL -> 200_000;
            case ROPE_STEEL -> 80_000;
            case SYNTHETIC -> 4000;
            case GUT -> 4500;
        };
    }

    /**
     * What cannot be so, or has to be looked at again.
     *
     * @param string what follows from the packet
     * @return each doubt with the figures it rests on; what cannot be comes first
     */
    public List<Doubt> doubts(StringSpec string) {
        requireNonNull(string, "string");
        List<Doubt> doubts = new ArrayList<>();
        double density = string.massPerLengthKgM() / areaM2(string.diameterMm());
        double least = isBare()
                ? densityKgM3(core) * (1 - BARE_TOLERANCE)
                : LEAST_PACKED * Math.min(densityKgM3(core), densityKgM3(winding));
        double most =
                isBare() ? densityKgM3(core) * (1 + BARE_TOLERANCE) : Math.max(densityKgM3(core), densityKgM3(winding));
        if (density > most) {
            doubts.add(new Doubt(Doubt.Kind.TOO_HEAVY_FOR_ITS_THICKNESS, density, most));
        } else if (density < least) {
            doubts.add(new Doubt(Doubt.Kind.TOO_LIGHT_FOR_ITS_THICKNESS, density, least));
        }
        double breaksAtN = string.breakingTensionN();
        if (string.tensionN() >= breaksAtN) {
            doubts.add(new Doubt(Doubt.Kind.BREAKS_BEFORE_ITS_PITCH, string.tensionN(), breaksAtN));
        }
        double between = string.topSilkStartMm() - string.tailSilkEndMm();
        if (between < string.designLengthMm()) {
            doubts.add(new Doubt(Doubt.Kind.SILK_IN_PLAYING_LENGTH, between, string.designLengthMm()));
        }
        if (pull instanceof Pull.Weighed weighed && weighed.uncertainty() > COARSE) {
            doubts.add(new Doubt(Doubt.Kind.WEIGHED_COARSELY, weighed.uncertainty(), COARSE));
        }
        return List.copyOf(doubts);
    }

    /**
     * Something about a packet that cannot be so, or has to be looked at again.
     *
     * @param kind what
     * @param found the figure that was found
     * @param limit the figure it is held against
     */
    public record Doubt(Kind kind, double found, double limit) {

        /** Checks the figures. */
        public Doubt {
            requireNonNull(kind, "kind");
            requireFinite("found", found);
            requireFinite("limit", limit);
        }

        /** {@return whether no such string can be} */
        public boolean isImpossible() {
            return kind.impossible;
        }

        /** What can be wrong with a packet. Both figures are in the unit given here. */
        public enum Kind {
            /** Denser than the densest thing in it. Mean density; the most there can be; kg/m³. */
            TOO_HEAVY_FOR_ITS_THICKNESS(true),
            /** Lighter than the lightest thing in it. Mean density; the least there can be; kg/m³. */
            TOO_LIGHT_FOR_ITS_THICKNESS(true),
            /** It would break on the way up. Tension at pitch; tension at which it breaks; N. */
            BREAKS_BEFORE_ITS_PITCH(true),
            /** Its silk would lie between bridge and nut. Length between the silks; length it is made for; mm. */
            SILK_IN_PLAYING_LENGTH(false),
            /** The scales are too coarse for it. How far it may be off, as a share; the most that says something. */
            WEIGHED_COARSELY(false);

            private final boolean impossible;

            Kind(boolean impossible) {
                this.impossible = impossible;
            }
        }
    }
}
