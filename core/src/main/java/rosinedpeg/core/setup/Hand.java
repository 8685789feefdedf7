package rosinedpeg.core.setup;

/** A hand of whoever does the work. */
public enum Hand {
    LEFT,
    RIGHT
}
