package rosinedpeg.web.bench;

/** Why strings are changed. */
public enum Reason {
    WORN,
    BROKEN,
    OTHER_SOUND,
    WRONG_SIZE,
    BEFORE_PERFORMANCE
}
