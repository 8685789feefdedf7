package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Optional;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.setup.Measurable;

/**
 * One number that went into a figure.
 *
 * @param what what it is
 * @param figure the number with its unit and its origin
 * @param moves by how much the result moves when this number is {@link Ingredient#NUDGE} more, in the result's unit
 */
public record Term(What what, Figure figure, double moves) {

    /** Checks the parts. */
    public Term {
        requireNonNull(what, "what");
        requireNonNull(figure, "figure");
        requireFinite("moves", moves);
    }

    /** {@return what is measured on the instrument; empty for all else} */
    public Optional<Measurable> measurable() {
        return what instanceof What.Measured measured ? Optional.of(measured.measurable()) : Optional.empty();
    }

    /** {@return what else it is; empty for what is measured on the instrument} */
    public Optional<What.Other> other() {
        return what instanceof What.Other other ? Optional.of(other) : Optional.empty();
    }

    /** {@return whether a packet may say it of a string} */
    boolean isOfString() {
        return other().filter(other -> other.part().isOfString()).isPresent();
    }

    /** {@return whether the result is no better known than this number: what is measured, and what no maker has given} */
    boolean weighs() {
        return what.weighs() || figure.origin() == Origin.DEFAULT && isOfString();
    }
}
