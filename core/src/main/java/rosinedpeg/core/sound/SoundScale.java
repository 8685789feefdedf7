package rosinedpeg.core.sound;

/**
 * Two opposed words of the trade for how a string sounds and answers, and what lies between them. Neither end is the better one.
 *
 * <p>A place on a scale is a whole number from {@link #LOWEST} to {@link #HIGHEST}: −2 the first word, −1 rather the first, 0 in
 * between, 1 rather the second, 2 the second.
 */
public enum SoundScale {
    /** Dark to bright. */
    DARK_BRIGHT,
    /** Soft to firm under the finger. */
    SOFT_FIRM,
    /** Slow to quick to speak. */
    SLOW_QUICK,
    /** Standing out from its neighbours to even with them. */
    APART_EVEN,
    /** Small to powerful. */
    SMALL_POWERFUL;

    /** The place of the first word. */
    public static final int LOWEST = -2;

    /** The place of the second word. */
    public static final int HIGHEST = 2;

    /**
     * Gives a place back if a scale has it.
     *
     * @param place the place
     * @return the same
     * @throws IllegalArgumentException when it is on no scale
     */
    public static int require(int place) {
        if (place < LOWEST || place > HIGHEST) {
            throw new IllegalArgumentException("place is " + place + "; it must be " + LOWEST + " to " + HIGHEST);
        }
        return place;
    }
}
