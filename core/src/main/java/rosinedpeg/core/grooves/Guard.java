package rosinedpeg.core.grooves;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;

/** What keeps I from cutting into the bridge: one of the two, never both. */
public enum Guard {
    NONE,
    /** Glued over the groove. */
    PARCHMENT,
    /** Loose on the string; it slides off and has to be put back each time the string moves. */
    TUBE;

    /** {@return whether a string may need one: I, whose thin steel cuts into the wood, but not that of a double bass} */
    public static boolean mayBeNeeded(Family family, Position position) {
        requireNonNull(family, "family");
        requireNonNull(position, "position");
        return position == Position.I && family != Family.BASS;
    }

    /** {@return whether a string needs one: a plain steel I, where one may be needed} */
    public static boolean isNeeded(Family family, StringSpec string) {
        return mayBeNeeded(family, string.position()) && string.core() == StringCore.PLAIN_STEEL;
    }

    /**
     * What a bridge with those has.
     *
     * @param parchment whether a parchment is glued over the groove
     * @param tube whether a tube is on the string
     * @return the guard
     * @throws IllegalArgumentException when it has both
     */
    public static Guard of(boolean parchment, boolean tube) {
        if (parchment && tube) {
            throw new IllegalArgumentException("parchment and tube are both there; it must be one of the two");
        }
        if (parchment) {
            return PARCHMENT;
        }
        return tube ? TUBE : NONE;
    }
}
