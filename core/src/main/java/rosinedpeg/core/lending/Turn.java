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

    /** What becomes of a loan at a turn. */
    public enum Does {
        /** It is to be back by now, and is not. */
        LATE,
        /** It is to come back in the days of the turn. */
        COMES_BACK,
        /** It goes out in the days of the turn. */
        GOES_OUT,
        /** It is out, and stays with whoever has it beyond them. */
        STAYS_OUT,
        /** It has nothing to do with it. */
        NOTHING
    }

    /**
     * What becomes of a loan that has not come back.
     *
     * @param loan the loan
     * @param out whether it has gone out
     * @param turn the day of the turn
     * @param today the day
     * @return that
     */
    public static Does of(Loan loan, boolean out, LocalDate turn, LocalDate today) {
        LocalDate first = turn.minusDays(AROUND_DAYS);
        LocalDate last = turn.plusDays(AROUND_DAYS);
        if (loan.backOn().isPresent()) {
            return Does.NOTHING;
        }
        if (!out) {
            return loan.from().isBefore(first) || loan.from().isAfter(last) ? Does.NOTHING : Does.GOES_OUT;
        }
        if (loan.lateDays(today) > 0) {
            return Does.LATE;
        }
        if (loan.until().isAfter(last)) {
            return Does.STAYS_OUT;
        }
        return loan.until().isBefore(first) ? Does.NOTHING : Does.COMES_BACK;
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
