package rosinedpeg.core.choosing;

/**
 * How far from the string that is on another is wished to be on a scale of sound. The bounds, in places of the scale, are defaults of
 * our own: a little may be as much as players tell apart at once, and overlaps with more.
 */
public enum Towards {
    /** Clearly towards the first word. */
    FIRST_CLEARLY(-Towards.BEYOND, -0.75),
    /** A little towards the first word. */
    FIRST_A_LITTLE(-1.5, -0.25),
    /** As it is. */
    AS_IT_IS(-0.5, 0.5),
    /** A little towards the second word. */
    SECOND_A_LITTLE(0.25, 1.5),
    /** Clearly towards the second word. */
    SECOND_CLEARLY(0.75, Towards.BEYOND);

    /** Further than any kind lies from another. */
    private static final double BEYOND = 100;

    private final double atLeast;
    private final double atMost;

    Towards(double atLeast, double atMost) {
        this.atLeast = atLeast;
        this.atMost = atMost;
    }

    /** {@return from where on it is so, in places of the scale} */
    public double atLeast() {
        return atLeast;
    }

    /** {@return up to where it is so} */
    public double atMost() {
        return atMost;
    }
}
