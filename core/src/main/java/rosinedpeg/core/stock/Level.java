package rosinedpeg.core.stock;

import java.util.Optional;

/** How well the drawer is filled with one kind of string. */
public enum Level {
    /** As many as should lie ready, or more. */
    ENOUGH,
    /** Fewer than should lie ready. */
    LOW,
    /** None, though some should lie ready. */
    EMPTY,
    /** None, and nobody asks for any. */
    NOT_KEPT;

    /** A new string for the next change, and one for the string that breaks while it is put on; a default of our own. */
    public static final int USUAL_READY = 2;
    /** Nobody keeps more of one kind ready. */
    public static final int MOST_READY = 99;

    /**
     * How many are to lie ready.
     *
     * @param said what somebody said, 0 to 99
     * @param inUse whether an instrument of the workshop is strung with it
     * @return that; where nobody said, {@value #USUAL_READY} of what is in use and none of what is not
     * @throws IllegalArgumentException when less than none is to lie ready, or more than 99
     */
    public static int ready(Optional<Integer> said, boolean inUse) {
        int ready = said.orElse(inUse ? USUAL_READY : 0);
        return requireCount("said", ready);
    }

    /**
     * Judges a kind.
     *
     * @param lying how many new ones lie in the drawer, 0 or more
     * @param ready how many should, 0 or more
     * @return how well it is filled
     * @throws IllegalArgumentException when one of them is less than 0
     */
    public static Level of(int lying, int ready) {
        if (lying < 0) {
            throw new IllegalArgumentException("lying is " + lying + "; it must be 0 or more");
        }
        requireCount("ready", ready);
        if (lying == 0) {
            return ready == 0 ? NOT_KEPT : EMPTY;
        }
        return lying < ready ? LOW : ENOUGH;
    }

    private static int requireCount(String name, int count) {
        if (count < 0 || count > MOST_READY) {
            throw new IllegalArgumentException(name + " is " + count + "; it must be from 0 to " + MOST_READY);
        }
        return count;
    }
}
