package rosinedpeg.core.dates;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * Work on one instrument that has to find room on the bench. It is done in one go, on one day.
 *
 * @param name how its owner knows it, one of its own for each job
 * @param minutes how long it takes, 1 to 1440
 * @param earliest the first day it makes sense
 * @param latest the last day it is in time, not before {@code earliest}
 */
public record BenchJob(String name, int minutes, LocalDate earliest, LocalDate latest) {

    private static final Range MINUTES = new Range(1, 1440, Unit.MINUTE);

    /**
     * Checks the parts.
     *
     * @throws IllegalArgumentException when the minutes are outside their range or the days are crossed
     */
    public BenchJob {
        requireNonNull(name, "name");
        MINUTES.require("minutes", minutes);
        if (latest.isBefore(earliest)) {
            throw new IllegalArgumentException(
                    "latest is " + latest + "; it must be on or after earliest, " + earliest);
        }
    }

    boolean mayBeOn(LocalDate day) {
        return !day.isBefore(earliest) && !day.isAfter(latest);
    }
}
