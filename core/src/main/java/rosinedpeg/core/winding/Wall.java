package rosinedpeg.core.winding;

import static java.util.Objects.requireNonNull;

import java.util.List;
import rosinedpeg.core.setup.PegKind;

/** What the winding does at the pegbox wall. */
public enum Wall {
    /** The last turn leans on it and pushes a slipping peg in. */
    WOUND_TO_WALL,
    /** It stays off; on a well-fitted peg the wall's pressure would wear the hole. */
    SMALL_GAP;

    /** {@return what there is to choose on such pegs, the usual first: nothing pushes gears, so that the wall would only be rubbed} */
    public static List<Wall> of(PegKind pegs) {
        requireNonNull(pegs, "pegs");
        return pegs.holdsByFriction() ? List.of(SMALL_GAP, WOUND_TO_WALL) : List.of(SMALL_GAP);
    }

    /** {@return what this comes to on such pegs: itself where they leave the choice, else what is usual} */
    public Wall on(PegKind pegs) {
        List<Wall> walls = of(pegs);
        return walls.contains(this) ? this : walls.get(0);
    }
}
