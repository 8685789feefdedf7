package rosinedpeg.web.platform;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** What was asked for does not exist in this workshop. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotFoundException extends RuntimeException {

    /** Names what was not found. */
    public NotFoundException(String what) {
        super(what);
    }
}
