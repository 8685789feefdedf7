package rosinedpeg.core.bridge;

import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;

/**
 * Where the push of the strings runs through the bridge.
 *
 * <p>The strings press along the line that halves their bend over the bridge. From the centre of the top edge,
 * {@code x = t/2 + h·tan(lean)} from the foot's tailpiece-side edge, the line comes down at
 * {@code x + h·tan((φb − φf)/2)}. The margin is 1 when that is the middle of the foot and 0 at its edge; past the edge
 * the bridge goes over. Plain statics.
 *
 * @param atMm where the line meets the foot, from its tailpiece-side edge
 * @param margin {@code 1 − |atMm − b/2|/(b/2)}
 */
public record Thrust(double atMm, double margin) {
    /** Checks the parts. */
    public Thrust {
        requireFinite("atMm", atMm);
        requireFinite("margin", margin);
    }

    /**
     * The thrust line of a bridge.
     *
     * @param heightMm h, from the plate to the top edge
     * @param footDepthMm b, front to back
     * @param topThicknessMm t
     * @param lean its lean
     * @param frontAngleDeg φf, between strings and plate on the fingerboard side
     * @param backAngleDeg φb, between strings and plate on the tailpiece side
     * @return where it meets the foot
     * @throws IllegalArgumentException when a length is not above 0
     */
    public static Thrust of(
            double heightMm,
            double footDepthMm,
            double topThicknessMm,
            Lean lean,
            double frontAngleDeg,
            double backAngleDeg) {
        requireFinite("backAngleDeg", backAngleDeg);
        requireFinite("footDepthMm", footDepthMm);
        requireFinite("frontAngleDeg", frontAngleDeg);
        requireFinite("heightMm", heightMm);
        requireFinite("topThicknessMm", topThicknessMm);
        requirePositive("heightMm", heightMm);
        requirePositive("footDepthMm", footDepthMm);
        requirePositive("topThicknessMm", topThicknessMm);
        double topMm = topThicknessMm / 2 + heightMm * Math.tan(Math.toRadians(lean.degrees()));
        double atMm = topMm + heightMm * Math.tan(Math.toRadians((backAngleDeg - frontAngleDeg) / 2));
        double halfFootMm = footDepthMm / 2;
        return new Thrust(atMm, 1 - Math.abs(atMm - halfFootMm) / halfFootMm);
    }

    /** {@return the thrust line of an instrument's bridge at a lean} */
    public static Thrust of(SetUp setUp, Lean lean) {
        return of(
                setUp.value(Quantity.BRIDGE_HEIGHT),
                setUp.value(Quantity.FOOT_DEPTH),
                setUp.value(Quantity.TOP_THICKNESS),
                lean,
                setUp.value(Quantity.FRONT_ANGLE),
                setUp.value(Quantity.BACK_ANGLE));
    }

    /** {@return what the margin means} */
    public ThrustBand band() {
        return ThrustBand.of(margin);
    }

    private static void requirePositive(String name, double value) {
        if (!(value > 0)) {
            throw new IllegalArgumentException(name + " is " + value + "; it must be above 0 mm");
        }
    }
}
