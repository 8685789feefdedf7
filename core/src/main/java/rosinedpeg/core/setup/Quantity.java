package rosinedpeg.core.setup;

import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.strings.Position;

/**
 * What can be measured on an instrument. Each has a usual value for every family and size, which stands in until
 * somebody measures. Lengths of a smaller size are those of the full size in the ratio of the vibrating lengths.
 */
public enum Quantity {
    /** From the nut to the bridge, along the string. */
    VIBRATING_LENGTH(0.86, 1.12),
    /** From the bridge to the tailpiece's fret or the tuner; a sixth of the vibrating length by default. */
    AFTERLENGTH(0.6, 1.5),
    /** From the top plate to the crown of the bridge at its centre. */
    BRIDGE_HEIGHT(0.75, 1.3, 33, 38, 90, 160),
    /** Of a bridge foot, front to back. */
    FOOT_DEPTH(0.6, 1.6, 4.5, 5.2, 11, 20),
    /** Of the bridge at its top edge. */
    TOP_THICKNESS(0.5, 2, 1.3, 1.5, 2.6, 4.5),
    /** Between the centres of the two feet. */
    FOOT_SPAN(0.75, 1.35, 31, 35, 70, 122),
    /** Between the outer strings at the bridge. */
    BRIDGE_SPACING(0.8, 1.25, 33.5, 37, 47.5, 82),
    /** Between the outer strings at the nut. */
    NUT_SPACING(0.75, 1.3, 16.5, 17.5, 22, 33),
    /** Between the strings and the top plate, on the fingerboard side of the bridge. */
    FRONT_ANGLE(0.5, 1.6, 8.5, 8.5, 10.5, 12),
    /** Between the strings and the top plate, on the tailpiece side of the bridge. */
    BACK_ANGLE(0.5, 1.6, 13.5, 13.5, 16, 18),
    /** Of the peg or the machine's post where the string winds. */
    SHAFT_DIAMETER(0.65, 1.5, 7.6, 8.2, 13, 10),
    /** From the nut to the peg of I. */
    NUT_TO_PEG_I(0.6, 1.6),
    /** From the nut to the peg of II. */
    NUT_TO_PEG_II(0.6, 1.6),
    /** From the nut to the peg of III. */
    NUT_TO_PEG_III(0.6, 1.6),
    /** From the nut to the peg of IV. */
    NUT_TO_PEG_IV(0.6, 1.6),
    /** From the nut to the peg of V. */
    NUT_TO_PEG_V(0.6, 1.6),
    /** Inside the pegbox, from wall to wall, at the nut. */
    PEGBOX_WIDTH_AT_NUT(0.6, 1.5, 15, 17, 29, 40),
    /** Inside the pegbox, from wall to wall, at its far end. */
    PEGBOX_WIDTH_AT_END(0.6, 1.6, 11.5, 13, 22, 30),
    /** From the nut to the far end of the pegbox. */
    PEGBOX_LENGTH(0.7, 1.6, 78, 88, 168, 212),
    /** From the level of the strings at the nut down to the pegbox's floor. */
    PEGBOX_DEPTH(0.7, 1.5, 20.5, 23, 38, 46),
    /** From the level of the strings at the nut down to the middle of the shaft of I. */
    SHAFT_DEPTH_I(0.6, 1.6),
    /** The same of II. */
    SHAFT_DEPTH_II(0.6, 1.6),
    /** The same of III. */
    SHAFT_DEPTH_III(0.6, 1.6),
    /** The same of IV. */
    SHAFT_DEPTH_IV(0.6, 1.6),
    /** The same of V. */
    SHAFT_DEPTH_V(0.6, 1.6),
    /** From the hole in the shaft of I to the wall on the side of its knob. */
    HOLE_TO_WALL_I(0.1, 3),
    /** The same of II. */
    HOLE_TO_WALL_II(0.1, 3),
    /** The same of III. */
    HOLE_TO_WALL_III(0.1, 3),
    /** The same of IV. */
    HOLE_TO_WALL_IV(0.1, 3),
    /** The same of V. */
    HOLE_TO_WALL_V(0.1, 3),
    /** Turns of a machine head's crank or a geared peg's knob for one turn of its shaft. */
    GEAR_RATIO(0.1, 3);

    /** Gap that is usually left between the last turn and the wall, in shaft diameters. */
    public static final double GAP_TO_WALL = 0.13;
    /** From the hole to where the string leaves, in shaft diameters. */
    private static final double HOLE_TO_LEAVING = 0.29;
    /** How far shafts lie deeper for each mm further from the nut. */
    private static final double SHAFT_SLOPE = 0.06;

