package rosinedpeg.core.finding;

/** What can be found. The figures of a finding come in the order given here. */
public enum FindingKind {
    /** The string is made for another position. No figures. */
    WRONG_POSITION,
    /** Its end does not go on what the instrument has. No figures. */
    END_MISMATCH,
    /** Tail silk lies over the bridge. Silk end from the ball; bridge from the ball. */
    TAIL_SILK_ON_BRIDGE,
    /** Top silk starts before the nut. Silk start from the ball; nut from the ball. */
    TOP_SILK_ON_PLAYING_LENGTH,
    /** Too short to hold on the peg. Turns; fewest. */
    TOO_FEW_TURNS,
    /** Too long, crowds the pegbox. Turns; most. */
    TOO_MANY_TURNS,
    /** Does not go through the slot of tuner or tailpiece. Diameter; width of the slot. */
    TOO_THICK_FOR_SLOT,
    /** Would be pinched in its groove. Diameter; width of the groove. */
    TOO_THICK_FOR_GROOVE,
    /** Pulls clearly harder than the one it replaces, in total. Rise of the load on the top; limit. */
    LOAD_RISE,
    /** Silk, turns and load are as they should be. Turns; rise of the load on the top. */
    FITS,
    /** The post would be let go. Treble-foot share; limit. */
    POST_LET_GO,
    /** The bridge would rock off its bass foot. Bass-foot share; limit. */
    BASS_FOOT_LIFTS
}
