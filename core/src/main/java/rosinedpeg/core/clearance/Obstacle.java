package rosinedpeg.core.clearance;

/** What a string may touch in the pegbox. */
public enum Obstacle {
    /** The bare shaft of another string's peg. */
    SHAFT,
    /** The turns of another string on its peg. */
    TURNS,
    /** Another string on its way to its peg. */
    STRING,
    /** The wall on the bass side, beside the string or its own turns. */
    BASS_WALL,
    /** The same on the treble side. */
    TREBLE_WALL,
    /** The floor, under the string's own turns. */
    FLOOR
}
