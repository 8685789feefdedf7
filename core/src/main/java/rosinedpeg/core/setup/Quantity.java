package rosinedpeg.core.setup;

import static rosinedpeg.core.figure.Unit.DEGREE;
import static rosinedpeg.core.figure.Unit.GRAM;
import static rosinedpeg.core.figure.Unit.MILLIMETRE;
import static rosinedpeg.core.figure.Unit.RATIO;
import static rosinedpeg.core.setup.Area.BODY;
import static rosinedpeg.core.setup.Area.BRIDGE;
import static rosinedpeg.core.setup.Area.NUT;
import static rosinedpeg.core.setup.Area.PEGBOX;
import static rosinedpeg.core.setup.Area.TAILPIECE;
import static rosinedpeg.core.setup.FoundOn.ALL;
import static rosinedpeg.core.setup.FoundOn.EACH_STRING;
import static rosinedpeg.core.setup.FoundOn.EACH_TAPERED_PEG;
import static rosinedpeg.core.setup.FoundOn.EACH_TUNER;
import static rosinedpeg.core.setup.FoundOn.GEARS;
import static rosinedpeg.core.setup.FoundOn.INNER_STRINGS;
import static rosinedpeg.core.setup.Scaling.AS_LENGTH;
import static rosinedpeg.core.setup.Scaling.AS_SURFACE;
import static rosinedpeg.core.setup.Scaling.NOT;
import static rosinedpeg.core.setup.Spread.between;
import static rosinedpeg.core.setup.Spread.eitherSide;
import static rosinedpeg.core.setup.Spread.times;
import static rosinedpeg.core.setup.Usual.nothing;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.strings.Position;

/**
 * What can be measured on an instrument, in the order in which usual values follow from one another. Each has a usual
 * value, which stands in until somebody measures: one that belongs to its family stands in {@link FullSize} and follows to a
 * smaller size by its {@link Scaling}, any other is worked out.
 */
