package rosinedpeg.web.instrument;

import java.util.UUID;

/** Something was asked of an instrument that can only be said when every string on it is recorded. */
public class NotStrungException extends RuntimeException {

    private final UUID instrumentId;

    NotStrungException(UUID instrumentId) {
        super("strings of instrument " + instrumentId + " are not recorded");
        this.instrumentId = instrumentId;
    }

    /** {@return the instrument} */
    public UUID instrumentId() {
        return instrumentId;
    }
}
