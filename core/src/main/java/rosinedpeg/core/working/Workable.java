package rosinedpeg.core.working;

import rosinedpeg.core.figure.Unit;

/**
 * A figure that can say how it came about. It is worked out by the same method that shows it: there is no second formula.
 *
 * @param <G> what it rests on
 */
public interface Workable<G extends Grounds<G>> {

    /** {@return its name, by which its words are found} */
    String name();

    /** {@return its unit} */
    Unit unit();

    /**
     * Works it out.
     *
     * @param grounds what it rests on
     * @return the figure's value, in its unit
     * @throws IllegalArgumentException when what it needs is missing
     */
    double value(G grounds);
}
