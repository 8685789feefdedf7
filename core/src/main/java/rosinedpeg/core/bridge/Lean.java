package rosinedpeg.core.bridge;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Optional;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;

/**
 * The angle between the bridge's tailpiece-side face and a right angle to the top plate.
 *
 * @param degrees positive towards the fingerboard, −20 to 20°
 */
public record Lean(double degrees) {

    /** A bridge that leans further than this has fallen. */
    public static final Range RANGE = new Range(-20, 20, Unit.DEGREE);

    /**
     * Checks the angle.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException outside −20 to 20°
     */
    public Lean {
        requireFinite("degrees", degrees);
        RANGE.require("leanDeg", degrees);
    }

    /** How far backwards a hair is, as a share of the bridge's height. */
    private static final double HAIR = 0.01;

    /** {@return the gap of a bridge that stands a hair backwards, in mm; below 0} */
    public static double hairBackwardsGapMm(SetUp setUp) {
        return -HAIR * setUp.value(Quantity.BRIDGE_HEIGHT);
    }

    /**
     * The lean from a card's right angle held against the bridge: {@code atan(gap/height)}.
     *
     * @param gapMm the gap between card and bridge at the top; negative when the gap is at the foot
     * @param heightMm where the gap is measured, above the top plate, above 0
     * @return the lean
     * @throws IllegalArgumentException when the height is not above 0 or the lean is beyond its range
     */
    public static Lean fromGap(double gapMm, double heightMm) {
        requireFinite("gapMm", gapMm);
        requireFinite("heightMm", heightMm);
        if (!(heightMm > 0)) {
            throw new IllegalArgumentException("heightMm is " + heightMm + "; it must be above 0 mm");
        }
        return new Lean(Math.toDegrees(Math.atan(gapMm / heightMm)));
    }

    /** {@return the lean of an instrument's bridge by the gap that was measured last; square by default} */
    public static Lean of(SetUp setUp) {
        return fromGap(setUp.value(Quantity.BRIDGE_GAP), setUp.value(Quantity.BRIDGE_HEIGHT));
    }

    /**
     * What gaps a card can show beside a bridge that has not fallen.
     *
     * @param heightMm where the gap is measured, above the top plate, above 0
     * @return the range, below 0 for a lean backwards
     */
    public static Range gapRange(double heightMm) {
        double mostMm = new Lean(RANGE.high()).gapMm(heightMm);
        return new Range(-mostMm, mostMm, Unit.MILLIMETRE);
    }

    /** {@return the lean of an instrument's bridge if its gap was ever measured} */
    public static Optional<Lean> measured(SetUp setUp) {
        return setUp.figure(Quantity.BRIDGE_GAP).origin() == Origin.MEASURED
                ? Optional.of(of(setUp))
                : Optional.empty();
    }

    /**
     * The lean from two lines drawn on a picture of the bridge from its side: how far the back face is from square to the
     * top plate.
     *
     * @param plate along the top plate
     * @param back along the bridge's tailpiece-side face
     * @param tailpieceOnLeft on which side of the picture the tailpiece is
     * @return the lean
     * @throws IllegalArgumentException when the lines lie further than 20° from square
     */
    public static Lean fromPicture(PictureLine plate, PictureLine back, boolean tailpieceOnLeft) {
        double fromSquare = back.directionDeg() - plate.directionDeg() - 90;
        double folded = fromSquare - 180 * Math.rint(fromSquare / 180);
        return new Lean(tailpieceOnLeft ? -folded : folded);
    }

    /** {@return the gap that a card would show at a height, in mm: {@code height · tan(lean)}} */
    public double gapMm(double heightMm) {
        requireFinite("heightMm", heightMm);
        return heightMm * Math.tan(Math.toRadians(degrees));
    }
}
