package rosinedpeg.core.choosing;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.OptionalDouble;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * A kind of string that fits a place on an instrument.
 *
 * @param kind what it is
 * @param tensionN how hard it pulls there at pitch, in N
 * @param holdsAfterHours hours from coming to pitch until it holds for a concert
 * @param lastsHours hours it is played there until it is due, above 0; empty where nobody plays the instrument
 * @param price what one costs, 0 or more, all in one currency; empty where that is not known
 * @param <K> what kinds are known by
 */
public record Option<K>(
        K kind, double tensionN, double holdsAfterHours, OptionalDouble lastsHours, OptionalDouble price) {

    private static final Range LEAST = new Range(0, Double.MAX_VALUE, Unit.RATIO);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is below 0
     */
    public Option {
        requireNonNull(kind, "kind");
        requireFinite("tensionN", tensionN);
        requireFinite("holdsAfterHours", holdsAfterHours);
        LEAST.require("tensionN", tensionN);
        LEAST.require("holdsAfterHours", holdsAfterHours);
        lastsHours.ifPresent(hours -> LEAST.require("lastsHours", hours));
        price.ifPresent(paid -> LEAST.require("price", paid));
    }

    /** {@return what an hour of playing costs; empty where the price is not known, or nobody plays} */
    public OptionalDouble pricePerHour() {
        return price.isPresent() && lastsHours.isPresent() && lastsHours.getAsDouble() > 0
                ? OptionalDouble.of(price.getAsDouble() / lastsHours.getAsDouble())
                : OptionalDouble.empty();
    }
}