public enum Quantity {
    /** From the nut to the bridge, along the string. */
    VIBRATING_LENGTH(BODY, ALL, MILLIMETRE, (known, at) -> known.size().vibratingLengthMm(), times(0.86, 1.12)),
    /** From the bridge to the tailpiece's fret or the tuner; a sixth of the vibrating length by default. */
    AFTERLENGTH(TAILPIECE, ALL, MILLIMETRE, (known, at) -> known.value(Quantity.VIBRATING_LENGTH) / 6, times(0.6, 1.5)),
    /** From the top plate to the crown of the bridge at its centre. */
    BRIDGE_HEIGHT(BRIDGE, ALL, MILLIMETRE, AS_LENGTH, times(0.75, 1.3)),
    /** Of a bridge foot, front to back. */
    FOOT_DEPTH(BRIDGE, ALL, MILLIMETRE, AS_LENGTH, times(0.6, 1.6)),
    /** Of the bridge at its top edge. */
    TOP_THICKNESS(BRIDGE, ALL, MILLIMETRE, AS_LENGTH, times(0.5, 2)),
    /** Between the centres of the two feet. */
    FOOT_SPAN(BRIDGE, ALL, MILLIMETRE, AS_LENGTH, times(0.75, 1.35)),
    /** Between the outer strings at the bridge. */
    BRIDGE_SPACING(BRIDGE, ALL, MILLIMETRE, AS_LENGTH, times(0.6, 1.25)),
    /** From the lowest string to an inner one, at the bridge. */
    FROM_LOWEST_STRING(
            BRIDGE,
            INNER_STRINGS,
            MILLIMETRE,
            (known, at) -> {
                double spacingMm = known.value(Quantity.BRIDGE_SPACING);
                return spacingMm / 2 + SetUp.xAcross(at, known.strings(), spacingMm);
            },
            times(0.6, 1.5)),
    /** From the top plate up to a string in its groove on the bridge. */
    STRING_HEIGHT(BRIDGE, EACH_STRING, MILLIMETRE, Usual::stringHeightMm, times(0.7, 1.35)),
    /** From the rim of a string's groove in the bridge to its floor. */
    BRIDGE_GROOVE_DEPTH(BRIDGE, EACH_STRING, MILLIMETRE, Usual::grooveDepthMm, times(0, 5)),
    /** Of a string's groove in the bridge, at its rim. */
    BRIDGE_GROOVE_WIDTH(BRIDGE, EACH_STRING, MILLIMETRE, Usual::stringDiameterMm, times(0.4, 3)),
    /** Between the bridge's back and a card's right angle, at the top; below 0 when the gap is at the foot. */
    BRIDGE_GAP(
            BRIDGE,
            ALL,
            MILLIMETRE,
            nothing(),
            eitherSide(known -> known.value(Quantity.BRIDGE_HEIGHT) * Math.tan(Math.toRadians(15)))),
    /** The treble foot from the line between the nicks, above 0 towards the fingerboard. */
    TREBLE_FOOT_OFF_LINE(
            BRIDGE, ALL, MILLIMETRE, nothing(), eitherSide(known -> known.value(Quantity.FOOT_SPAN) * 0.4)),
    /** The same of the bass foot. */
    BASS_FOOT_OFF_LINE(BRIDGE, ALL, MILLIMETRE, nothing(), eitherSide(known -> known.value(Quantity.FOOT_SPAN) * 0.4)),
    /** The middle of the feet from the middle of the strings, above 0 towards the treble side. */
    OFF_CENTRE(BRIDGE, ALL, MILLIMETRE, nothing(), eitherSide(known -> known.value(Quantity.FOOT_SPAN) * 0.2)),
    /** The most that a straightedge stands off the bridge's back. */
    WARP(BRIDGE, ALL, MILLIMETRE, nothing(), between(known -> 0, known -> known.value(Quantity.BRIDGE_HEIGHT) / 10)),
    /** Between the strings and the top plate, on the fingerboard side of the bridge. */
    FRONT_ANGLE(BODY, ALL, DEGREE, NOT, times(0.5, 1.6)),
    /** Between the strings and the top plate, on the tailpiece side of the bridge. */
    BACK_ANGLE(BODY, ALL, DEGREE, NOT, times(0.5, 1.6)),
    /** Between the outer strings at the nut. */
    NUT_SPACING(NUT, ALL, MILLIMETRE, AS_LENGTH, times(0.75, 1.6)),
    /** From the rim of a string's groove in the nut to its floor. */
    NUT_GROOVE_DEPTH(NUT, EACH_STRING, MILLIMETRE, Usual::grooveDepthMm, times(0, 5)),
    /** Of a string's groove in the nut, at its rim. */
    NUT_GROOVE_WIDTH(NUT, EACH_STRING, MILLIMETRE, Usual::stringDiameterMm, times(0.4, 3)),
    /** Inside the pegbox, from wall to wall, at the nut. */
    PEGBOX_WIDTH_AT_NUT(PEGBOX, ALL, MILLIMETRE, AS_LENGTH, times(0.6, 1.5)),
    /** Inside the pegbox, from wall to wall, at its far end. */
    PEGBOX_WIDTH_AT_END(PEGBOX, ALL, MILLIMETRE, AS_LENGTH, times(0.6, 1.6)),
    /** From the nut to the far end of the pegbox. */
    PEGBOX_LENGTH(PEGBOX, ALL, MILLIMETRE, Usual::pegboxLengthMm, times(0.7, 1.6)),
    /** From the level of the strings at the nut down to the pegbox's floor. */
    PEGBOX_DEPTH(PEGBOX, ALL, MILLIMETRE, AS_LENGTH, times(0.7, 1.5)),
    /** Of the peg or the machine's post where the string winds. */
    SHAFT_DIAMETER(PEGBOX, ALL, MILLIMETRE, AS_LENGTH, times(0.65, 1.5)),
    /** From the nut to a string's peg. */
    NUT_TO_PEG(PEGBOX, EACH_STRING, MILLIMETRE, Usual::nutToPegMm, times(0.6, 1.6)),
    /** From the level of the strings at the nut down to the middle of a string's shaft. */
    SHAFT_DEPTH(PEGBOX, EACH_STRING, MILLIMETRE, Usual::shaftDepthMm, times(0.6, 1.6)),
    /** From the hole in a string's shaft to the wall on the side of its knob. */
    HOLE_TO_WALL(PEGBOX, EACH_STRING, MILLIMETRE, Usual::holeToWallMm, times(0.1, 3)),
    /** From the lip of a peg's collar to the wall; a peg that wears its way in has less of it every year. */
    COLLAR_TO_WALL(PEGBOX, EACH_TAPERED_PEG, MILLIMETRE, AS_LENGTH, times(0, 3)),
    /** Turns of a machine head's crank or a geared peg's knob for one turn of its shaft. */
    GEAR_RATIO(PEGBOX, GEARS, RATIO, (known, at) -> known.pegKind().usualRatio(), times(0.1, 3)),
    /** Of the slot that a string's tail end goes through. */
    TAIL_SLOT_WIDTH(
            TAILPIECE, EACH_STRING, MILLIMETRE, (known, at) -> 1.6 * Usual.stringDiameterMm(known, at), times(0.3, 4)),
    /** Between the tailpiece and the top plate, where they come nearest. */
    TAILPIECE_TO_TOP(TAILPIECE, ALL, MILLIMETRE, AS_LENGTH, times(0, 3)),
    /** Of the tailpiece with what is built into it. */
    TAILPIECE_MASS(TAILPIECE, ALL, GRAM, AS_SURFACE, times(0.2, 4)),
    /** Of each fine tuner that was added to it. */
    ADDED_TUNER_MASS(TAILPIECE, ALL, GRAM, AS_SURFACE, times(0.1, 4)),
    /** How far the screw of a string's fine tuner can still go in, which raises the pitch. */
    TUNER_SCREW_LEFT(TAILPIECE, EACH_TUNER, MILLIMETRE, AS_LENGTH, times(0, 2.5)),
    /** How far that screw is in already. */
    TUNER_SCREW_IN(TAILPIECE, EACH_TUNER, MILLIMETRE, AS_LENGTH, times(0, 4)),
    /** Between the lever of a string's fine tuner and the top plate. */
    LEVER_TO_TOP(TAILPIECE, EACH_TUNER, MILLIMETRE, AS_LENGTH, times(0, 1.5)),
    /**
     * By how much the lever of a string's fine tuner moves for each mm of its screw: the arm that draws the string is the one
     * that nears the top.
     */
    TUNER_LEVER_RATIO(TAILPIECE, EACH_TUNER, RATIO, (known, at) -> 0.8, times(0.25, 3.75));

