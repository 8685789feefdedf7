package rosinedpeg.core.figure;

import static java.util.Objects.requireNonNull;

import java.util.Map;

/** The least that is asked of a number: that it is one. Where a quantity has a {@link Range}, that says more. */
public final class Finite {

    private Finite() {}

    /**
     * Gives a number back if it is one.
     *
     * @param name what it is, as the caller knows it, with its unit
     * @param value the number
     * @return the same number
     * @throws IllegalArgumentException when it is infinite or not a number; names what, the value and what was wanted
     */
    public static double requireFinite(String name, double value) {
        requireNonNull(name, "name");
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(name + " is " + value + "; it must be a finite number");
        }
        return value;
    }

    /**
     * Checks the numbers of a map.
     *
     * @param name what they are, as the caller knows them, with their unit
     * @param values the numbers, each by what it belongs to
     * @throws IllegalArgumentException when one of them is missing, infinite or not a number
     */
    public static void requireFinite(String name, Map<?, Double> values) {
        requireNonNull(name, "name");
        values.forEach((key, value) -> {
            if (value == null || !Double.isFinite(value)) {
                throw new IllegalArgumentException(
                        name + " has " + value + " for " + key + "; each must be a finite number");
            }
        });
    }
}