    private static final double[][] PEG_PLACES = {
        {16, 31, 53, 68, 84}, {18, 35, 60, 77, 95}, {34, 66, 115, 147, 180}, {50, 85, 150, 185, 225}
    };
    private static final double[] SHAFT_DEPTH_AT_NUT = {9.8, 11, 17.5, 23};

    private final double lowFactor;
    private final double highFactor;
    private final double[] byFamily;

    Quantity(double lowFactor, double highFactor, double... byFamily) {
        this.lowFactor = lowFactor;
        this.highFactor = highFactor;
        this.byFamily = byFamily;
    }

    /** {@return the unit: degrees for the two string angles, a plain ratio for gears, millimetres for all else} */
    public Unit unit() {
        if (isAngle()) {
            return Unit.DEGREE;
        }
        return this == GEAR_RATIO ? Unit.RATIO : Unit.MILLIMETRE;
    }

    /** {@return whether it is measured on the pegs or in the pegbox} */
    public boolean ofPegbox() {
        return compareTo(SHAFT_DIAMETER) >= 0;
    }

    /** {@return whether an instrument has it} */
    public boolean appliesTo(int strings, PegKind pegs) {
        if (this == GEAR_RATIO) {
            return !pegs.holdsByFriction();
        }
        return strings == 5 || !name().endsWith("_V");
    }

    /** {@return the usual value for an instrument of that size, with so many strings on such pegs} */
    public Figure defaultFor(Size size, int strings, PegKind pegs) {
        return Figure.byDefault(usual(size, strings, pegs), unit());
    }

    private double usual(Size size, int strings, PegKind pegs) {
        if (this == VIBRATING_LENGTH) {
            return size.vibratingLengthMm();
        }
        if (this == AFTERLENGTH) {
            return size.vibratingLengthMm() / 6;
        }
        if (this == GEAR_RATIO) {
            return pegs.usualRatio();
        }
        int family = size.family().ordinal();
        if (isAngle()) {
            return byFamily[family];
        }
        if (byFamily.length > 0) {
            double longer = this == PEGBOX_LENGTH && strings == 5 ? PEG_PLACES[family][4] / PEG_PLACES[family][3] : 1;
            return byFamily[family] * size.scale() * longer;
        }
        Position position = Position.valueOf(name().substring(name().lastIndexOf('_') + 1));
        double fromNutMm = PEG_PLACES[family][PegLayout.placeFromNut(position, strings)] * size.scale();
        if (name().startsWith("NUT_TO_PEG")) {
            return fromNutMm;
        }
        if (name().startsWith("SHAFT_DEPTH")) {
            return SHAFT_DEPTH_AT_NUT[family] * size.scale() + SHAFT_SLOPE * fromNutMm;
        }
        return usualHoleToWallMm(position, fromNutMm, size, strings, pegs);
    }

    private static double usualHoleToWallMm(Position position, double fromNutMm, Size size, int strings, PegKind pegs) {
        double shaft = SHAFT_DIAMETER.usual(size, strings, pegs);
        double halfWidth = PegLayout.halfWidthMm(
                PEGBOX_WIDTH_AT_NUT.usual(size, strings, pegs),
                PEGBOX_WIDTH_AT_END.usual(size, strings, pegs),
                PEGBOX_LENGTH.usual(size, strings, pegs),
                fromNutMm);
        double groove = Math.abs(SetUp.xAcross(position, strings, NUT_SPACING.usual(size, strings, pegs)));
        double leaving = Math.min(groove, halfWidth - GAP_TO_WALL * shaft);
        return halfWidth - leaving + HOLE_TO_LEAVING * shaft;
    }

    /** {@return what may be entered for an instrument of that size, rounded outwards to whole units} */
    public Range rangeFor(Size size, int strings, PegKind pegs) {
        double usual = usual(size, strings, pegs);
        double step = usual < 20 ? 0.1 : 1;
        return new Range(
                Math.floor(usual * lowFactor / step) * step, Math.ceil(usual * highFactor / step) * step, unit());
    }

    /** {@return the distance from the nut to the peg of that string} */
    public static Quantity nutToPeg(Position position) {
        return valueOf("NUT_TO_PEG_" + position);
    }

    /** {@return the depth of the shaft of that string} */
    public static Quantity shaftDepth(Position position) {
        return valueOf("SHAFT_DEPTH_" + position);
    }

    /** {@return the distance from the hole of that string's shaft to the wall} */
    public static Quantity holeToWall(Position position) {
        return valueOf("HOLE_TO_WALL_" + position);
    }

    private boolean isAngle() {
        return this == FRONT_ANGLE || this == BACK_ANGLE;
    }
}
