package rosinedpeg.core.pegbox;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import org.hipparchus.geometry.euclidean.threed.Vector3D;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/**
 * The pegbox of an instrument as a place with coordinates, in mm.
 *
 * <p>x runs across, from the middle, positive on the treble side; y along the pegbox, from the nut; z upwards from the
 * level of the strings in the nut grooves, so that everything inside is below 0. Walls are flat and lean towards each
 * other from the nut to the far end; shafts lie square across. A left-handed instrument is the mirror image, in which x
 * keeps its meaning.
 *
 * @param setUp the instrument
 */
public record Pegbox(SetUp setUp) {

    /** The walls' upper edge lies this share of a shaft's depth below the strings' level. */
    private static final double WALL_TOP = 0.4;

    /** Checks that there is an instrument. */
    public Pegbox {
        requireNonNull(setUp, "setUp");
    }

    /** {@return from the middle to either wall, at a distance from the nut, in mm} */
    public double halfWidthMm(double fromNutMm) {
        requireFinite("fromNutMm", fromNutMm);
        return setUp.pegboxHalfWidthMm(fromNutMm);
    }

    /** {@return how far the shaft of a string lies from the nut, in mm} */
    public double fromNutMm(Position position) {
        return setUp.value(Quantity.NUT_TO_PEG, position);
    }

    /** {@return −1 when the knob of that string's peg is on the bass side, 1 on the treble side} */
    public int knobSide(Position position) {
        return setUp.pegSide(position).sign();
    }

    /** {@return x of the hole in the shaft of a string} */
    public double holeXMm(Position position) {
        return knobSide(position) * (halfWidthMm(fromNutMm(position)) - setUp.value(Quantity.HOLE_TO_WALL, position));
    }

    /** {@return the diameter of the shafts where strings wind, in mm} */
    public double shaftDiameterMm() {
        return setUp.value(Quantity.SHAFT_DIAMETER);
    }

    /** {@return the groove of a string in the nut} */
    public Vector3D groove(Position position) {
        return new Vector3D(setUp.xAtNutMm(position), 0, 0);
    }

    /** {@return the middle of a string's shaft at some x} */
    public Vector3D onShaft(Position position, double xMm) {
        requireFinite("xMm", xMm);
        return new Vector3D(xMm, fromNutMm(position), -setUp.value(Quantity.SHAFT_DEPTH, position));
    }

    /**
     * Where a string that is wound over the top meets its shaft: the string's own line touches the shaft there, seen
     * from the side.
     *
     * @param position the string
     * @param xMm where across the shaft it leaves
     * @param stringDiameterMm its diameter
     * @return the point on the middle of the string
     */
    public Vector3D topTangent(Position position, double xMm, double stringDiameterMm) {
        requireFinite("stringDiameterMm", stringDiameterMm);
        requireFinite("xMm", xMm);
        return tangent(position, xMm, stringDiameterMm, 1);
    }

    /** {@return the same for a string that is wound under} */
    public Vector3D bottomTangent(Position position, double xMm, double stringDiameterMm) {
        requireFinite("stringDiameterMm", stringDiameterMm);
        requireFinite("xMm", xMm);
        return tangent(position, xMm, stringDiameterMm, -1);
    }

    private Vector3D tangent(Position position, double xMm, double stringDiameterMm, int upwards) {
        double radius = (shaftDiameterMm() + stringDiameterMm) / 2;
        Vector3D middle = onShaft(position, xMm);
        double distance = Math.hypot(middle.getY(), middle.getZ());
        double towardsNut = Math.atan2(-middle.getZ(), -middle.getY());
        double turned = towardsNut - upwards * Math.acos(Math.min(1, radius / distance));
        return new Vector3D(xMm, middle.getY() + radius * Math.cos(turned), middle.getZ() + radius * Math.sin(turned));
    }

    /** {@return z of the walls' upper edge at the peg of a string} */
    public double wallTopZMm(Position position) {
        return -WALL_TOP * setUp.value(Quantity.SHAFT_DEPTH, position);
    }

    /** {@return z of the floor} */
    public double floorZMm() {
        return -setUp.value(Quantity.PEGBOX_DEPTH);
    }
}
