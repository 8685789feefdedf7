package rosinedpeg.core.lending;

import static java.util.Objects.requireNonNull;

import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.StringCore;

/** The turn of a term: the days around it on which a whole shelf comes back, is looked at, and goes out again. */
public final class Turn {

    /** So many days before and after it belong to the turn; a default of our own. */
    public static final int AROUND_DAYS = 14;

    private Turn() {}

    /** What becomes of a loan at a turn, where that asks anything of anybody: of one that has not come back one of these at most. */
    public enum Does {
        /** It is to be back by now, and is not. */
        LATE,
        /** It is to come back in the days of the turn. */
        COMES_BACK,
        /** It goes out in the days of the turn. */
        GOES_OUT,
        /** It is out, and stays with whoever has it beyond them. */
        STAYS_OUT;

        /** {@return whether what it is true of has gone out} */
        public boolean isOut() {
            return this != GOES_OUT;
        }

        /** {@return the day of a loan that tells it: the one on which it goes out, or is to be back} */
        public LocalDate day(Loan loan) {
            return isOut() ? loan.until() : loan.from();
        }
    }

    /**
     * The days by which what has not come back is sorted: a whole shelf is looked through by them, and not loan by loan.
     *
     * @param does what becomes of a loan
     * @param turn the day of the turn
     * @param today the day
     * @return the days of which {@link Does#day} is one
     */
    public static Days days(Does does, LocalDate turn, LocalDate today) {
        LocalDate first = turn.minusDays(AROUND_DAYS);
        LocalDate last = turn.plusDays(AROUND_DAYS);
        return switch (does) {
            case LATE -> new Days(Days.EARLIEST, today.minusDays(1));
            case COMES_BACK -> new Days(later(first, today), last);
            case GOES_OUT -> new Days(first, last);
            case STAYS_OUT -> new Days(later(last.plusDays(1), today), Days.LATEST);
        };
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    /**
     * Some days, both ends among them.
     *
     * @param from the first; none are meant where it is after the last
     * @param until the last
     */
    public record Days(LocalDate from, LocalDate until) {

        /** Before every loan. */
        public static final LocalDate EARLIEST = LocalDate.of(1900, 1, 1);
        /** After every loan. */
        public static final LocalDate LATEST = LocalDate.of(9999, 12, 31);

        /** Checks that both are there. */
        public Days {
            requireNonNull(from, "from");
            requireNonNull(until, "until");
        }

        /** {@return whether a day is one of them} */
        public boolean hold(LocalDate day) {
            return !day.isBefore(from) && !day.isAfter(until);
        }
    }

    /**
     * The days an instrument is at home between two loans.
     *
     * @param days how many, 0 or more
     * @param holds how long the strings that would go on it take until they hold well enough for a rehearsal; none when none are due
     */
    public record Home(long days, Optional<Duration> holds) {

        /** Checks the days. */
        public Home {
            requireNonNull(holds, "holds");
            if (days < 0) {
                throw new IllegalArgumentException("days is " + days + "; it must be 0 or more");
            }
        }

        /**
         * Works it out.
         *
         * @param back the day it comes back
         * @param out the day it goes out again, not before that
         * @param due what the strings that are due by then are made of
         * @return that
         */
        public static Home between(LocalDate back, LocalDate out, Collection<StringCore> due) {
            return new Home(
                    ChronoUnit.DAYS.between(back, out),
                    due.stream()
                            .map(core -> ChangeWindow.settles(core, Steadiness.REHEARSAL))
                            .max(Comparator.naturalOrder()));
        }

        /** {@return whether strings that go on as soon as it is back hold when it goes out again} */
        public boolean longEnough() {
            return holds.isEmpty() || Duration.ofDays(days).compareTo(holds.get()) >= 0;
        }
    }
}
