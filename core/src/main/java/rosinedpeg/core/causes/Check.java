package rosinedpeg.core.causes;

/** A look or a touch that tells causes apart. */
public enum Check {
    LOOK_AT_BANDS,
    LOOK_AT_GEARS,
    TURN_PEG_A_LITTLE,
    LOOK_INTO_PEGBOX,
    TOUCH_PARTS_WHILE_IT_SOUNDS,
    MEASURE_GROOVE,
    WIPE_AND_PLAY,
    RUB_GRAPHITE_AND_LISTEN,
    MEASURE_GAP,
    /** Light under a foot means that it does not fit. */
    PRESS_BESIDE_FEET,
    COMPARE_WITH_FORECAST,
    LOOK_AT_SCREW,
    ASK_WHEN_IT_WENT_ON,
    LOOK_INTO_SOUND_HOLE
}
