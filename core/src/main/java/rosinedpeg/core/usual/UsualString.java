package rosinedpeg.core.usual;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.strings.StringCore.GUT;
import static rosinedpeg.core.strings.StringCore.PLAIN_STEEL;
import static rosinedpeg.core.strings.StringCore.ROPE_STEEL;
import static rosinedpeg.core.strings.StringCore.SYNTHETIC;
import static rosinedpeg.core.strings.Winding.ALUMINIUM;
import static rosinedpeg.core.strings.Winding.NONE;
import static rosinedpeg.core.strings.Winding.SILVER;
import static rosinedpeg.core.strings.Winding.STEEL;
import static rosinedpeg.core.strings.Winding.TUNGSTEN;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;

/**
 * A string as it usually is, for one that nobody knows anything about. Every figure of it is a default, and says so.
 *
 * <p>It starts from one usual string for each place of a full-sized instrument. From there three rules lead on, all of them the
 * string equation {@code T = μ·(2·L·f)²} with something held; what resists stretching is the core, which stays:
 *
 * <ul>
 *   <li><i>Another core</i> stretches more or less, is a little thicker or thinner, and gut is strung a little lighter.
 *   <li><i>Another size</i>: tension falls with the length, so that mass per length grows as {@code 1/L} and thickness as its
 *       root.
 *   <li><i>Another pitch</i>, where no string of the family is meant for it: the tension of the nearest one. Mass per length
 *       has to go with {@code 1/f²}; a heavier winding takes up part of it, so thickness goes with {@code f} to the power of
 *       −2/3.
 * </ul>
 *
 * <p>It is cut for the usual measurements of the size, so that it goes on with the usual turns and its silk lies outside the
 * playing length.
 */
public final class UsualString {

    /** Turns that a string is cut for. */
    public static final double TURNS = 3.3;
    /** Turns that a bass string is cut for. */
    public static final double TURNS_ON_BASS = 2.3;

    /** Tail silk ends at this share of the way to the bridge. */
    private static final double TAIL_SILK_SHARE = 0.8;
    /** Top silk starts so far beyond the nut, in mm. */
    private static final double BEYOND_NUT_MM = 3;
    /** A string tuned further from its usual pitch than this, in semitones, is another string. */
    private static final int RETUNED_BY = 3;

    private static final Map<Family, List<StringMake>> PATTERNS = Map.of(
            Family.VIOLIN,
            List.of(
                    new StringMake(PLAIN_STEEL, NONE, 78, 0.26, 10_600),
                    new StringMake(SYNTHETIC, ALUMINIUM, 54, 0.68, 1400),
                    new StringMake(SYNTHETIC, ALUMINIUM, 43, 0.80, 1400),
                    new StringMake(SYNTHETIC, SILVER, 44, 0.80, 1500)),
            Family.VIOLA,
            List.of(
                    new StringMake(PLAIN_STEEL, STEEL, 80, 0.47, 7000),
                    new StringMake(SYNTHETIC, ALUMINIUM, 49, 0.82, 1700),
                    new StringMake(SYNTHETIC, SILVER, 50, 0.95, 1900),
                    new StringMake(SYNTHETIC, SILVER, 54, 1.15, 2200)),
            Family.CELLO,
            List.of(
                    new StringMake(ROPE_STEEL, STEEL, 175, 0.70, 10_500),
                    new StringMake(ROPE_STEEL, STEEL, 139, 1.00, 10_000),
                    new StringMake(ROPE_STEEL, TUNGSTEN, 135, 1.25, 11_000),
                    new StringMake(ROPE_STEEL, TUNGSTEN, 135, 1.65, 12_000)),
            Family.BASS,
            List.of(
                    new StringMake(ROPE_STEEL, STEEL, 282, 1.25, 28_000),
                    new StringMake(ROPE_STEEL, STEEL, 286, 1.60, 29_000),
                    new StringMake(ROPE_STEEL, STEEL, 288, 2.05, 30_000),
                    new StringMake(ROPE_STEEL, STEEL, 290, 2.55, 30_000)));

    private UsualString() {}

    /** {@return the cores that sets for a family have, the usual one first; on violin and viola I is of steel in all of them} */
    public static List<StringCore> cores(Size size) {
        requireNonNull(size, "size");
        return likely(size) == SYNTHETIC ? List.of(SYNTHETIC, ROPE_STEEL, GUT) : List.of(ROPE_STEEL, SYNTHETIC, GUT);
    }

    /** {@return the core of most sets for a size: steel ropes on what children play, on cello and bass, plastic on the others} */
    public static StringCore likely(Size size) {
        requireNonNull(size, "size");
        boolean small = size.family() == Family.VIOLIN || size.family() == Family.VIOLA;
        return small && !size.forChildren() ? SYNTHETIC : ROPE_STEEL;
    }

