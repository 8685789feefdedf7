package rosinedpeg.web.bench;

/** A kept plan, or what was told after a mishap, that this release cannot read. */
class UnreadablePlanException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    UnreadablePlanException(String message, Throwable cause) {
        super(message, cause);
    }
}
