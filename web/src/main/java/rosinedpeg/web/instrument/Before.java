package rosinedpeg.web.instrument;

import static java.util.Objects.requireNonNull;

import java.util.Set;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.wear.WearSign;

/**
 * What a string has behind it when it goes on: nothing, if it is new. One that was on an instrument before is as old as it was then.
 *
 * @param hours played on it, 0 h or more
 * @param months on an instrument, 0 or more
 * @param signs what was seen or heard on it
 */
public record Before(double hours, double months, Set<WearSign> signs) {

    /** Nothing: it comes from its packet. */
    public static final Before NOTHING = new Before(0, 0, Set.of());

    /** Checks that the signs are there. */
    public Before {
        requireNonNull(signs, "signs");
    }

    /** {@return what a string has behind it on which somebody played so many hours} */
    public static Before hours(double hours) {
        return new Before(hours, 0, Set.of());
    }

    /** {@return what a string has behind it on which something was seen} */
    public static Before signs(Set<WearSign> signs) {
        return new Before(0, 0, signs);
    }

    /** {@return what an old string has behind it} */
    public static Before of(OldString was) {
        return new Before(
                was.wear().map(Wear::hours).orElse(0.0),
                was.wear().map(Wear::months).orElse(0.0),
                was.signs());
    }
}
