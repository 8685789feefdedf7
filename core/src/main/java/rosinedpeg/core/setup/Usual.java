package rosinedpeg.core.setup;

import rosinedpeg.core.strings.Position;

/** The usual value of a quantity. Families come in their order: violin, viola, cello, bass. */
interface Usual {

    /** From the nut to each peg, in order from the nut. */
    double[][] PEG_PLACES = {
        {16, 31, 53, 68, 84}, {18, 35, 60, 77, 95}, {34, 66, 115, 147, 180}, {50, 85, 150, 185, 225}
    };
    /** Thickness of typical strings, I to IV. */
    double[][] STRING_DIAMETERS = {
        {0.26, 0.68, 0.80, 0.80}, {0.47, 0.82, 0.95, 1.15}, {0.70, 1.00, 1.25, 1.65}, {1.25, 1.60, 2.05, 2.55}
    };
    /** A fifth string below IV is thicker by so much. */
    double FIFTH_THICKER = 1.3;
    /** Grooves are a little less than half as deep as the string is thick. */
    double GROOVE_DEPTH = 0.4;
    /** Radius of the bridge's top. */
    double[] TOP_RADIUS = {42, 50, 60, 78};
    /** By how much the bridge stands higher under the lowest string than under I. */
    double[] LOW_STRING_HIGHER = {2, 2.4, 4, 7};

    double[] SHAFT_DEPTH_AT_NUT = {9.8, 11, 17.5, 23};
    /** How far shafts lie deeper for each mm further from the nut. */
    double SHAFT_SLOPE = 0.06;
    /** From the hole to where the string leaves, in shaft diameters. */
    double HOLE_TO_LEAVING = 0.29;

    double value(Known known, Position position);

    static Usual length(double... byFamily) {
        return (known, position) -> byFamily[family(known)] * known.size().scale();
    }

    /** A smaller instrument's parts weigh less as their size squared: thickness hardly follows. */
    static Usual mass(double... byFamily) {
        return (known, position) ->
                byFamily[family(known)] * known.size().scale() * known.size().scale();
    }

    static Usual angle(double... byFamily) {
        return (known, position) -> byFamily[family(known)];
    }

    static Usual nothing() {
        return (known, position) -> 0;
    }

    static double stringDiameterMm(Known known, Position position) {
        double[] ofFamily = STRING_DIAMETERS[family(known)];
        return position == Position.V ? ofFamily[3] * FIFTH_THICKER : ofFamily[position.ordinal()];
    }

    static double grooveDepthMm(Known known, Position position) {
        return GROOVE_DEPTH * stringDiameterMm(known, position);
    }

    /** On a circle below the crown, tilted towards the treble side. */
    static double stringHeightMm(Known known, Position position) {
        double spacingMm = known.value(Quantity.BRIDGE_SPACING);
        double xMm = SetUp.xAcross(position, known.strings(), spacingMm);
        double scale = known.size().scale();
        double radiusMm = TOP_RADIUS[family(known)] * scale;
        double belowCrownMm = radiusMm - Math.sqrt(radiusMm * radiusMm - xMm * xMm);
        double tilt = LOW_STRING_HIGHER[family(known)] * scale / spacingMm;
        return known.value(Quantity.BRIDGE_HEIGHT) - belowCrownMm - tilt * xMm;
    }

    static double pegboxLengthMm(Known known, Position position) {
        double[] places = PEG_PLACES[family(known)];
        double longer = known.strings() == 5 ? places[4] / places[3] : 1;
        return length(78, 88, 168, 212).value(known, position) * longer;
    }

    static double nutToPegMm(Known known, Position position) {
        return PEG_PLACES[family(known)][PegLayout.placeFromNut(position, known.strings())]
                * known.size().scale();
    }

    static double shaftDepthMm(Known known, Position position) {
        return SHAFT_DEPTH_AT_NUT[family(known)] * known.size().scale()
                + SHAFT_SLOPE * known.value(Quantity.NUT_TO_PEG, position);
    }

    static double holeToWallMm(Known known, Position position) {
        double shaftMm = known.value(Quantity.SHAFT_DIAMETER);
        double halfWidthMm = PegLayout.halfWidthMm(
                known.value(Quantity.PEGBOX_WIDTH_AT_NUT),
                known.value(Quantity.PEGBOX_WIDTH_AT_END),
                known.value(Quantity.PEGBOX_LENGTH),
                known.value(Quantity.NUT_TO_PEG, position));
        double grooveMm = Math.abs(SetUp.xAcross(position, known.strings(), known.value(Quantity.NUT_SPACING)));
        double leavingMm = Math.min(grooveMm, halfWidthMm - Quantity.GAP_TO_WALL * shaftMm);
        return halfWidthMm - leavingMm + HOLE_TO_LEAVING * shaftMm;
    }

    private static int family(Known known) {
        return known.size().family().ordinal();
    }
}
