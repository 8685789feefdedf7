package rosinedpeg.core.strings;

/** The wire wound round the core. */
public enum Winding {
    NONE,
    ALUMINIUM,
    SILVER,
    STEEL,
    /** Heavy: low cello strings wound with it last longest. */
    TUNGSTEN
}
