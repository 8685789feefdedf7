package rosinedpeg.core.setup;

import rosinedpeg.core.strings.Position;

/** The usual value of a quantity, worked out of others and of what belongs to the family. */
interface Usual {

    /** A fifth string below IV is thicker by so much. */
    double FIFTH_THICKER = 1.3;
    /** Grooves are a little less than half as deep as the string is thick. */
    double GROOVE_DEPTH = 0.4;
    /** How far shafts lie deeper for each mm further from the nut. */
    double SHAFT_SLOPE = 0.06;
    /** From the hole to where the string leaves, in shaft diameters. */
    double HOLE_TO_LEAVING = 0.29;

    double value(Known known, Position position);

    static Usual nothing() {
        return (known, position) -> 0;
    }

    static double stringDiameterMm(Known known, Position position) {
        return position == Position.V
                ? known.fullSize().stringDiameterMm(Position.IV) * FIFTH_THICKER
                : known.fullSize().stringDiameterMm(position);
    }

    static double grooveDepthMm(Known known, Position position) {
        return GROOVE_DEPTH * stringDiameterMm(known, position);
    }

    /** On a circle below the crown, tilted towards the treble side. */
    static double stringHeightMm(Known known, Position position) {
        double spacingMm = known.value(Quantity.BRIDGE_SPACING);
        double xMm = SetUp.xAcross(position, known.strings(), spacingMm);
        double scale = known.size().scale();
        double radiusMm = known.fullSize().topRadiusMm() * scale;
        double belowCrownMm = radiusMm - Math.sqrt(radiusMm * radiusMm - xMm * xMm);
        double tilt = known.fullSize().lowestStringHigherMm() * scale / spacingMm;
        return known.value(Quantity.BRIDGE_HEIGHT) - belowCrownMm - tilt * xMm;
    }

    static double pegboxLengthMm(Known known, Position position) {
        FullSize full = known.fullSize();
        double longer = known.strings() == 5 ? full.pegFromNutMm(5) / full.pegFromNutMm(4) : 1;
        return full.pegboxLengthMm() * known.size().scale() * longer;
    }

    static double nutToPegMm(Known known, Position position) {
        return known.fullSize().pegFromNutMm(PegLayout.placeFromNut(position, known.strings()))
                * known.size().scale();
    }

    static double shaftDepthMm(Known known, Position position) {
        return known.fullSize().shaftDepthAtNutMm() * known.size().scale()
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
}
