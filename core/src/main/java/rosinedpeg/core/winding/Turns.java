package rosinedpeg.core.winding;

import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;

/**
 * How many turns a string makes on its peg at pitch.
 *
 * @param count turns, counted from the hole; below 0 the tip does not reach the peg
 */
public record Turns(double count) {
    /** Checks the parts. */
    public Turns {
        requireFinite("count", count);
    }

    private static final double STEEL_IS_WRONG_FROM = 3;
    private static final double OTHERS_ARE_WRONG_FROM = 1.5;

    /** Fewer do not hold. */
    public static final double FEWEST = 2;

    /**
     * From the string's length: {@code n = (total − anchor to nut − nut to peg − tip + stretch)/(π·(D + d))}.
     *
     * @param totalMm from the ball to the tip
     * @param anchorToNutMm from the tail anchor to the nut
     * @param nutToPegMm from the nut to the peg
     * @param tipMm what stands out beyond the hole
     * @param stretchMm how much longer the string is at pitch
     * @param shaftDiameterMm D, above 0
     * @param stringDiameterMm d, above 0
     * @return the turns
     * @throws IllegalArgumentException when a diameter is not above 0
     */
    public static Turns of(
            double totalMm,
            double anchorToNutMm,
            double nutToPegMm,
            double tipMm,
            double stretchMm,
            double shaftDiameterMm,
            double stringDiameterMm) {
        requireFinite("anchorToNutMm", anchorToNutMm);
        requireFinite("nutToPegMm", nutToPegMm);
        requireFinite("shaftDiameterMm", shaftDiameterMm);
        requireFinite("stretchMm", stretchMm);
        requireFinite("stringDiameterMm", stringDiameterMm);
        requireFinite("tipMm", tipMm);
        requireFinite("totalMm", totalMm);
        if (!(shaftDiameterMm > 0) || !(stringDiameterMm > 0)) {
            throw new IllegalArgumentException(
                    "diameters are " + shaftDiameterMm + " and " + stringDiameterMm + " mm; both must be above 0");
        }
        return new Turns((totalMm - anchorToNutMm - nutToPegMm - tipMm + stretchMm)
                / (Math.PI * (shaftDiameterMm + stringDiameterMm)));
    }

    /** {@return the turns of a string on an instrument at pitch, locked the usual way} */
    public static Turns of(SetUp setUp, StringSpec string) {
        return of(setUp, string, Lock.FAR_SIDE_THEN_CROSS);
    }

    /** {@return the turns of a string on an instrument at pitch, when its lock takes up some of the tip} */
    public static Turns of(SetUp setUp, StringSpec string, Lock lock) {
        double shaftMm = setUp.value(Quantity.SHAFT_DIAMETER);
        return of(
                string.totalLengthMm(),
                setUp.value(Quantity.AFTERLENGTH) + setUp.value(Quantity.VIBRATING_LENGTH),
                setUp.value(Quantity.NUT_TO_PEG, string.position()),
                lock.tipMm(setUp.family(), shaftMm, string.diameterMm()),
                setUp.elasticity(string).stretchMm(),
                shaftMm,
                string.diameterMm());
    }

    /** {@return the most turns that still lie side by side in such a pegbox} */
    public static double most(Family family) {
        return switch (family) {
            case VIOLIN, VIOLA -> 5;
            case CELLO -> 4;
            case BASS -> 3;
        };
    }

    /**
     * The turns from which a string is the wrong one, rather than one that is a little long.
     *
     * @param family whose pegbox
     * @param core steel may be bent and cut shorter, gut and synthetic may not
     * @return {@value #STEEL_IS_WRONG_FROM} times the most for steel, {@value #OTHERS_ARE_WRONG_FROM} times for the others; a
     *     default of our own
     */
    public static double wrongFrom(Family family, StringCore core) {
        return most(family) * (core.isSteel() ? STEEL_IS_WRONG_FROM : OTHERS_ARE_WRONG_FROM);
    }

    /** {@return whether so many turns hold, and find room in such a pegbox} */
    public WindingPlan.Outcome outcome(Family family) {
        if (count < FEWEST) {
            return WindingPlan.Outcome.TOO_SHORT;
        }
        return count > most(family) ? WindingPlan.Outcome.TOO_LONG : WindingPlan.Outcome.HOLDS;
    }

    /**
     * The turns to lay on the far side of the hole before crossing over, so that the last one leaves the shaft in line
     * with the nut groove: {@code n − distance/d}.
     *
     * @param holeToTargetMm from the hole to where the string should leave, towards the near wall
     * @param stringDiameterMm d, above 0
     * @return turns on the far side; below 0 when all of them fit between hole and target
     * @throws IllegalArgumentException when the diameter is not above 0
     */
    public double farSide(double holeToTargetMm, double stringDiameterMm) {
        requireFinite("holeToTargetMm", holeToTargetMm);
        requireFinite("stringDiameterMm", stringDiameterMm);
        if (!(stringDiameterMm > 0)) {
            throw new IllegalArgumentException("stringDiameterMm is " + stringDiameterMm + "; it must be above 0 mm");
        }
        return count - holeToTargetMm / stringDiameterMm;
    }
}
