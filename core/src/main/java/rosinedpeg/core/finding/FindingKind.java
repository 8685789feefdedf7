package rosinedpeg.core.finding;

/** What can be found. The figures of a finding come in the order given here. */
public enum FindingKind {
    /** The string is made for another position. No figures. */
    WRONG_POSITION(Part.FIT),
    /** The string is made for another size. Design length; the instrument's vibrating length. */
    MADE_FOR_OTHER_SIZE(Part.FIT),
    /** Its end does not go on what the instrument has. No figures. */
    END_MISMATCH(Part.FIT),
    /** Tail silk lies over the bridge. Silk end from the ball, at pitch; bridge from the ball. */
    TAIL_SILK_ON_BRIDGE(Part.FIT),
    /** Top silk starts before the nut. Silk start from the ball, at pitch; nut from the ball. */
    TOP_SILK_ON_PLAYING_LENGTH(Part.FIT),
    /** Too short to hold on the peg. Turns; fewest. */
    TOO_FEW_TURNS(Part.FIT),
    /** Too long, crowds the pegbox. Turns; most. */
    TOO_MANY_TURNS(Part.FIT),
    /** So long that it is the wrong string. Turns; from how many on. */
    FAR_TOO_MANY_TURNS(Part.FIT),
    /** Does not go through the slot of tuner or tailpiece. Diameter; width of the slot. */
    TOO_THICK_FOR_SLOT(Part.FIT),
    /** Would be pinched in its groove. Diameter; width of the groove. */
    TOO_THICK_FOR_GROOVE(Part.FIT),
    /** Pulls clearly harder than the one it replaces, in total. Rise of the load on the top; limit. */
    LOAD_RISE(Part.FIT),
    /** Silk, turns and load are as they should be. Turns; rise of the load on the top, where strings are on. */
    FITS(Part.FIT),
    /** The bridge lies down. No figures. */
    BRIDGE_DOWN(Part.BRIDGE),
    /** Light is seen under a foot of the bridge. No figures. */
    BRIDGE_FOOT_OPEN(Part.BRIDGE),
    /** The bridge leans, to the eye; nobody has measured by how much. No figures. */
    BRIDGE_LEANS_TO_THE_EYE(Part.BRIDGE),
    /** The bridge leans. Lean; thrust margin. */
    BRIDGE_TO_EASE(Part.BRIDGE),
    /** The bridge leans too far to go on. Lean; thrust margin. */
    BRIDGE_TO_STRAIGHTEN(Part.BRIDGE),
    /** The strings push past the bridge's foot. Lean; thrust margin. */
    BRIDGE_FALLING(Part.BRIDGE),
    /** A string went on lately, and nobody has looked at the bridge today. Days since. */
    BRIDGE_TO_LOOK_AT(Part.BRIDGE),
    /** The high side is under I. No figures. */
    BRIDGE_WRONG_WAY_ROUND(Part.BRIDGE),
    /** Bent. How far a straightedge stands off. */
    BRIDGE_WARPED(Part.BRIDGE),
    /** Turned. By how much. */
    BRIDGE_TWISTED(Part.BRIDGE),
    /** Off the line between the nicks. By how much. */
    BRIDGE_OFF_ITS_LINE(Part.BRIDGE),
    /** Not under the middle of the strings. By how much. */
    BRIDGE_OFF_CENTRE(Part.BRIDGE),
    /** A middle string stands prouder than the other. The deepening that evens them. */
    CURVE_UNEVEN(Part.BRIDGE),
    /** The string may jump out of the bridge. Depth over diameter. */
    BRIDGE_GROOVE_SHALLOW(Part.BRIDGE),
    /** The bridge chokes and wears the string. Depth over diameter. */
    BRIDGE_GROOVE_DEEP(Part.BRIDGE),
    /** The same, beyond what graphite helps. Depth over diameter. */
    BRIDGE_GROOVE_TOO_DEEP(Part.BRIDGE),
    /** The bridge pinches the string. Width; diameter. */
    BRIDGE_GROOVE_PINCHES(Part.BRIDGE),
    /** The string may jump out of the nut. Depth over diameter. */
    NUT_GROOVE_SHALLOW(Part.BRIDGE),
    /** The nut chokes and wears the string. Depth over diameter. */
    NUT_GROOVE_DEEP(Part.BRIDGE),
    /** The same, beyond what graphite helps. Depth over diameter. */
    NUT_GROOVE_TOO_DEEP(Part.BRIDGE),
    /** The nut pinches the string. Width; diameter. */
    NUT_GROOVE_PINCHES(Part.BRIDGE),
    /** Nothing keeps a steel I from cutting into the bridge. No figures. */
    GUARD_MISSING(Part.BRIDGE),
    /** Parchment and tube are both there. No figures. */
    GUARD_TWICE(Part.BRIDGE),
    /** Afterlength off a sixth. Measured; target. */
    AFTERLENGTH_OFF(Part.TAILPIECE),
    /** Tailpiece and tuners are heavy. All of it; a usual one with one tuner. */
    TAILPIECE_HEAVY(Part.TAILPIECE),
    /** The tailpiece nearly touches the top. Distance; least. */
    TAILPIECE_NEAR_TOP(Part.TAILPIECE),
    /** A fine tuner is all the way in, as seen; nobody has measured it. No figures. */
    TUNER_SCREWED_IN(Part.TAILPIECE),
    /** A fine tuner's lever lies on the top. No figures. */
    TUNER_LEVER_ON_TOP(Part.TAILPIECE),
    /** A fine tuner is all the way out. What its screw is in. */
    TUNER_RATTLES(Part.TAILPIECE),
    /** A fine tuner is all the way in. What its screw has left. */
    TUNER_AT_ITS_END(Part.TAILPIECE),
    /** A fine tuner's lever nearly touches the top, or would with its screw all the way in. What would be left; least. */
    TUNER_LEVER_NEAR_TOP(Part.TAILPIECE),
    /** Peg split, or pegbox cracked beside it. No figures. */
    PEG_CRACKED(Part.PEGS),
    /** Peg and hole taper differently. No figures. */
    PEG_TAPER_MISMATCH(Part.PEGS),
    /** The peg has worn its way in. No figures. */
    PEG_WORN_IN(Part.PEGS),
    /** The peg creeps back. No figures. */
    PEG_SLIPS(Part.PEGS),
    /** The bands of an ebony peg have polished: it will slip. No figures. */
    PEG_POLISHED(Part.PEGS),
    /** The peg sticks. No figures. */
    PEG_STICKS(Part.PEGS),
    /** Geared peg or machine head: it creeps back. No figures. */
    GEARS_SLIP(Part.PEGS),
    /** Geared peg or machine head: it turns heavily. No figures. */
    GEARS_STIFF(Part.PEGS),
    /** The peg's collar comes to the wall before long. Months. */
    COLLAR_RUNS_OUT(Part.PEGS),
    /** The string touches something in the pegbox, and would not if it were wound in another way. How deep. */
    STRING_TOUCHES(Part.PEGBOX),
    /** The string touches something whichever way it is wound. How deep. */
    STRING_TOUCHES_BOTH_WAYS(Part.PEGBOX),
    /** It is not there, or in two pieces. No figures. */
    STRING_MISSING(Part.STRINGS),
    /** Its winding is open. No figures. */
    STRING_TO_CHANGE_NOW(Part.STRINGS),
    /** Used up. No figures. */
    STRING_DUE(Part.STRINGS),
    /** Nobody knows since when it has been on. No figures. */
    STRING_AGE_UNKNOWN(Part.STRINGS),
    /** More rosin than the strings want. How often it went on in two weeks; how often is enough. */
    ROSIN_TOO_OFTEN(Part.BOW),
    /** Something rattles inside: the post is loose, or has fallen. No figures. */
    POST_RATTLES(Part.BODY),
    /** No post is seen through the f-hole on the treble side. No figures. */
    POST_NOT_SEEN(Part.BODY),
    /** The wood is cracked. No figures. */
    WOOD_CRACKED(Part.BODY),
    /** Top or back has come off the ribs somewhere. No figures. */
    SEAM_OPEN(Part.BODY),
    /** Chin rest, end button or end pin are loose. No figures. */
    FITTING_LOOSE(Part.BODY),
    /** The stick is cracked, or its head or frog is damaged. No figures. */
    BOW_DAMAGED(Part.BOW),
    /** The hair is thin, or gone on one side. No figures. */
    BOW_HAIR_THIN(Part.BOW),
    /** The post would be let go. Treble-foot share; limit. */
    POST_LET_GO(Part.STRINGS),
    /** The bridge would rock off its bass foot. Bass-foot share; limit. */
    BASS_FOOT_LIFTS(Part.STRINGS);

    private final Part part;

    FindingKind(Part part) {
        this.part = part;
    }

    /** {@return what it is found on} */
    public Part part() {
        return part;
    }

    /** What something is found on. */
    public enum Part {
        /** A string against the instrument. */
        FIT,
        /** The bridge, its grooves and those of the nut. */
        BRIDGE,
        PEGBOX,
        PEGS,
        /** Tailpiece and fine tuners. */
        TAILPIECE,
        /** The strings, and the load they leave on the post. */
        STRINGS,
        /** The body: its wood, its seams, the post inside it and what is fitted to it. */
        BODY,
        /** Bow and rosin. */
        BOW
    }
}
