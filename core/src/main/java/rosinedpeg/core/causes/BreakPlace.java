package rosinedpeg.core.causes;

/** Where a string broke. */
public enum BreakPlace {
    NUT,
    PEG,
    BRIDGE,
    TUNER,
    MID_LENGTH
}
