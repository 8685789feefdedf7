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
    NUT_TO_PEG_I(0.6, 1.6, 31, 35, 66, 85),
    /** From the nut to the peg of II. */
    NUT_TO_PEG_II(0.6, 1.6, 68, 77, 147, 185),
    /** From the nut to the peg of III. */
    NUT_TO_PEG_III(0.6, 1.6, 53, 60, 115, 150),
    /** From the nut to the peg of IV. */
    NUT_TO_PEG_IV(0.6, 1.6, 16, 18, 34, 50);

    private final double lowFactor;
    private final double highFactor;
    private final double[] byFamily;

    Quantity(double lowFactor, double highFactor, double... byFamily) {
        this.lowFactor = lowFactor;
        this.highFactor = highFactor;
        this.byFamily = byFamily;
    }

    /** {@return the unit: degrees for the two string angles, millimetres for all else} */
    public Unit unit() {
        return isAngle() ? Unit.DEGREE : Unit.MILLIMETRE;
    }

    /** {@return the usual value for an instrument of that size} */
    public Figure defaultFor(Size size) {
        double value;
        if (this == VIBRATING_LENGTH) {
            value = size.vibratingLengthMm();
        } else if (this == AFTERLENGTH) {
            value = size.vibratingLengthMm() / 6;
        } else if (isAngle()) {
            value = byFamily[size.family().ordinal()];
        } else {
            value = byFamily[size.family().ordinal()] * size.scale();
        }
        return Figure.byDefault(value, unit());
    }

    /** {@return what may be entered for an instrument of that size, rounded outwards to whole units} */
    public Range rangeFor(Size size) {
        double usual = defaultFor(size).value();
        double step = usual < 20 ? 0.1 : 1;
        return new Range(
                Math.floor(usual * lowFactor / step) * step, Math.ceil(usual * highFactor / step) * step, unit());
    }

    /** {@return the distance from the nut to the peg of that string; a fifth string's is taken as the fourth's} */
    public static Quantity nutToPeg(Position position) {
        return switch (position) {
            case I -> NUT_TO_PEG_I;
            case II -> NUT_TO_PEG_II;
            case III -> NUT_TO_PEG_III;
            case IV, V -> NUT_TO_PEG_IV;
        };
    }

    private boolean isAngle() {
        return this == FRONT_ANGLE || this == BACK_ANGLE;
    }
}
