package rosinedpeg.web.listen;

import com.fasterxml.jackson.annotation.JsonInclude;
import org.jspecify.annotations.Nullable;
import rosinedpeg.web.listen.Listener.Said;

/**
 * What a device is told, whole, so that one that missed the last needs only this.
 *
 * @param stage which stage it belongs to; with another one, what was heard before counts no more
 * @param at seconds of sound heard by then
 * @param state what sounds
 * @param string which string, if one does
 * @param cents how far it is from what it should sound, as it is shown
 * @param style how good that is
 * @param says the same in words, with what to do about it
 * @param warning what has to be said before it is too late
 * @param held how much of the time it has to hold it has held, as a percentage
 * @param sag what it lacks or has too much, drawn along its place in the drawing
 * @param note what came of a pluck; stays until another one
 * @param renew whether the page shows something older now
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
record Telling(
        long stage,
        double at,
        State state,
        @Nullable String string,
        @Nullable String cents,
        @Nullable String style,
        @Nullable String says,
        @Nullable String warning,
        int held,
        @Nullable String sag,
        @Nullable String note,
        boolean renew) {

    /** What sounds. */
    enum State {
        /** At a step at which nobody has to listen. */
        IDLE,
        SILENT,
        NOT_SURE,
        HEARD
    }

    /** Nothing, or nothing that could be told. */
    static Telling of(long stage, double at, State state, String says) {
        return new Telling(stage, at, state, null, null, null, says, null, 0, null, null, false);
    }

    Telling with(Said said) {
        return new Telling(stage, at, state, string, cents, style, says, warning, held, sag, said.note(), said.renew());
    }
}
