package rosinedpeg.core.causes;

/** Where a string broke. */
public enum BreakPlace {
    NUT,
    PEG,
    BRIDGE,
    /** At its tail end: where it hangs in a fine tuner or a slot. */
    TUNER,
    MID_LENGTH
}
