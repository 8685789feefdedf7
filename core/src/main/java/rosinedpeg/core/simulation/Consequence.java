package rosinedpeg.core.simulation;

import rosinedpeg.core.strings.Position;

/** What comes of an action. */
public sealed interface Consequence {

    /**
     * A string sounds.
     *
     * @param cents from its pitch
     */
    record Sounded(Position position, double cents) implements Consequence {}

    /** A string is slack or not there; nothing sounds. */
    record Silent(Position position) implements Consequence {}

    /**
     * The peg crept back when the hand left it.
     *
     * @param degrees how far
     */
    record Slipped(Position position, double degrees) implements Consequence {}

    /** The tip came out of its hole. */
    record TipPulledOut(Position position) implements Consequence {}

    /**
     * The string broke.
     *
     * @param tensionN at what tension, in N
     */
    record Broke(Position position, double tensionN) implements Consequence {}

    /** The ball scratched the varnish. */
    record VarnishScratched() implements Consequence {}

    /** The bridge went over; every string is slack. */
    record BridgeFell() implements Consequence {}

    /** The sound post fell; a repairer sets it. */
    record PostFell() implements Consequence {}

    /** It cannot be done now. */
    record NotPossible(Why why) implements Consequence {}

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
