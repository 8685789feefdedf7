package rosinedpeg.core.plan;

/** What a figure of a step says. */
public enum StepFigure {
    /** Turns the new string makes on its peg. */
    TURNS,
    /** Of these, turns on the far side of the hole, before crossing over. */
    FAR_SIDE_TURNS,
    /** Half turns of a peg's knob from the first grip to pitch. */
    HALF_TURNS,
    /** Turns of a machine's crank from the first grip to pitch. */
    CRANK_TURNS,
    /** Turns on the shaft that this step makes, where winding is done in two parts. */
    PART_TURNS,
    /** Half turns of a peg's knob in this part. */
    PART_HALF_TURNS,
    /** Turns of a machine's crank in this part. */
    PART_CRANK_TURNS,
    /** From the last turn to the wall, where it was to lean on it and does not reach it. */
    WALL_GAP,
    /** How far the string bends sideways at the nut. */
    SIDE_ANGLE,
    /** How much to cut off, outside the pegbox, after a sharp bend. */
    TRIM,
    /** How far beyond the shaft the tip is bent, with the string laid along the instrument. */
    BEND,
    /** Tip to leave standing out beyond the hole. */
    TIP,
    /** Tension of the string at pitch. */
    TENSION,
    /** How much longer the string gets on the way to pitch. */
    STRETCH,
    /** How far one degree of peg moves the pitch. */
    CENTS_PER_PEG_DEGREE,
    /** How far raising this string leans the bridge if its groove has graphite. */
    DRAG_LEAN_GRAPHITED,
    /** The same if its groove is dry. */
    DRAG_LEAN_DRY,
    /** Gap between card and bridge to aim for, where it is not to stand square; below 0 leans backwards. */
    GAP_TO_AIM_FOR,
    /** Share of the tension it would break at. */
    SHARE_OF_BREAKING,
    /** Share of the final tension to raise to. */
    TENSION_SHARE,
    /** How far below pitch that sounds. */
    BELOW_PITCH,
    /** Afterlength to set. */
    AFTERLENGTH_TARGET,
    /** How far the cord is to be let out; below 0, taken in. */
    CORD_CHANGE
}
