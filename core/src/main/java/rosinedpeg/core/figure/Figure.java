package rosinedpeg.core.figure;

import static java.util.Objects.requireNonNull;

/**
 * A number with its unit and its origin.
 *
 * @param value the number, finite
 * @param unit its unit, not null
 * @param origin where it comes from, not null
 */
public record Figure(double value, Unit unit, Origin origin) {

    /**
     * Checks the parts.
     *
     * @throws IllegalArgumentException when the value is infinite or not a number
     */
    public Figure {
        requireNonNull(unit, "unit");
        requireNonNull(origin, "origin");
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("value is " + value + "; it must be a finite number");
        }
    }

    /** {@return a figure somebody measured} */
    public static Figure measured(double value, Unit unit) {
        return new Figure(value, unit, Origin.MEASURED);
    }

    /** {@return a figure that stands in until somebody measures} */
    public static Figure byDefault(double value, Unit unit) {
        return new Figure(value, unit, Origin.DEFAULT);
    }

    /** {@return a figure worked out from others; it is only as good as the weaker of them} */
    public static Figure workedOut(double value, Unit unit, Origin weakestInput) {
        return new Figure(value, unit, weakestInput);
    }
}
