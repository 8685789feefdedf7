package rosinedpeg.core.strings;

/** What the inside of a string is made of. It decides how far the string stretches and how long it settles. */
public enum StringCore {
    /** One steel wire, bare or wound. */
    PLAIN_STEEL,
    /** Many thin steel wires twisted together, wound. */
    ROPE_STEEL,
    /** Plastic filaments, wound. */
    SYNTHETIC,
    /** Gut, bare or wound. */
    GUT
}
