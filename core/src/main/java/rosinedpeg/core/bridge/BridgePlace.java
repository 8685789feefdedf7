package rosinedpeg.core.bridge;

import java.util.EnumSet;
import java.util.Set;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/**
 * Where a bridge stands and what shape it is in, by measure.
 *
 * @param trebleFootMm the treble foot from the line between the inner nicks of the sound holes, positive towards the
 *     fingerboard, −60 to 60 mm
 * @param bassFootMm the same of the bass foot
 * @param offCentreMm the middle of the feet from the middle of the strings, positive towards the treble side, −30 to 30
 *     mm
 * @param lowSideUnderFirst whether its low side is under I
 * @param warpMm the most that a straightedge on its back face stands off, 0 to 20 mm
 */
public record BridgePlace(
        double trebleFootMm, double bassFootMm, double offCentreMm, boolean lowSideUnderFirst, double warpMm) {

    /** A bridge bent this much is a repairer's work; straightened it bends again. */
    public static final double WARP_TO_REFER_MM = 1;

    /** How far a foot may be off before it is put right, as a share of its depth. */
    private static final double OFF_LINE = 0.25;
    /** The same sideways, as a share of the distance between the feet. */
    private static final double OFF_CENTRE = 0.03;

    private static final Range ALONG = new Range(-60, 60, Unit.MILLIMETRE);
    private static final Range ACROSS = new Range(-30, 30, Unit.MILLIMETRE);
    private static final Range WARP = new Range(0, 20, Unit.MILLIMETRE);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public BridgePlace {
        ALONG.require("trebleFootMm", trebleFootMm);
        ALONG.require("bassFootMm", bassFootMm);
        ACROSS.require("offCentreMm", offCentreMm);
        WARP.require("warpMm", warpMm);
    }

    /** {@return the place and shape of an instrument's bridge by what was measured last; as it should be by default} */
    public static BridgePlace of(SetUp setUp) {
        Position lowest = Position.ofNumber(setUp.positions().size());
        return new BridgePlace(
                setUp.value(Quantity.TREBLE_FOOT_OFF_LINE),
                setUp.value(Quantity.BASS_FOOT_OFF_LINE),
                setUp.value(Quantity.OFF_CENTRE),
                setUp.value(Quantity.STRING_HEIGHT, Position.I) <= setUp.value(Quantity.STRING_HEIGHT, lowest),
                setUp.value(Quantity.WARP));
    }

    /** {@return how far it is turned, in degrees, positive when the treble foot is further towards the fingerboard} */
    public double twistDeg(SetUp setUp) {
        return Math.toDegrees(Math.atan((trebleFootMm - bassFootMm) / setUp.value(Quantity.FOOT_SPAN)));
    }

    /** {@return how far its middle is off the line between the nicks, in mm, positive towards the fingerboard} */
    public double offItsLineMm() {
        return (trebleFootMm + bassFootMm) / 2;
    }

    /** {@return everything that is not as it should be; nothing when it stands well} */
    public Set<Fault> faults(SetUp setUp) {
        Set<Fault> faults = EnumSet.noneOf(Fault.class);
        double allowedAlong = OFF_LINE * setUp.value(Quantity.FOOT_DEPTH);
        if (!lowSideUnderFirst) {
            faults.add(Fault.WRONG_WAY_ROUND);
        }
        if (warpMm >= WARP_TO_REFER_MM) {
            faults.add(Fault.WARPED);
        }
        if (Math.abs(trebleFootMm - bassFootMm) > allowedAlong) {
            faults.add(Fault.TWISTED);
        }
        if (Math.abs(offItsLineMm()) > allowedAlong) {
            faults.add(Fault.OFF_ITS_LINE);
        }
        if (Math.abs(offCentreMm) > OFF_CENTRE * setUp.value(Quantity.FOOT_SPAN)) {
            faults.add(Fault.OFF_CENTRE);
        }
        return faults;
    }

    /** What can be wrong with a bridge's place or shape. */
    public enum Fault {
        /** Its high side is under I. */
        WRONG_WAY_ROUND(false),
        /** For a repairer: straightened, it bends again. */
        WARPED(true),
        TWISTED(false),
        /** Both feet are off the line between the nicks. */
        OFF_ITS_LINE(false),
        /** Not under the middle of the strings. */
        OFF_CENTRE(false);

        private final boolean refer;

        Fault(boolean refer) {
            this.refer = refer;
        }

        /** {@return whether it is a repairer's work} */
        public boolean refer() {
            return refer;
        }
    }
}
