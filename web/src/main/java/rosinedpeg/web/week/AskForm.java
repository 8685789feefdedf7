package rosinedpeg.web.week;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.Entry;

/**
 * Work that somebody asks for, or days on which an instrument is not at hand, as typed.
 *
 * @param press the press that this is
 * @param instrument the name of the instrument
 * @param kind what is asked for
 * @param strings which strings
 * @param minutes how long it takes, where nothing else says it
 * @param fromDay the first day it is wanted on; empty for at once
 * @param byDay the last day it is in time; empty for none
 * @param note what somebody says of it
 * @param from the first day on which the instrument is not at hand
 * @param until the last of them
 */
record AskForm(
        String press,
        String instrument,
        @Nullable WishKind kind,
        List<Position> strings,
        String minutes,
        String fromDay,
        String byDay,
        String note,
        String from,
        String until) {

    /** What is not sent is as on an empty form. */
    AskForm {
        press = Entry.orEmpty(press);
        instrument = Entry.orEmpty(instrument);
        kind = kind == null ? WishKind.STRINGS : kind;
        strings = strings == null ? List.of() : strings;
        minutes = Entry.orEmpty(minutes);
        fromDay = Entry.orEmpty(fromDay);
        byDay = Entry.orEmpty(byDay);
        note = Entry.orEmpty(note);
        from = Entry.orEmpty(from);
        until = Entry.orEmpty(until);
    }

    static AskForm blank(String instrument, String today) {
        return new AskForm(UUID.randomUUID().toString(), instrument, null, List.of(), "", "", "", "", today, today);
    }
}
