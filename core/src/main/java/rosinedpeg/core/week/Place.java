package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;

/**
 * Where a job stands: on which day, and with whom.
 *
 * @param day the day
 * @param person who does it, as the workshop knows them
 */
public record Place(LocalDate day, String person) {

    /** Checks that both are there. */
    public Place {
        requireNonNull(day, "day");
        requireNonNull(person, "person");
    }
}
