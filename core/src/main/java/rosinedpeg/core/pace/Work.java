package rosinedpeg.core.pace;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;

/**
 * What is told apart when it is asked how long work takes.
 *
 * @param family on what it is done
 * @param schools how somebody likes to work
 * @param person who does it, as the workshop knows them
 */
public record Work(Family family, Schools schools, String person) {

    /** Checks that all are there. */
    public Work {
        requireNonNull(family, "family");
        requireNonNull(schools, "schools");
        requireNonNull(person, "person");
    }
}
