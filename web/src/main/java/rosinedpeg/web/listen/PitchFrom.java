package rosinedpeg.web.listen;

/** Where the pitch of a string is known from. */
public enum PitchFrom {
    /** Somebody has read it and typed it. */
    TYPED,
    /** The server hears it through the microphone of the device at the bench. */
    HEARD,
    /** A device beside the bench says it over HTTP. */
    DEVICE
}
