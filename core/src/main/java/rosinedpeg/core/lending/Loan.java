package rosinedpeg.core.lending;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * The days for which an instrument is somebody's. On the day it comes back it may go out again; one that goes out and comes back on
 * one day is out for that day.
 *
 * @param from the day it goes out
 * @param until the day it is to be back, not before {@code from} and at most {@link #LONGEST_DAYS} later
 * @param backOn the day it came back; empty while it has not
 */
public record Loan(LocalDate from, LocalDate until, Optional<LocalDate> backOn) {

    /** The longest that an instrument is promised to somebody: three years. */
    public static final int LONGEST_DAYS = 3 * 366;

    /**
     * Checks the order of the days.
     *
     * @throws IllegalArgumentException when it is to be back before it goes out, or later than {@link #LONGEST_DAYS} after; or came
     *     back before it went out
     */
    public Loan {
        requireNonNull(from, "from");
        requireNonNull(until, "until");
        requireNonNull(backOn, "backOn");
        if (until.isBefore(from) || ChronoUnit.DAYS.between(from, until) > LONGEST_DAYS) {
            throw new IllegalArgumentException(
                    "until is " + until + "; it must be from " + from + " to " + from.plusDays(LONGEST_DAYS));
        }
        if (backOn.filter(from::isAfter).isPresent()) {
            throw new IllegalArgumentException("backOn is " + backOn.get() + "; it must not be before from, " + from);
        }
    }

    /** {@return a loan that has not come back} */
    public static Loan of(LocalDate from, LocalDate until) {
        return new Loan(from, until, Optional.empty());
    }

    /**
     * Whether one instrument cannot be both. What comes back early is free from then on; one that comes back late stands in nobody's way
     * after the day it was promised for, because what was promised to the next was promised before.
     *
     * @param other the other loan of the same instrument
     */
    public boolean overlaps(Loan other) {
        return from.isBefore(other.free()) && other.from.isBefore(free());
    }

    /** {@return the first day on which it can go to somebody else, by what was agreed} */
    public LocalDate free() {
        LocalDate over = backOn.filter(until::isAfter).orElse(until);
        return over.isAfter(from) ? over : from.plusDays(1);
    }

    /**
     * How late it is.
     *
     * @param today the day
     * @return days past the one it is to be back; 0 on that day, before it, and for one that came back in time
     */
    public long lateDays(LocalDate today) {
        return Math.max(0, ChronoUnit.DAYS.between(until, backOn.orElse(requireNonNull(today, "today"))));
    }

    /**
     * How long it has been out.
     *
     * @param today the day
     * @return days; 0 when it has not gone out by then
     */
    public long daysOut(LocalDate today) {
        return Math.max(0, ChronoUnit.DAYS.between(from, backOn.orElse(requireNonNull(today, "today"))));
    }

    /** {@return whether something that falls due on a day falls due before it is back, or on that very day} */
    public boolean fallsDueOutThere(LocalDate due) {
        return !due.isAfter(until);
    }
}
