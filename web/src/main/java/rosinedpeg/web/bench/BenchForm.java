package rosinedpeg.web.bench;

import java.time.Duration;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.Entry;

/**
 * What is typed at the bench, with the press it comes with and the last event its page knew.
 *
 * @param press the press of the button
 * @param seen the last event its page knew
 * @param after the press before it, when that was kept without a connection and is on its way too; empty otherwise
 * @param ago how long ago it was pressed, in s
 * @param position the string a pitch is of
 * @param cents a pitch, as typed
 * @param gap the gap under a card, as typed
 * @param note a note
 * @param string the string that something went wrong with
 * @param place where it broke
 */
record BenchForm(
        String press,
        Long seen,
        String after,
        Long ago,
        @Nullable Position position,
        String cents,
        String gap,
        String note,
        @Nullable Position string,
        @Nullable BreakPlace place) {

    /** A day, in s: an older press than that is taken as of now less a day. */
    private static final long LONGEST_AGO = 86_400;

    static final BenchForm EMPTY = new BenchForm("", 0L, "", 0L, null, "", "", "", null, null);

    /** What is not sent is as on an empty form. */
    BenchForm {
        press = Objects.requireNonNullElse(press, "");
        seen = Objects.requireNonNullElse(seen, 0L);
        after = Objects.requireNonNullElse(after, "");
        ago = Objects.requireNonNullElse(ago, 0L);
        cents = Objects.requireNonNullElse(cents, "");
        gap = Objects.requireNonNullElse(gap, "");
        note = Objects.requireNonNullElse(note, "");
    }

    Press pressed() {
        @Nullable UUID before = after.isEmpty() ? null : Entry.press(after);
        return new Press(Entry.press(press), seen, before, Duration.ofSeconds(Math.min(ago, LONGEST_AGO)));
    }
}
