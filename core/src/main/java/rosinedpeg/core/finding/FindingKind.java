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
    /** The bridge leans. Lean; thrust margin. */
    BRIDGE_TO_EASE_BACK,
    /** The bridge leans too far to go on. Lean; thrust margin. */
    BRIDGE_TO_STRAIGHTEN,
    /** The strings push past the bridge's foot. Lean; thrust margin. */
    BRIDGE_FALLING,
    /** A string went on lately, and nobody has looked at the bridge today. Days since. */
    BRIDGE_TO_LOOK_AT,
    /** The high side is under I. No figures. */
    BRIDGE_WRONG_WAY_ROUND,
    /** Bent. How far a straightedge stands off. */
    BRIDGE_WARPED,
    /** Turned. By how much. */
    BRIDGE_TWISTED,
    /** Off the line between the nicks. By how much. */
    BRIDGE_OFF_ITS_LINE,
    /** Not under the middle of the strings. By how much. */
    BRIDGE_OFF_CENTRE,
    /** A middle string stands prouder than the other. The deepening that evens them. */
    CURVE_UNEVEN,
    /** The string may jump out of the bridge. Depth over diameter. */
    BRIDGE_GROOVE_SHALLOW,
    /** The bridge chokes and wears the string. Depth over diameter. */
    BRIDGE_GROOVE_DEEP,
    /** The same, beyond what graphite helps. Depth over diameter. */
    BRIDGE_GROOVE_TOO_DEEP,
    /** The bridge pinches the string. Width; diameter. */
    BRIDGE_GROOVE_PINCHES,
    /** The string may jump out of the nut. Depth over diameter. */
    NUT_GROOVE_SHALLOW,
    /** The nut chokes and wears the string. Depth over diameter. */
    NUT_GROOVE_DEEP,
    /** The same, beyond what graphite helps. Depth over diameter. */
    NUT_GROOVE_TOO_DEEP,
    /** The nut pinches the string. Width; diameter. */
    NUT_GROOVE_PINCHES,
    /** Nothing keeps a steel I from cutting into the bridge. No figures. */
    GUARD_MISSING,
    /** Parchment and tube are both there. No figures. */
    GUARD_TWICE,
    /** Afterlength off a sixth. Measured; target. */
    AFTERLENGTH_OFF,
    /** Tailpiece and tuners are heavy. All of it; a usual one with one tuner. */
    TAILPIECE_HEAVY,
    /** The tailpiece nearly touches the top. Distance; least. */
    TAILPIECE_NEAR_TOP,
    /** A fine tuner is all the way out. What its screw is in. */
    TUNER_RATTLES,
    /** A fine tuner is all the way in. What its screw has left. */
    TUNER_AT_ITS_END,
    /** A fine tuner's lever nearly touches the top. Distance; least. */
    TUNER_LEVER_NEAR_TOP,
    /** Peg split, or pegbox cracked beside it. No figures. */
    PEG_CRACKED,
    /** Peg and hole taper differently. No figures. */
    PEG_TAPER_MISMATCH,
    /** The peg has worn its way in. No figures. */
    PEG_WORN_IN,
    /** The peg creeps back. No figures. */
    PEG_SLIPS,
    /** The peg sticks. No figures. */
    PEG_STICKS,
    /** The peg's collar comes to the wall before long. Months. */
    COLLAR_RUNS_OUT,
    /** The string touches something in the pegbox, and would not on the other side of its hole. How deep. */
    STRING_TOUCHES,
    /** The string touches something on either side. How deep. */
    STRING_TOUCHES_BOTH_WAYS,
    /** Its winding is open. No figures. */
    STRING_TO_CHANGE_NOW,
    /** Used up. No figures. */
    STRING_DUE,
    /** Nobody knows since when it has been on. No figures. */
    STRING_AGE_UNKNOWN,
    /** The post would be let go. Treble-foot share; limit. */
    POST_LET_GO,
    /** The bridge would rock off its bass foot. Bass-foot share; limit. */
    BASS_FOOT_LIFTS
}
