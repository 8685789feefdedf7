package rosinedpeg.web.lend;

/** What can go out with an instrument. */
public enum WithIt {
    CASE,
    BOW,
    SHOULDER_REST,
    ROSIN,
    CLOTH,
    SPARE_STRINGS,
    /** What keeps the end pin of a cello or bass where it is. */
    STOP_FOR_END_PIN
}
