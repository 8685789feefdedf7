package rosinedpeg.web.week;

/** What somebody can ask for. */
public enum WishKind {
    /** New strings. */
    STRINGS,
    /** Pegs drawn, cleaned and treated. */
    PEG_SERVICE,
    /** Anything else, with its minutes. */
    OTHER
}
