package rosinedpeg.core.setup;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
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
 * @param figures everything that can be measured on it, with its value
 * @param tailEnds what each string is hung on
 * @param pegSides on which side of the pegbox the knob of each string's peg is
 * @param pegKind what the strings are wound on
 */
public record SetUp(
        Size size,
        boolean leftHanded,
        ReferenceA referenceA,
        List<Pitch> openStrings,
        Map<Measurable, Figure> figures,
        Map<Position, TailEnd> tailEnds,
        Map<Position, Side> pegSides,
        PegKind pegKind) {

    /**
     * Fills in what is missing and checks the rest; what such an instrument does not have is left out.
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
        Map<Position, TailEnd> hung = new EnumMap<>(Position.class);
        for (int number = 1; number <= openStrings.size(); number++) {
            Position position = Position.ofNumber(number);
            hung.put(position, tailEnds.getOrDefault(position, TailEnd.SLOT));
        }
        tailEnds = Collections.unmodifiableMap(hung);
        Map<Measurable, Figure> measured = new LinkedHashMap<>(figures);
        measured.values().removeIf(figure -> figure.origin() == Origin.DEFAULT);
        if (!measured.isEmpty()) {
            Figures usual = new Figures(size, pegKind, tailEnds, Map.of());
            measured.keySet().retainAll(usual.all().keySet());
            measured.forEach((what, figure) -> usual.range(what).require(what.code(), figure.value()));
        }
        figures = new Figures(size, pegKind, tailEnds, measured).all();
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
            Map<Measurable, Figure> figures,
            Map<Position, TailEnd> tailEnds) {
        this(
                size,
                leftHanded,
                referenceA,
                openStrings,
                figures,
                tailEnds,
                Map.of(),
                size.family().usualPegs());
    }

    /** {@return an instrument of that size with nothing measured, everything as is usual in its family} */
    public static SetUp unmeasured(Size size) {
        return new SetUp(
                size,
                false,
                ReferenceA.STANDARD,
                size.family().openStrings(),
                Map.of(),
                size.family().usualTailEnds());
    }

    /** {@return the family} */
    public Family family() {
        return size.family();
    }

    /** {@return the positions this instrument has, I first} */
    public List<Position> positions() {
        return List.of(Position.values()).subList(0, openStrings.size());
    }

    /** {@return whether such an instrument has what can be measured on some} */
    public boolean has(Measurable measurable) {
        requireNonNull(measurable, "measurable");
        return figures.containsKey(measurable);
    }

    /**
     * The figure of what can be measured.
     *
     * @param measurable what this instrument {@linkplain #has has}
     * @return its figure, measured or usual
     * @throws IllegalArgumentException when such an instrument does not have it
     */
    public Figure figure(Measurable measurable) {
        requireNonNull(measurable, "measurable");
        Figure figure = figures.get(measurable);
        if (figure == null) {
            throw new IllegalArgumentException("quantity is " + measurable.code() + "; it must be one of "
                    + figures.keySet().stream().map(Measurable::code).toList());
        }
        return figure;
    }

    /** {@return the same for a quantity of the whole instrument} */
    public Figure figure(Quantity quantity) {
        return figure(Measurable.of(quantity));
    }

    /** {@return the same for a quantity of one string} */
    public Figure figure(Quantity quantity, Position position) {
        return figure(Measurable.of(quantity, position));
    }

    /** {@return what may be entered, by the usual values of such an instrument} */
    public Range rangeOf(Measurable measurable) {
        return new Figures(size, pegKind, tailEnds, Map.of()).range(measurable);
    }

    /** {@return what may be entered for a quantity of the whole instrument} */
    public Range rangeOf(Quantity quantity) {
        return rangeOf(Measurable.of(quantity));
    }

    /**
     * The bare number of a quantity.
     *
     * @param quantity one that such an instrument has
     * @return the number, in the quantity's unit
     * @throws IllegalArgumentException when it has no such quantity, as a gear ratio with friction pegs
     */
    public double value(Quantity quantity) {
        return value(Measurable.of(quantity));
    }

    /**
     * The bare number of a string's quantity.
     *
     * @param quantity one that each string has
     * @param position one of the instrument's strings
     * @return the number, in the quantity's unit
     * @throws IllegalArgumentException when it has no such quantity, as a fifth peg with four strings
     */
    public double value(Quantity quantity, Position position) {
        return value(Measurable.of(quantity, position));
    }

    private double value(Measurable measurable) {
        return figure(measurable).value();
    }

    /** {@return {@code MEASURED} when all of the quantities were measured, {@code DEFAULT} otherwise} */
    public Origin weakestOrigin(Quantity... quantities) {
        return weakestOrigin(Arrays.stream(quantities).map(Measurable::of).toList());
    }

    /** {@return {@code MEASURED} when all of that was measured, {@code DEFAULT} otherwise} */
    public Origin weakestOrigin(Collection<Measurable> measurables) {
        return measurables.stream().anyMatch(one -> figure(one).origin() == Origin.DEFAULT)
                ? Origin.DEFAULT
                : Origin.MEASURED;
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
        return openStrings.get(position.number() - 1);
    }

    /** {@return from the middle of the pegbox to either wall, at a distance from the nut, in mm} */
    public double pegboxHalfWidthMm(double fromNutMm) {
        requireFinite("fromNutMm", fromNutMm);
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

    /** {@return whether any of its strings hangs on a fine tuner} */
    public boolean hasFineTuners() {
        return tailEnds.values().stream().anyMatch(TailEnd::hasFineTuner);
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
        return position.in(pegSides);
    }

    /**
     * The hand that turns a string's peg with the scroll up and the front towards oneself, as on the lap: pegs of the low side
     * stand on the left, unless the instrument is left-handed.
     *
     * @param position one of the instrument's strings
     * @return the hand
     * @throws IllegalArgumentException when the instrument has no such string
     */
    public Hand handAtPeg(Position position) {
        return (pegSide(position) == Side.BASS) ^ leftHanded ? Hand.LEFT : Hand.RIGHT;
    }

    /**
     * Checks that there is such a string.
     *
     * @param position a position
     * @throws IllegalArgumentException when the instrument has no such string
     */
    public void requireString(Position position) {
        if (position.number() > openStrings.size()) {
            throw new IllegalArgumentException("position is " + position + "; it must be one of " + positions());
        }
    }

    /** {@return where a string crosses the bridge, in mm from the centre line, positive on the treble side} */
    public double xAtBridgeMm(Position position) {
        double spacingMm = value(Quantity.BRIDGE_SPACING);
        if (isOuter(position)) {
            return xAcross(position, openStrings.size(), spacingMm);
        }
        return value(Quantity.FROM_LOWEST_STRING, position) - spacingMm / 2;
    }

    /** {@return where a string crosses the nut, in mm from the centre line, positive on the treble side} */
    public double xAtNutMm(Position position) {
        return xAcross(position, openStrings.size(), value(Quantity.NUT_SPACING));
    }

    static double xAcross(Position position, int strings, double spacingMm) {
        return spacingMm * (0.5 - (position.number() - 1.0) / (strings - 1));
    }

    /**
     * The same instrument with more of it measured.
     *
     * @param values in the unit of each quantity
     * @throws rosinedpeg.core.figure.OutOfRangeException when a value is outside its range
     */
    public SetUp measured(Map<Measurable, Double> values) {
        Map<Measurable, Figure> more = new LinkedHashMap<>(figures);
        values.forEach((what, value) ->
                more.put(what, Figure.measured(value, what.quantity().unit())));
        return new SetUp(size, leftHanded, referenceA, openStrings, more, tailEnds, pegSides, pegKind);
    }

    /** {@return the same instrument in another tuning, its strings unchanged in number} */
    public SetUp tuned(List<Pitch> otherStrings, ReferenceA otherA) {
        return new SetUp(size, leftHanded, otherA, otherStrings, figures, tailEnds, pegSides, pegKind);
    }

    /** {@return the length of its body, from the usual one of its family in the ratio of the vibrating lengths, in mm} */
    public double bodyLengthMm() {
        double perVibratingLength = switch (family()) {
            case VIOLIN -> 356 / 328.0;
            case VIOLA -> 1 / 0.912;
            case CELLO -> 755 / 692.0;
            case BASS -> 1110 / 1055.0;
        };
        return perVibratingLength * value(Quantity.VIBRATING_LENGTH);
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
                + value(Quantity.NUT_TO_PEG, string.position());
        return new Elasticity(tensionN(string), string.axialStiffnessN(), freeLengthMm);
    }
}
