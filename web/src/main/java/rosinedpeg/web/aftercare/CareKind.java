package rosinedpeg.web.aftercare;

/** What is done for strings and bow after playing. */
public enum CareKind {
    /** Rosin wiped from strings and top. */
    WIPED,
    /** Rosin on the bow. */
    ROSINED,
    /** A glazed bow's hair cleaned before new rosin. */
    HAIR_CLEANED
}
