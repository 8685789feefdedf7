package rosinedpeg.core.bridge;

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
        RANGE.require("leanDeg", degrees);
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
        if (!(heightMm > 0)) {
            throw new IllegalArgumentException("heightMm is " + heightMm + "; it must be above 0 mm");
        }
        return new Lean(Math.toDegrees(Math.atan(gapMm / heightMm)));
    }

    /** {@return the gaps that can be entered for an instrument: as far as the bridge could lean and still stand up} */
    public static Range gapRangeMm(SetUp setUp) {
        double most = Math.floor(setUp.value(Quantity.BRIDGE_HEIGHT) * Math.tan(Math.toRadians(15)) * 2) / 2;
        return new Range(-most, most, Unit.MILLIMETRE);
    }
}
