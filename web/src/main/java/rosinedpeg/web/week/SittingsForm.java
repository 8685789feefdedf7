package rosinedpeg.web.week;

import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.week.Sittings;
import rosinedpeg.web.platform.Entry;

/**
 * A change in several sittings, as typed.
 *
 * @param press the press that asks the bench for it
 * @param strings which strings
 * @param set a kind of the set that goes on; null for the kinds that are on now
 * @param sittings how many
 * @param from the first day
 * @param by the last day of the last; empty where none is too late
 */
record SittingsForm(
        String press, Set<Position> strings, @Nullable UUID set, Integer sittings, String from, String by) {

    /** What is not sent is as on an empty form. */
    SittingsForm {
        press = press == null || press.isBlank() ? UUID.randomUUID().toString() : press;
        strings = strings == null ? Set.of() : strings;
        sittings = sittings == null ? Integer.valueOf(Sittings.FEWEST) : sittings;
        from = Entry.orEmpty(from);
        by = Entry.orEmpty(by);
    }
}
