package rosinedpeg.core.wear;

import static java.util.Objects.requireNonNull;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;

/** The time in which an instrument may have been played: all of it but the holidays, in which nobody plays. */
public final class PlayingTime {

    private PlayingTime() {}

    /**
     * How much of it lies between two moments.
     *
     * @param from the one
     * @param until the other; before the first means none
     * @param holidays when nobody plays, in any order; they may overlap
     * @return hours of the clock, 0 or more
     */
    public static double hours(Instant from, Instant until, List<Span> holidays) {
        requireNonNull(from, "from");
        requireNonNull(until, "until");
        Duration played = Duration.ZERO;
        Instant reached = from;
        List<Span> inOrder =
                holidays.stream().sorted(Comparator.comparing(Span::from)).toList();
        for (Span holiday : inOrder) {
            if (holiday.from().isBefore(until) && holiday.from().isAfter(reached)) {
                played = played.plus(Duration.between(reached, holiday.from()));
            }
            if (holiday.from().isBefore(until) && holiday.until().isAfter(reached)) {
                reached = holiday.until();
            }
        }
        if (reached.isBefore(until)) {
            played = played.plus(Duration.between(reached, until));
        }
        return played.toMinutes() / 60.0;
    }
}
