package rosinedpeg.web.lend;

import java.util.List;
import java.util.UUID;
import rosinedpeg.web.platform.Entry;

/**
 * A loan, as typed.
 *
 * @param press the press that this is
 * @param instrument the name of the instrument
 * @param borrower what whoever borrows is called
 * @param from the day it goes out
 * @param until the day it is to be back
 * @param withIt what goes with it
 * @param note what else was agreed
 * @param out whether they have it already
 */
record LendForm(
        String press,
        String instrument,
        String borrower,
        String from,
        String until,
        List<WithIt> withIt,
        String note,
        Boolean out) {

    /** A box that is not ticked is not sent. */
    LendForm {
        press = Entry.orEmpty(press);
        instrument = Entry.orEmpty(instrument);
        borrower = Entry.orEmpty(borrower);
        from = Entry.orEmpty(from);
        until = Entry.orEmpty(until);
        withIt = withIt == null ? List.of() : withIt;
        note = Entry.orEmpty(note);
        out = Boolean.TRUE.equals(out);
    }

    static LendForm blank(String instrument, String from, String until) {
        return new LendForm(
                UUID.randomUUID().toString(), instrument, "", from, until, List.of(WithIt.CASE, WithIt.BOW), "", false);
    }
}
