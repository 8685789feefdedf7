package rosinedpeg.core.plan;

/** What can be read and entered at a step. */
public enum Reading {
    /** Cents from pitch, of one string. */
    PITCH,
    /** The gap between a card's right angle and the top of the bridge. */
    GAP
}
