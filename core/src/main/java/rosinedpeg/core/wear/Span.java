package rosinedpeg.core.wear;

import static java.util.Objects.requireNonNull;

import java.time.Instant;

/**
 * A time in which an instrument is played, or in which nobody plays.
 *
 * @param from when it begins
 * @param until when it is over, not before it begins
 */
public record Span(Instant from, Instant until) {

    /**
     * Checks the order.
     *
     * @throws IllegalArgumentException when it is over before it begins
     */
    public Span {
        requireNonNull(from, "from");
        if (until.isBefore(from)) {
            throw new IllegalArgumentException("until is " + until + "; it must not be before from, " + from);
        }
    }

    /** {@return whether a moment lies in it; the one at which it is over does not} */
    public boolean holds(Instant moment) {
        return !moment.isBefore(from) && moment.isBefore(until);
    }
}
