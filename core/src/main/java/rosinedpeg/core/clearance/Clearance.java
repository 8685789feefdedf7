package rosinedpeg.core.clearance;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.strings.Position;

/**
 * How near a string comes to something.
 *
 * @param string the string
 * @param obstacle what it comes near to
 * @param other the string the obstacle belongs to, none for walls and floor
 * @param mm the smallest distance between the surfaces; below 0 they touch
 * @param at where, on the middle of the string; coordinates as in {@link rosinedpeg.core.pegbox.Pegbox}
 */
public record Clearance(
        Position string, Obstacle obstacle, @Nullable Position other, double mm, Vector3D at) {
    /** Checks the parts. */
    public Clearance {
        requireNonNull(at, "at");
        requireFinite("mm", mm);
        requireNonNull(obstacle, "obstacle");
        requireNonNull(string, "string");
    }

    /** {@return the string the obstacle belongs to} */
    public Optional<Position> belongsTo() {
        return Optional.ofNullable(other);
    }

    /** {@return whether the two touch} */
    public boolean touches() {
        return mm < 0;
    }
}
