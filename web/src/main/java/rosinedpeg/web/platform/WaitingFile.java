package rosinedpeg.web.platform;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A file that is shown before it is taken in.
 *
 * @param content what is in it
 * @param state how far it is
 * @param askedOn the day it was in the workshop when somebody asked for it to be taken in; empty where nobody has
 */
public record WaitingFile(String content, State state, Optional<LocalDate> askedOn) {

    /** How far it is. */
    public enum State {
        /** Until somebody asks for it to be taken in. */
        WAITS,
        /** It will be, whatever happens to the server meanwhile. */
        ASKED,
        /** It could not be, and nothing of it was. It can be asked for again. */
        FAILED
    }
}
