package rosinedpeg.web.bench;

import org.springframework.http.HttpStatus;

/** A press that a device had kept is not taken. The message is for whoever pressed. */
class RefusedPressException extends RuntimeException {

    private final HttpStatus status;

    RefusedPressException(HttpStatus status, String reason) {
        super(reason);
        this.status = status;
    }

    HttpStatus status() {
        return status;
    }
}
