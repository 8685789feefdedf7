package rosinedpeg.core.winding;

import static java.util.Objects.requireNonNull;

/**
 * How somebody wants a string wound.
 *
 * @param lock how its tip is held
 * @param wall what the winding does at the wall
 * @param way over or under the shaft
 * @param side on which side of its hole it leaves
 */
public record WindingChoice(Lock lock, Wall wall, Way way, HoleSide side) {

    /** Crossed over, a small gap at the wall, over the top, leaving on the knob's side. */
    public static final WindingChoice USUAL =
            new WindingChoice(Lock.FAR_SIDE_THEN_CROSS, Wall.SMALL_GAP, Way.OVER_THE_TOP, HoleSide.KNOB_SIDE);

    /** {@return the usual choice with another lock} */
    public static WindingChoice of(Lock lock) {
        return new WindingChoice(lock, USUAL.wall, USUAL.way, USUAL.side);
    }

    /** Checks that every choice is made. */
    public WindingChoice {
        requireNonNull(lock, "lock");
        requireNonNull(wall, "wall");
        requireNonNull(way, "way");
        requireNonNull(side, "side");
    }

    /** {@return the same, leaving on the other side of the hole} */
    public WindingChoice onOtherSide() {
        return new WindingChoice(lock, wall, way, side == HoleSide.KNOB_SIDE ? HoleSide.FAR_SIDE : HoleSide.KNOB_SIDE);
    }
}
