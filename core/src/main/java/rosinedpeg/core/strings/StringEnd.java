package rosinedpeg.core.strings;

/** How the tail end of a string is finished. */
public enum StringEnd {
    BALL,
    LOOP,
    /** Plain gut, knotted by the user. */
    KNOT
}
