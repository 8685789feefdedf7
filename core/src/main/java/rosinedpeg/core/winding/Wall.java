package rosinedpeg.core.winding;

/** What the winding does at the pegbox wall. */
public enum Wall {
    /** The last turn leans on it and pushes a slipping peg in. */
    WOUND_TO_WALL,
    /** It stays off; on a well-fitted peg the wall's pressure would wear the hole. */
    SMALL_GAP
}
