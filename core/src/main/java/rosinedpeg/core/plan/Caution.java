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
    /** Too little load is left on the post, or none: it can fall. Do not carry, turn or knock the instrument. */
    POST_UNHELD,
    /** Little load is left on the bass foot: the bridge can rock off it. */
    BASS_FOOT_THIN,
    /** Nothing presses the bass foot down, or the strings lift it: the bridge is held by the hand. */
    BASS_FOOT_UNHELD,
    /** The ball can scratch the varnish. */
    BALL_ON_VARNISH,
    /** The bridge is only held by the strings. */
    BRIDGE,
    /** On a child's size an adult winds. */
    ADULT_WINDS,
    /** A thick string is pinched from its sides, never hooked with a finger. */
    PINCH_NOT_HOOK,
    /** A powered winder: the weak one first, which stalls before a string breaks; at its slowest, the other hand clear. */
    POWERED_WINDER,
    /** A ball under load can fly out: face out of its line. */
    BALL_UNDER_LOAD,
    /** No weight near the sound holes. */
    NO_WEIGHT_ON_SOUND_HOLES,
    /** A large instrument is lifted by two, or with a proper stance. */
    LIFTING,
    /** A knife or cutter away from the hand, the instrument and every string under tension. */
    CUTTER,
    /** A pencil that slips marks the bridge: the hand rests on the instrument, a finger is its stop. */
    PENCIL_SLIPS,
    /** A tip or knot that presses on a neighbour is moved aside with the neighbour slack; both are tuned again. */
    TIP_ON_NEIGHBOUR
}
