package rosinedpeg.core.figure;

/** Where a figure comes from. Every figure that is shown carries one. */
public enum Origin {
    /** Somebody measured it on this instrument or this string. */
    MEASURED,
    /** Nobody measured it: the usual value for such an instrument stands in. */
    DEFAULT,
    /** Worked out from readings of this instrument or string. */
    LEARNED
}