    /** Gap that is usually left between the last turn and the wall, in shaft diameters. */
    public static final double GAP_TO_WALL = 0.13;

    private final Area area;
    private final FoundOn foundOn;
    private final Unit unit;
    private final Usual usual;
    private final Spread spread;
    private final boolean ofFamily;

    /** Its usual value is worked out. */
    Quantity(Area area, FoundOn foundOn, Unit unit, Usual usual, Spread spread) {
        this.area = area;
        this.foundOn = foundOn;
        this.unit = unit;
        this.usual = usual;
        this.spread = spread;
        this.ofFamily = false;
    }

    /** Its usual value belongs to the family. */
    Quantity(Area area, FoundOn foundOn, Unit unit, Scaling scaling, Spread spread) {
        this.area = area;
        this.foundOn = foundOn;
        this.unit = unit;
        this.usual = (known, at) -> known.fullSize().value(this) * scaling.of(known.size());
        this.spread = spread;
        this.ofFamily = true;
    }

    /** {@return those whose usual value belongs to the family} */
    static Set<Quantity> ofFamilies() {
        return Arrays.stream(values())
                .filter(quantity -> quantity.ofFamily)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Quantity.class)));
    }

    /** {@return where on the instrument it is measured} */
    public Area area() {
        return area;
    }

    /** {@return its unit} */
    public Unit unit() {
        return unit;
    }

    /** {@return whether each string has its own, rather than the instrument one} */
    public boolean ofEachString() {
        return foundOn.ofEachString();
    }

    boolean isOn(Known known, Position position) {
        return foundOn.has(known, position);
    }

    double usual(Known known, Position position) {
        return usual.value(known, position);
    }

    /** What may be entered, rounded outwards; it rests on usual values alone, so that no order of measuring matters. */
    Range range(Known usualOnes, Position position) {
        return spread.around(usual(usualOnes, position), usualOnes, unit);
    }
}
