package rosinedpeg.web.week;

import rosinedpeg.web.platform.Entry;

/**
 * How two sets take turns, as typed.
 *
 * @param weeks how many weeks each is on
 * @param from the first day of the first turn
 * @param shown the mark of how they took turns when it was shown
 */
record TwoSetsForm(String weeks, String from, String shown) {

    /** What is not sent is empty. */
    TwoSetsForm {
        weeks = Entry.orEmpty(weeks);
        from = Entry.orEmpty(from);
        shown = Entry.orEmpty(shown);
    }
}
