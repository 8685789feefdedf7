package rosinedpeg.core.setup;

import java.util.function.ToDoubleFunction;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/** How far from its usual value something may be. */
interface Spread {

    Range around(double usual, Known known, Unit unit);

    static Spread times(double lowFactor, double highFactor) {
        return (usual, known, unit) -> outwards(usual * lowFactor, usual * highFactor, usual, unit);
    }

    static Spread between(ToDoubleFunction<Known> low, ToDoubleFunction<Known> high) {
        return (usual, known, unit) -> {
            double highest = high.applyAsDouble(known);
            return outwards(low.applyAsDouble(known), highest, highest, unit);
        };
    }

    static Spread eitherSide(ToDoubleFunction<Known> most) {
        return between(known -> -most.applyAsDouble(known), most);
    }

    /** Rounds to a hundredth, a tenth or a whole, by the size of it. */
    private static Range outwards(double low, double high, double size, Unit unit) {
        double steps = size < 1 ? 100 : size < 20 ? 10 : 1;
        return new Range(Math.floor(low * steps) / steps, Math.ceil(high * steps) / steps, unit);
    }
}
