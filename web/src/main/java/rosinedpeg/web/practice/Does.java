package rosinedpeg.web.practice;

/** What can be done to a practice instrument, as it is pressed and kept. */
enum Does {
    TURN,
    PUSH,
    LET_GO,
    SET_ASIDE,
    LAY_BACK,
    TAKE_OFF,
    HANG,
    THREAD,
    TREAT,
    GRAPHITE,
    CARD,
    EASE,
    STAND,
    PLUCK
}
