package rosinedpeg.core.simulation;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.strings.Position;

/** What comes of an action. */
public sealed interface Consequence {

    /**
     * A string sounds.
     *
     * @param cents from its pitch
     */
    record Sounded(Position position, double cents) implements Consequence {
        /** Checks the parts. */
        public Sounded {
            requireFinite("cents", cents);
            requireNonNull(position, "position");
        }
    }

    /** A string is slack or not there; nothing sounds. */
    record Silent(Position position) implements Consequence {
        /** Checks the parts. */
        public Silent {
            requireNonNull(position, "position");
        }
    }

    /**
     * The peg crept back when the hand left it.
     *
     * @param degrees how far
     */
    record Slipped(Position position, double degrees) implements Consequence {
        /** Checks the parts. */
        public Slipped {
            requireFinite("degrees", degrees);
            requireNonNull(position, "position");
        }
    }

    /** The tip came out of its hole. */
    record TipPulledOut(Position position) implements Consequence {
        /** Checks the parts. */
        public TipPulledOut {
            requireNonNull(position, "position");
        }
    }

    /**
     * The string broke.
     *
     * @param tensionN at what tension, in N
     */
    record Broke(Position position, double tensionN) implements Consequence {
        /** Checks the parts. */
        public Broke {
            requireNonNull(position, "position");
            requireFinite("tensionN", tensionN);
        }
    }

    /** The ball scratched the varnish. */
    record VarnishScratched() implements Consequence {}

    /** The bridge went over; every string is slack. */
    record BridgeFell() implements Consequence {}

    /** The sound post fell; a repairer sets it. */
    record PostFell() implements Consequence {}

    /** It cannot be done now. */
    record NotPossible(Why why) implements Consequence {
        /** Checks the parts. */
        public NotPossible {
            requireNonNull(why, "why");
        }
    }

    /** Why something cannot be done. */
    enum Why {
        NO_STRING_THERE,
        STRING_ALREADY_THERE,
        STRING_STILL_IN_ITS_GROOVE,
        STRING_STILL_UNDER_TENSION,
        NOT_SET_ASIDE,
        BRIDGE_IS_DOWN
    }
}
