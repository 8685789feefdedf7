package rosinedpeg.core.plan;

/** What a figure of a step says. */
public enum StepFigure {
    /** Turns the new string makes on its peg. */
    TURNS,
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
    DRAG_LEAN_DRY
}
