package rosinedpeg.web.instrument;

import static java.util.Objects.requireNonNull;

import org.jspecify.annotations.Nullable;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.wear.CameOff;

/**
 * Why a string came off, as it was told.
 *
 * @param why why
 * @param where where it broke; null where it did not, or nobody said
 */
public record Off(CameOff why, @Nullable BreakPlace where) {

    /** Checks that only what broke broke somewhere. */
    public Off {
        requireNonNull(why, "why");
        if (where != null && why != CameOff.BROKE) {
            throw new IllegalArgumentException("where is " + where + "; a string that is " + why + " broke nowhere");
        }
    }
}
