package rosinedpeg.core.grooves;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.StringSpec;

/**
 * A groove and the string in it.
 *
 * @param depthMm from its rim to its floor, 0 to 8 mm
 * @param widthMm at its rim, 0.1 to 8 mm
 * @param stringDiameterMm 0.15 to 4 mm
 */
public record Groove(double depthMm, double widthMm, double stringDiameterMm) {

    private static final Range DEPTH = new Range(0, 8, Unit.MILLIMETRE);
    private static final Range WIDTH = new Range(0.1, 8, Unit.MILLIMETRE);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public Groove {
        DEPTH.require("depthMm", depthMm);
        WIDTH.require("widthMm", widthMm);
        StringSpec.DIAMETER.require("stringDiameterMm", stringDiameterMm);
    }

    /** {@return the groove of a string in the bridge of an instrument} */
    public static Groove ofBridge(SetUp setUp, StringSpec string) {
        return of(setUp, string, Quantity.BRIDGE_GROOVE_DEPTH, Quantity.BRIDGE_GROOVE_WIDTH);
    }

    /** {@return the groove of a string in the nut of an instrument} */
    public static Groove ofNut(SetUp setUp, StringSpec string) {
        return of(setUp, string, Quantity.NUT_GROOVE_DEPTH, Quantity.NUT_GROOVE_WIDTH);
    }

    private static Groove of(SetUp setUp, StringSpec string, Quantity depth, Quantity width) {
        return new Groove(
                setUp.value(depth, string.position()), setUp.value(width, string.position()), string.diameterMm());
    }

    /** {@return depth over the string's diameter} */
    public double depthShare() {
        return depthMm / stringDiameterMm;
    }

    /** {@return what its depth means: shallow below 0.25 of the diameter, good to 0.5, deep above, to be referred over 0.8} */
    public Depth depth() {
        if (depthShare() < 0.25) {
            return Depth.SHALLOW;
        }
        if (depthShare() <= 0.5) {
            return Depth.GOOD;
        }
        return depthShare() <= 0.8 ? Depth.DEEP : Depth.TOO_DEEP;
    }

    /** {@return whether it pinches the string: its width should be the string's own} */
    public boolean pinches() {
        return widthMm < stringDiameterMm * 0.98;
    }

    /** What a groove's depth means. */
    public enum Depth {
        /** The string may jump out. */
        SHALLOW,
        GOOD,
        /** It chokes and wears the string, and snags it. */
        DEEP,
        /** A repairer's work. */
        TOO_DEEP
    }
}
