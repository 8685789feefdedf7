package rosinedpeg.core.plan;

/** What can hurt a person or an instrument at a step. */
public enum Caution {
    /** Eyes near a string coming to tension. */
    EYES,
    /** Cut or sharp string ends. */
    SHARP_ENDS,
    /** Alcohol burns, and lifts varnish. */
    SOLVENT,
    /** Chalk dust is not to be breathed. */
    DUST,
    /** Pegs are not interchangeable, and are not to be forced. */
    PEG,
    /** A slipping peg must not be lubricated. */
    NO_LUBRICANT,
    /** Little load is left on the post: no pause, no lifting, no turning. */
    POST_THIN,
    /** The ball can scratch the varnish. */
    BALL_ON_VARNISH,
    /** The bridge is only held by the strings. */
    BRIDGE,
    /** Children do not wind strings. */
    ADULT_WINDS
}
