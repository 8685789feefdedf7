package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Optional;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.strings.Position;

/**
 * One number that goes into a figure.
 *
 * @param measurable what is measured on the instrument; empty for all else
 * @param part what else it is; empty for what is measured
 * @param position the string it belongs to, null for the whole instrument
 * @param figure the number with its unit and its origin
 * @param moves by how much the result moves when this number is {@link Working#NUDGE} more, in the result's unit
 */
public record Term(
        Optional<Measurable> measurable, Optional<Part> part, Position position, Figure figure, double moves) {

    /** What is not measured on the instrument: mostly what a maker says of a string. */
    public enum Part {
        DESIGN_LENGTH,
        TENSION,
        DIAMETER,
        AXIAL_STIFFNESS,
        TOTAL_LENGTH,
        /** What it carries at the moment that is asked about. */
        CARRIED,
        /** What it carries at pitch. */
        AT_PITCH,
        /** How much of it sticks in a dry groove. */
        STUCK_DRY,
        /** How much of it sticks in a groove with graphite. */
        STUCK_GRAPHITED
    }

    /** Checks the parts. */
    public Term {
        requireNonNull(measurable, "measurable");
        requireNonNull(part, "part");
        requireNonNull(figure, "figure");
        requireFinite("moves", moves);
    }
}
