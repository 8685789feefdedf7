package rosinedpeg.core.figure;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

/**
 * The values a quantity may take, both ends included.
 *
 * @param low the least allowed value
 * @param high the greatest allowed value, not below {@code low}
 * @param unit the unit of both, not null
 */
public record Range(double low, double high, Unit unit) {

    /**
     * Checks the ends.
     *
     * @throws IllegalArgumentException when an end is not finite or the ends are crossed
     */
    public Range {
        requireFinite("high", high);
        requireFinite("low", low);
        requireNonNull(unit, "unit");
        if (!Double.isFinite(low) || !Double.isFinite(high) || low > high) {
            throw new IllegalArgumentException("a range cannot go from " + low + " to " + high);
        }
    }

    /** {@return whether the value lies in the range; never for a value that is not a number} */
    public boolean contains(double value) {
        return value >= low && value <= high;
    }

    /**
     * Gives the value back if it is allowed.
     *
     * @param name what the value is, as the caller knows it, with its unit
     * @param value the value to check
     * @return the same value
     * @throws OutOfRangeException when the value is outside the range or not a number
     */
    public double require(String name, double value) {
        requireNonNull(name, "name");
        if (!contains(value)) {
            throw new OutOfRangeException(name, value, this);
        }
        return value;
    }

    /** {@return the value itself, or the nearer end where it lies outside} */
    public double clamp(double value) {
        requireFinite("value", value);
        return Math.max(low, Math.min(high, value));
    }
}
