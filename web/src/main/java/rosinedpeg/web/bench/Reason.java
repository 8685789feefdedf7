package rosinedpeg.web.bench;

/** Why work is done. */
public enum Reason {
    WORN,
    BROKEN,
    OTHER_SOUND,
    WRONG_SIZE,
    BEFORE_PERFORMANCE,
    BRIDGE_DOWN,
    SERVICE
}
