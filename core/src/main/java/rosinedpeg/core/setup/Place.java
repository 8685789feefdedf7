package rosinedpeg.core.setup;

/** A part of the instrument that hands are at, or that somebody points to. */
public enum Place {
    WHOLE,
    PEG,
    NUT,
    FINGERBOARD,
    BRIDGE,
    TAIL
}
