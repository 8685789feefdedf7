package rosinedpeg.core.lesson;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * When a lesson comes back: what was learned is asked again before it is forgotten, later each time it goes well (H. Ebbinghaus, 1885; the
 * days are defaults of our own).
 *
 * @param day the day on which a lesson was done
 * @param clean whether nothing went wrong on the way
 */
public record Recall(LocalDate day, boolean clean) {

    /** The days until a lesson comes back, after it went well so many times in a row. */
    public static final List<Integer> DAYS = List.of(1, 3, 7, 16, 35, 75);

    /** Checks that the day is there. */
    public Recall {
        requireNonNull(day, "day");
    }

    /**
     * When it comes back.
     *
     * @param done every time it was done, in order
     * @return the day; empty where it was never done
     */
    public static Optional<LocalDate> next(List<Recall> done) {
        if (done.isEmpty()) {
            return Optional.empty();
        }
        Recall last = done.get(done.size() - 1);
        return Optional.of(last.day().plusDays(DAYS.get(Math.max(0, Math.min(DAYS.size(), inARow(done)) - 1))));
    }

    /** {@return how many times in a row it went well, on days of their own, until the last; twice on a day counts once} */
    public static int inARow(List<Recall> done) {
        int times = 0;
        LocalDate later = LocalDate.MAX;
        for (int at = done.size() - 1; at >= 0 && done.get(at).clean(); at--) {
            if (done.get(at).day().isBefore(later)) {
                times++;
                later = done.get(at).day();
            }
        }
        return times;
    }
}
