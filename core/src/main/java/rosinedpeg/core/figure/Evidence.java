package rosinedpeg.core.figure;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.OptionalDouble;

/**
 * What was seen of how one thing follows from another, summed up so that it can be kept and added to: least squares of a
 * line through the origin.
 *
 * @param xx sum of the squares of the cause, 0 or more
 * @param xy sum of the products of cause and effect
 * @param readings from how many readings, 0 or more
 */
public record Evidence(double xx, double xy, int readings) {
    /** Checks the parts. */
    public Evidence {
        requireFinite("xx", xx);
        requireFinite("xy", xy);
    }

    /** Nothing was seen yet. */
    public static final Evidence NONE = new Evidence(0, 0, 0);

    /** {@return this and one reading more; one without a cause says nothing and does not count} */
    public Evidence plus(double cause, double effect) {
        requireFinite("cause", cause);
        requireFinite("effect", effect);
        return cause == 0 ? this : new Evidence(xx + cause * cause, xy + cause * effect, readings + 1);
    }

    /** {@return how much effect a unit of the cause has; empty before the first reading} */
    public OptionalDouble ratio() {
        return readings == 0 ? OptionalDouble.empty() : OptionalDouble.of(xy / xx);
    }
}
