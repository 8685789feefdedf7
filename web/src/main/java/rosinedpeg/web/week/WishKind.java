package rosinedpeg.web.week;

/** What somebody can ask for. */
public enum WishKind {
    /** New strings. */
    STRINGS,
    /** Pegs drawn, cleaned and treated, or gears seen to. */
    PEG_SERVICE,
    /** Anything else, with its minutes. */
    OTHER
}
