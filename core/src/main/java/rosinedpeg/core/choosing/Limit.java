package rosinedpeg.core.choosing;

/** What the next string is to keep to, held against the one that is on. */
public enum Limit {
    /** It pulls no harder. */
    NO_TENSER,
    /** It pulls less. */
    LESS_TENSE,
    /** It pulls no less. */
    NO_SLACKER,
    /** It holds for a concert no later. */
    HOLDS_NO_LATER,
    /** It lasts no fewer hours of playing. */
    LASTS_AS_LONG,
    /** An hour of playing costs no more. */
    NO_DEARER
}
