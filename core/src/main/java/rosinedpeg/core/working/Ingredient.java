package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;

import java.util.Optional;
import java.util.function.DoubleFunction;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Range;

/**
 * One number that a figure may rest on.
 *
 * @param what what it is
 * @param figure the number with its unit and its origin
 * @param range what may be entered for it; empty where nothing bounds it
 * @param with the same grounds with another number in its place
 * @param <G> the grounds
 */
public record Ingredient<G>(What what, Figure figure, Optional<Range> range, DoubleFunction<G> with) {

    /** By what share a number is made larger to see what follows. */
    public static final double NUDGE = 0.05;

    /** A number that is 0 is moved by this share of what may be entered for it. */
    private static final double NUDGE_OF_RANGE = 0.02;

    /** Checks the parts. */
    public Ingredient {
        requireNonNull(what, "what");
        requireNonNull(figure, "figure");
        requireNonNull(range, "range");
        requireNonNull(with, "with");
    }

    static <G> Ingredient<G> of(What what, Figure figure, Range range, DoubleFunction<G> with) {
        return new Ingredient<>(what, figure, Optional.of(range), with);
    }

    static <G> Ingredient<G> unbounded(What what, Figure figure, DoubleFunction<G> with) {
        return new Ingredient<>(what, figure, Optional.empty(), with);
    }

    /** {@return the number a little larger, or a little smaller where larger is beyond what may be entered} */
    double nudged() {
        double value = figure.value();
        double ofItself = NUDGE * Math.abs(value);
        double step = value != 0
                ? ofItself
                : range.map(all -> NUDGE_OF_RANGE * (all.high() - all.low())).orElse(0.0);
        return range.filter(all -> !all.contains(value + step)).isPresent() ? value - step : value + step;
    }
}
