package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;

import java.util.function.ToDoubleFunction;
import rosinedpeg.core.figure.Unit;

/**
 * A figure that can say how it came about. It is worked out by the same method that shows it: there is no second formula.
 *
 * @param <G> what it rests on
 */
public interface Workable<G extends Grounds<G>> {

    /** {@return its name, by which its words are found} */
    String name();

    /** {@return how it is worked out} */
    Formula<G> formula();

    /** {@return its unit} */
    default Unit unit() {
        return formula().unit();
    }

    /**
     * Works it out.
     *
     * @param grounds what it rests on
     * @return the figure's value, in its unit
     * @throws IllegalArgumentException when what it needs is missing
     */
    default double value(G grounds) {
        requireNonNull(grounds, "grounds");
        return formula().from().applyAsDouble(grounds);
    }

    /**
     * How a figure is worked out.
     *
     * @param unit its unit
     * @param from its value in that unit, from what it rests on
     * @param <G> what it rests on
     */
    record Formula<G>(Unit unit, ToDoubleFunction<G> from) {
        /** Checks the parts. */
        public Formula {
            requireNonNull(unit, "unit");
            requireNonNull(from, "from");
        }
    }
}
