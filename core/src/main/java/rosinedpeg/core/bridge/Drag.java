package rosinedpeg.core.bridge;

import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.StringSpec;

/**
 * How far a string that does not slide in its groove leans the bridge while it is raised.
 *
 * <p>Raising the tension by ΔT draws {@code ΔT·a/EA} of string over the bridge, a being the afterlength. The part of it
 * that sticks, times the string's share of the load on the bridge, is what the top edge follows; over the bridge's
 * height that is an angle. Statics.
 */
public final class Drag {

    /** The part that sticks in a dry groove, until readings say otherwise. */
    public static final double DRY = 0.5;
    /** The part that sticks in a groove with graphite, until readings say otherwise. */
    public static final double GRAPHITED = 0.12;

    private static final Range SHARE = new Range(0, 1, Unit.SHARE);

    private Drag() {}

    /**
     * The lean that a string adds on its way from slack to pitch.
     *
     * @param setUp the instrument
     * @param string the string
     * @param stuckShare the part that sticks, 0 to 1
     * @param allN tension of all strings together at pitch, above 0 N
     * @return the lean towards the fingerboard
     * @throws IllegalArgumentException when an argument is outside its range
     */
    public static Lean ofRaising(SetUp setUp, StringSpec string, double stuckShare, double allN) {
        requireFinite("allN", allN);
        double tensionN = setUp.tensionN(string);
        return lean(
                tensionN,
                string.axialStiffnessN(),
                setUp.value(Quantity.AFTERLENGTH),
                stuckShare,
                tensionN / allN,
                setUp.value(Quantity.BRIDGE_HEIGHT));
    }

    /**
     * The lean that one string adds.
     *
     * @param riseN ΔT, by how much its tension is raised, 0 N or more
     * @param axialStiffnessN EA, above 0
     * @param afterlengthMm a, above 0
     * @param stuckShare the part that sticks, 0 to 1
     * @param loadShare the string's share of the load on the bridge, 0 to 1
     * @param bridgeHeightMm above 0
     * @return the lean towards the fingerboard
     * @throws IllegalArgumentException when an argument is outside its range
     */
    public static Lean lean(
            double riseN,
            double axialStiffnessN,
            double afterlengthMm,
            double stuckShare,
            double loadShare,
            double bridgeHeightMm) {
        requireFinite("afterlengthMm", afterlengthMm);
        requireFinite("axialStiffnessN", axialStiffnessN);
        requireFinite("bridgeHeightMm", bridgeHeightMm);
        requireFinite("riseN", riseN);
        SHARE.require("stuckShare", stuckShare);
        SHARE.require("loadShare", loadShare);
        if (!(riseN >= 0) || !(axialStiffnessN > 0) || !(afterlengthMm > 0) || !(bridgeHeightMm > 0)) {
            throw new IllegalArgumentException("riseN is " + riseN + ", axialStiffnessN " + axialStiffnessN
                    + ", afterlengthMm " + afterlengthMm + ", bridgeHeightMm " + bridgeHeightMm
                    + "; the first must be 0 or more, the others above 0");
        }
        double followedMm = riseN * afterlengthMm / axialStiffnessN * stuckShare * loadShare;
        return new Lean(Math.toDegrees(Math.atan(followedMm / bridgeHeightMm)));
    }
}
