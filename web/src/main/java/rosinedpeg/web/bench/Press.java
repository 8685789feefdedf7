package rosinedpeg.web.bench;

import static java.util.Objects.requireNonNull;

import java.time.Duration;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The press of a button or key at the bench.
 *
 * @param id its own; one that was already taken changes nothing
 * @param seen the number of the last event on the page it was pressed on
 * @param after the press before it, when that was still on its way, rather than the page having come from the server
 * @param ago how long ago it was pressed, when it had to wait for a connection
 */
public record Press(UUID id, long seen, @Nullable UUID after, Duration ago) {

    /** Checks that what is needed is there. */
    public Press {
        requireNonNull(id, "id");
        ago = ago == null || ago.isNegative() ? Duration.ZERO : ago;
    }

    /** {@return a press on a page that the server has just sent} */
    public static Press now(UUID id, long seen) {
        return new Press(id, seen, null, Duration.ZERO);
    }
}
