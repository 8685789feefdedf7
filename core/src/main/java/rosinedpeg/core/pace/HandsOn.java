package rosinedpeg.core.pace;

import static java.util.Objects.requireNonNull;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import rosinedpeg.core.bench.BenchEvent;

/**
 * How long hands were at a run, by its ledger. From one press to the next they were at it, unless that took longer than a step can:
 * then somebody went away meanwhile, to lunch or until the next day, and what was done of the step counts as one of the usual length.
 */
public final class HandsOn {

    /** What takes longer than so many minutes is a pause; the longest step, a stubborn peg, takes less. */
    public static final double LONGEST_MINUTES = 15;

    /** The minutes that a step with a pause in it counts: about what steps take, of one kind with another. */
    public static final double IN_A_PAUSE_MINUTES = 1;

    private static final double SECONDS = 60;

    private HandsOn() {}

    /**
     * Adds up the minutes.
     *
     * @param begun when the run began
     * @param events its ledger, in any order; what was recorded before it began counts as of then
     * @return the minutes until its last event, 0 or more
     */
    public static double minutes(Instant begun, Collection<? extends BenchEvent> events) {
        requireNonNull(begun, "begun");
        List<Instant> presses = events.stream()
                .map(BenchEvent::at)
                .filter(at -> at.isAfter(begun))
                .sorted()
                .toList();
        double minutes = 0;
        Instant last = begun;
        for (Instant press : presses) {
            double between = Duration.between(last, press).toMillis() / 1000.0 / SECONDS;
            minutes += between > LONGEST_MINUTES ? IN_A_PAUSE_MINUTES : between;
            last = press;
        }
        return minutes;
    }
}
