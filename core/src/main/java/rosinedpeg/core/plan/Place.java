package rosinedpeg.core.plan;

/** The part of the instrument a step happens at. */
public enum Place {
    WHOLE,
    PEG,
    NUT,
    FINGERBOARD,
    BRIDGE,
    TAIL
}
