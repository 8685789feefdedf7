package rosinedpeg.web.drawer;

import java.util.Optional;
import rosinedpeg.core.strings.Position;

/**
 * A string from the drawer, held against what a run needs before it is unrolled.
 *
 * @param verdict whether it is the right one
 * @param place the place it is for; empty where it is for none
 * @param string the string; empty where nothing is marked so
 */
public record Held(Verdict verdict, Optional<Position> place, Optional<InDrawer> string) {

    /** Whether it is the right one. */
    public enum Verdict {
        /** It was set aside for the run. */
        RIGHT,
        /** It is of the right kind, and taken instead of the one that was set aside. */
        INSTEAD,
        /** The run needs no such string, or somebody else has it. */
        WRONG,
        /** No string is marked so. */
        UNKNOWN
    }
}
