package rosinedpeg.core.setup;

import static java.util.Objects.requireNonNull;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * An instrument's set-up. Whatever was not measured has its usual value, marked as a default.
 *
 * @param size family and size
 * @param leftHanded whether everything is mirrored; positions and "bass" and "treble" keep their meaning
 * @param referenceA what it is tuned to
 * @param openStrings the pitches of its strings, I first, four or five
 * @param figures every {@link Quantity} that applies, with its value
 * @param tailEnds what each string is hung on
 * @param pegSides on which side of the pegbox the knob of each string's peg is
 * @param pegKind what the strings are wound on
 */
public record SetUp(
        Size size,
        boolean leftHanded,
        ReferenceA referenceA,
        List<Pitch> openStrings,
        Map<Quantity, Figure> figures,
        Map<Position, TailEnd> tailEnds,
        Map<Position, Side> pegSides,
        PegKind pegKind) {

    /**
     * Fills in what is missing and checks the rest.
     *
     * @throws IllegalArgumentException when there are not four or five strings
     * @throws rosinedpeg.core.figure.OutOfRangeException when a figure is outside its range for that size
     */
    public SetUp {
        requireNonNull(size, "size");
        requireNonNull(referenceA, "referenceA");
        openStrings = List.copyOf(openStrings);
        if (openStrings.size() < 4 || openStrings.size() > 5) {
            throw new IllegalArgumentException(
                    "openStrings has " + openStrings.size() + " pitches; it must have 4 or 5");
        }
        pegKind = pegKind == null ? size.family().usualPegs() : pegKind;
        Map<Quantity, Figure> complete = new EnumMap<>(Quantity.class);
        for (Quantity quantity : Quantity.values()) {
            if (quantity.appliesTo(openStrings.size(), pegKind)) {
                Figure usual = quantity.defaultFor(size, openStrings.size(), pegKind);
                Figure figure = figures.getOrDefault(quantity, usual);
                quantity.rangeFor(size, openStrings.size(), pegKind).require(quantity.name(), figure.value());
                complete.put(quantity, figure);
            }
        }
        figures = Collections.unmodifiableMap(complete);
        Map<Position, TailEnd> hung = new EnumMap<>(Position.class);
        for (int number = 1; number <= openStrings.size(); number++) {
            Position position = Position.ofNumber(number);
            hung.put(position, tailEnds.getOrDefault(position, TailEnd.SLOT));
        }
        tailEnds = Collections.unmodifiableMap(hung);
        Map<Position, Side> sides = new EnumMap<>(PegLayout.usualSides(openStrings.size()));
        if (pegSides != null) {
            sides.putAll(pegSides);
        }
        pegSides = Collections.unmodifiableMap(sides);
    }

    /** Takes an instrument with the usual pegs of its family in their usual places. */
    public SetUp(
            Size size,
            boolean leftHanded,
            ReferenceA referenceA,
            List<Pitch> openStrings,
            Map<Quantity, Figure> figures,
            Map<Position, TailEnd> tailEnds) {
        this(size, leftHanded, referenceA, openStrings, figures, tailEnds, null, null);
    }

    /** {@return an instrument of that size with nothing measured, a fine tuner for a ball on I} */
    public static SetUp unmeasured(Size size) {
        return new SetUp(
                size,
                false,
                ReferenceA.STANDARD,
                size.family().openStrings(),
                Map.of(),
                Map.of(Position.I, TailEnd.FORK_TUNER));
    }

    /** {@return the family} */
    public Family family() {
        return size.family();
    }

    /** {@return the positions this instrument has, I first} */
    public List<Position> positions() {
        return List.of(Position.values()).subList(0, openStrings.size());
    }

    /** {@return the value of a quantity with its unit and origin; null for what such an instrument does not have} */
    public Figure figure(Quantity quantity) {
        return figures.get(quantity);
    }

    /** {@return what may be entered for a quantity of this instrument} */
    public Range rangeOf(Quantity quantity) {
        return quantity.rangeFor(size, openStrings.size(), pegKind);
    }

    /**
     * The bare number of a quantity.
     *
     * @param quantity one that such an instrument has
     * @return the number, in the quantity's unit
     * @throws IllegalArgumentException when it has no such quantity, as a fifth peg with four strings
     */
    public double value(Quantity quantity) {
        Figure figure = figures.get(quantity);
        if (figure == null) {
            throw new IllegalArgumentException("quantity is " + quantity + "; it must be one of " + figures.keySet());
        }
        return figure.value();
    }

    /** {@return {@code MEASURED} when all of the quantities were measured, {@code DEFAULT} otherwise} */
    public Origin weakestOrigin(Quantity... quantities) {
        for (Quantity quantity : quantities) {
            if (figure(quantity).origin() == Origin.DEFAULT) {
                return Origin.DEFAULT;
            }
        }
        return Origin.MEASURED;
    }

    /**
     * The open pitch of a string.
     *
     * @param position one of the instrument's strings
     * @return its pitch
     * @throws IllegalArgumentException when the instrument has no such string
     */
    public Pitch openString(Position position) {
        requireString(position);
        return openStrings.get(position.ordinal());
    }

    /** {@return from the middle of the pegbox to either wall, at a distance from the nut, in mm} */
    public double pegboxHalfWidthMm(double fromNutMm) {
        return PegLayout.halfWidthMm(
                value(Quantity.PEGBOX_WIDTH_AT_NUT),
                value(Quantity.PEGBOX_WIDTH_AT_END),
                value(Quantity.PEGBOX_LENGTH),
                fromNutMm);
    }

    /** {@return whether a string is the highest or the lowest} */
    public boolean isOuter(Position position) {
        return position == Position.I || isLowest(position);
    }

    /** {@return whether a string is the lowest} */
    public boolean isLowest(Position position) {
        return position.number() == openStrings.size();
    }

    /** {@return 1 for a string of the low half, −1 of the high half, 0 for the middle one of five} */
    public int half(Position position) {
        return Integer.signum(2 * position.number() - 1 - openStrings.size());
    }

    /**
     * The side of the pegbox that the knob of a string's peg is on.
     *
     * @param position one of the instrument's strings
     * @return the side
     * @throws IllegalArgumentException when the instrument has no such string
     */
    public Side pegSide(Position position) {
        requireString(position);
        return pegSides.get(position);
    }

    /**
     * Checks that there is such a string.
     *
     * @param position a position
     * @throws IllegalArgumentException when the instrument has no such string
     */
    public void requireString(Position position) {
        if (position.ordinal() >= openStrings.size()) {
            throw new IllegalArgumentException("position is " + position + "; it must be one of " + positions());
        }
    }

    /**
     * Where a string crosses the bridge, from the centre line; strings are taken as equally spaced.
     *
     * @param position the string
     * @return mm, positive on the treble side
     */
    public double xAtBridgeMm(Position position) {
        return xAcross(position, openStrings.size(), value(Quantity.BRIDGE_SPACING));
    }

    /** {@return where a string crosses the nut, in mm from the centre line, positive on the treble side} */
    public double xAtNutMm(Position position) {
        return xAcross(position, openStrings.size(), value(Quantity.NUT_SPACING));
    }

    static double xAcross(Position position, int strings, double spacingMm) {
        return spacingMm * (0.5 - (double) position.ordinal() / (strings - 1));
    }

    /** {@return the same instrument in another tuning, its strings unchanged in number} */
    public SetUp tuned(List<Pitch> otherStrings, ReferenceA otherA) {
        return new SetUp(size, leftHanded, otherA, otherStrings, figures, tailEnds, pegSides, pegKind);
    }

    /** {@return the tension of a string on this instrument at pitch, in N} */
    public double tensionN(StringSpec string) {
        return string.tensionN(value(Quantity.VIBRATING_LENGTH), openString(string.position()), referenceA);
    }

    /** {@return the tension of each of those strings on this instrument at pitch, in N} */
    public Map<Position, Double> tensionsN(Map<Position, StringSpec> strings) {
        Map<Position, Double> tensionsN = new EnumMap<>(Position.class);
        strings.forEach((position, string) -> tensionsN.put(position, tensionN(string)));
        return tensionsN;
    }

    /** {@return how a string on this instrument answers to being drawn in, at pitch} */
    public Elasticity elasticity(StringSpec string) {
        double freeLengthMm = value(Quantity.AFTERLENGTH)
                + value(Quantity.VIBRATING_LENGTH)
                + value(Quantity.nutToPeg(string.position()));
        return new Elasticity(tensionN(string), string.axialStiffnessN(), freeLengthMm);
    }
}
