package rosinedpeg.core.buying;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;

/**
 * Strings of a kind that are on order.
 *
 * @param on the day they are to be there
 * @param strings how many, 1 or more
 */
public record Coming(LocalDate on, int strings) {

    /** Checks the parts. */
    public Coming {
        requireNonNull(on, "on");
        if (strings < 1) {
            throw new IllegalArgumentException("strings is " + strings + "; it must be 1 or more");
        }
    }
}
