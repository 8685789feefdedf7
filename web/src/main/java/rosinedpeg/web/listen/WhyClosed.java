package rosinedpeg.web.listen;

import java.util.Locale;
import org.springframework.web.socket.CloseStatus;

/** Why the server stops listening. Its name goes to the page, which has the words for it. */
enum WhyClosed {
    /** There is nothing more to listen to. */
    OVER(CloseStatus.NORMAL),
    /** Another device listens to the same now. */
    ELSEWHERE(CloseStatus.POLICY_VIOLATION),
    /** The person is not signed in any more. */
    SIGNED_OUT(CloseStatus.POLICY_VIOLATION),
    /** It came faster than sound comes. */
    TOO_FAST(CloseStatus.POLICY_VIOLATION),
    /** A piece is empty, too large or cut off. */
    WRONG_SIZE(CloseStatus.BAD_DATA),
    /** A sample is not a number. */
    NOT_SOUND(CloseStatus.BAD_DATA),
    /** Something else than sound came. */
    NOT_UNDERSTOOD(CloseStatus.NOT_ACCEPTABLE),
    /** No sound came for some time: the lid is closed, or the network gone. */
    SILENT_DEVICE(CloseStatus.GOING_AWAY),
    /** So many listen already that one more would make all of them late. */
    TOO_MANY(CloseStatus.SERVICE_OVERLOAD),
    /** Something went wrong here. */
    FAILED(CloseStatus.SERVER_ERROR);

    private final CloseStatus status;

    WhyClosed(CloseStatus status) {
        this.status = status;
    }

    CloseStatus status() {
        return status.withReason(name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }
}
