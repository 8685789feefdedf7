package rosinedpeg.core.winding;

/** Which way the string goes round its shaft. */
public enum Way {
    /** Bends the string least at the nut. */
    OVER_THE_TOP,
    /** A way out of a crowded pegbox for the lowest string of a bass, until that is put right. */
    UNDER
}
