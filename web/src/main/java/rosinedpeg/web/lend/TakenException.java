package rosinedpeg.web.lend;

import java.time.LocalDate;

/** An instrument is somebody else's on one of the days. */
class TakenException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final String borrower;
    private final LocalDate from;
    private final LocalDate until;
    private final boolean out;

    /**
     * Whose it is.
     *
     * @param borrower who has or is promised it; empty when that was removed
     * @param from from when
     * @param until until when
     * @param out whether they have it now
     */
    TakenException(String borrower, LocalDate from, LocalDate until, boolean out) {
        super("lent from " + from + " until " + until);
        this.borrower = borrower;
        this.from = from;
        this.until = until;
        this.out = out;
    }

    String borrower() {
        return borrower;
    }

    LocalDate from() {
        return from;
    }

    LocalDate until() {
        return until;
    }

    boolean out() {
        return out;
    }
}