    /** {@return the string that is on an instrument of this kind most likely} */
    public static StringSpec of(SetUp setUp, Position position) {
        return of(setUp, position, likely(setUp.size()));
    }

    /**
     * A usual string of a set.
     *
     * @param setUp what it is for: its size, tuning, pegs and tail ends; what was measured does not matter
     * @param position which of its strings
     * @param ofSet the core of the set; a steel I of a violin or a viola stays one
     * @return the string, every figure of which is a default
     * @throws IllegalArgumentException when the instrument has no such string, or a set has no such core
     */
    public static StringSpec of(SetUp setUp, Position position, StringCore ofSet) {
        requireNonNull(ofSet, "ofSet");
        if (ofSet == PLAIN_STEEL) {
            throw new IllegalArgumentException(
                    "ofSet is " + ofSet + "; it must be one of " + cores(setUp.size()) + ", which sets are made of");
        }
        Pitch pitch = meantFor(setUp, position);
        Family family = setUp.family();
        int nearest = nearest(family, pitch);
        StringMake make = patterns(family)
                .get(nearest)
                .withCore(ofSet)
                .forLength(setUp.size().vibratingLengthMm()
                        / Size.of(family).get(0).vibratingLengthMm())
                .forFrequency(pitch.frequencyHz(ReferenceA.STANDARD)
                        / family.openStrings().get(nearest).frequencyHz(ReferenceA.STANDARD));
        SetUp usual = new SetUp(
                setUp.size(),
                setUp.leftHanded(),
                ReferenceA.STANDARD,
                setUp.openStrings(),
                Map.of(),
                setUp.tailEnds(),
                Map.of(),
                setUp.pegKind());
        StringEnd end = Arrays.stream(StringEnd.values())
                .filter(position.in(setUp.tailEnds())::takes)
                .findFirst()
                .orElseThrow();
        return cut(usual, position, pitch, make, end).assuming(EnumSet.allOf(StringFigure.class));
    }

    /**
     * A string with lengths that suit an instrument: it goes on with the usual turns, and its silk lies outside the playing
     * length.
     *
     * @param setUp the instrument
     * @param position which of its strings
     * @param pitch what it is tuned to
     * @param make what it is made of
     * @param end how its tail end is finished
     * @return the string; its figures count as given by its maker
     */
    public static StringSpec cut(SetUp setUp, Position position, Pitch pitch, StringMake make, StringEnd end) {
        double shaftMm = setUp.value(Quantity.SHAFT_DIAMETER);
        double bridgeMm = setUp.value(Quantity.AFTERLENGTH);
        double nutMm = bridgeMm + setUp.value(Quantity.VIBRATING_LENGTH);
        double pegMm = nutMm + setUp.value(Quantity.NUT_TO_PEG, position);
        double stretchMm = make.tensionN() * pegMm / make.axialStiffnessN();
        double turns = setUp.family() == Family.BASS ? TURNS_ON_BASS : TURNS;
        double woundMm = turns * Math.PI * (shaftMm + make.diameterMm());
        double tipMm = Lock.FAR_SIDE_THEN_CROSS.tipMm(setUp.family(), shaftMm, make.diameterMm());
        return new StringSpec(
                position,
                make.core(),
                make.winding(),
                end,
                pitch,
                setUp.value(Quantity.VIBRATING_LENGTH),
                make.tensionN(),
                make.diameterMm(),
                make.axialStiffnessN(),
                Math.round(bridgeMm * TAIL_SILK_SHARE),
                Math.ceil(nutMm + BEYOND_NUT_MM),
                Math.round(pegMm + tipMm - stretchMm + woundMm),
                Set.of());
    }

    /**
     * The pitch a string is made for. One string tuned away from the others is the usual one, tuned otherwise; where all of them
     * are, or one is far away, it is another string.
     */
    private static Pitch meantFor(SetUp setUp, Position position) {
        Pitch tuned = setUp.openString(position);
        List<Pitch> usual = setUp.family().openStrings();
        List<Pitch> open = setUp.openStrings();
        if (open.size() != usual.size()) {
            return tuned;
        }
        int place = position.number() - 1;
        int off = tuned.midi() - usual.get(place).midi();
        boolean all = true;
        for (int i = 0; i < open.size(); i++) {
            all &= open.get(i).midi() - usual.get(i).midi() == off;
        }
        return all || Math.abs(off) > RETUNED_BY ? tuned : usual.get(place);
    }

    private static int nearest(Family family, Pitch pitch) {
        List<Pitch> usual = family.openStrings();
        int nearest = 0;
        for (int i = 1; i < usual.size(); i++) {
            if (Math.abs(usual.get(i).midi() - pitch.midi())
                    <= Math.abs(usual.get(nearest).midi() - pitch.midi())) {
                nearest = i;
            }
        }
        return nearest;
    }

    private static List<StringMake> patterns(Family family) {
        return requireNonNull(PATTERNS.get(family));
    }
}
