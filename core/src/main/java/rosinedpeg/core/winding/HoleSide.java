package rosinedpeg.core.winding;

/** On which side of its hole a string leaves the shaft. */
public enum HoleSide {
    KNOB_SIDE,
    /** Away from the knob: the first thing to try where a string touches something. */
    FAR_SIDE
}
