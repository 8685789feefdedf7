package rosinedpeg.web.bench;

import org.jspecify.annotations.Nullable;

/** A kept plan, or what was told after a mishap, that this release cannot read. */
class UnreadablePlanException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    UnreadablePlanException(@Nullable String message, @Nullable Throwable cause) {
        super(message, cause);
    }
}
