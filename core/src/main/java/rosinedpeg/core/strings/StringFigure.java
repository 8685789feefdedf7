package rosinedpeg.core.strings;

/** What a packet may say of a string in figures. */
public enum StringFigure {
    /** The vibrating length it is made for. */
    DESIGN_LENGTH,
    /** Its tension at that length. */
    TENSION,
    DIAMETER,
    /** What would stretch it to double its length. */
    AXIAL_STIFFNESS,
    /** Where the silk of its tail end stops. */
    TAIL_SILK_END,
    /** Where the silk of its peg end starts. */
    TOP_SILK_START,
    TOTAL_LENGTH
}
