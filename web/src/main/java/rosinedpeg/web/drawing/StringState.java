package rosinedpeg.web.drawing;

/** How a string is drawn. */
public enum StringState {
    ON,
    SET_ASIDE,
    OFF,
    /** It is the one being worked on, and it is on. */
    WORKED_ON
}
