package rosinedpeg.core.usual;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
        Set<StringFigure> assumed = EnumSet.noneOf(StringFigure.class);
        SetUp setUp = setUp();
        StringSpec usual = usual(setUp);
        double lengthMm = or(designLengthMm, size.vibratingLengthMm(), StringFigure.DESIGN_LENGTH, assumed);
        double frequencyHz = pitch.frequencyHz(ReferenceA.STANDARD);
        double tensionN = tensionN(usual, lengthMm, frequencyHz, assumed);
        double massKgM = Tension.massPerLengthKgM(tensionN, lengthMm, frequencyHz);
        double thicknessMm = or(diameterMm, thicknessMm(usual, massKgM), StringFigure.DIAMETER, assumed);
        double stiffnessN = isBare()
                ? youngModulusNMm2() * Math.PI / 4 * thicknessMm * thicknessMm
                : usual.axialStiffnessN() * tensionN / usual.tensionN();
        StringMake make = new StringMake(
                core,
                winding,
                tensionN,
                thicknessMm,
                or(
                        axialStiffnessN,
                        StringSpec.AXIAL_STIFFNESS.clamp(stiffnessN),
                        StringFigure.AXIAL_STIFFNESS,
                        assumed));
        StringSpec cut = UsualString.cut(setUp, position, pitch, make, end);
        return new StringSpec(
                position,
                core,
                winding,
                end,
                pitch,
                lengthMm,
                tensionN,
                thicknessMm,
                make.axialStiffnessN(),
                or(tailSilkEndMm, cut.tailSilkEndMm(), StringFigure.TAIL_SILK_END, assumed),
                or(topSilkStartMm, cut.topSilkStartMm(), StringFigure.TOP_SILK_START, assumed),
                or(totalLengthMm, cut.totalLengthMm(), StringFigure.TOTAL_LENGTH, assumed),
                assumed);
    }

    /** {@return the instrument it is made for, as such instruments usually are} */
    public SetUp setUp() {
        return new SetUp(size, false, ReferenceA.STANDARD, tuning(size.family(), position, pitch), Map.of(), Map.of());
    }

    private StringSpec usual(SetUp setUp) {
        return UsualString.of(setUp, position, core == StringCore.PLAIN_STEEL ? StringCore.ROPE_STEEL : core);
    }

    private double tensionN(StringSpec usual, double lengthMm, double frequencyHz, Set<StringFigure> assumed) {
        if (pull instanceof Pull.OfTension given) {
            return given.tensionN();
        }
        if (pull instanceof Pull.OfMass mass) {
            return Tension.tensionN(mass.gramsPerMetre() / 1000, lengthMm, frequencyHz);
        }
        if (pull instanceof Pull.Weighed weighed) {
            return Tension.tensionN(weighed.gramsPerMetre() / 1000, lengthMm, frequencyHz);
        }
        if (diameterMm.isPresent()) {
            if (!isBare()) {
                assumed.add(StringFigure.TENSION);
            }
            return Tension.tensionN(densityKgM3(usual) * areaM2(diameterMm.get()), lengthMm, frequencyHz);
        }
        assumed.add(StringFigure.TENSION);
        return usual.tensionN() * ((Pull.OfGauge) pull).gauge().tension();
    }

    private double thicknessMm(StringSpec usual, double massKgM) {
        return Math.sqrt(4 * massKgM / Math.PI / densityKgM3(usual)) * 1000;
    }

    private boolean isBare() {
        return winding == Winding.NONE;
    }

    /** Of a bare string its material's; of a wound one the mean of such strings. */
    private double densityKgM3(StringSpec usual) {
        if (isBare()) {
            return densityKgM3(core);
        }
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

    private static double or(Optional<Double> known, double usual, StringFigure figure, Set<StringFigure> assumed) {
        if (known.isEmpty()) {
            assumed.add(figure);
        }
        return known.orElse(usual);
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
