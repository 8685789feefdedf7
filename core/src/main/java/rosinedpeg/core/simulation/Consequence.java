package rosinedpeg.core.simulation;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Map;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.ThrustBand;
import rosinedpeg.core.strings.Position;

/** What comes of an action. */
public sealed interface Consequence {

    /** {@return whether something went wrong that is not undone by itself} */
    default boolean harms() {
        return false;
    }

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
     * The other strings moved, because this one did.
     *
     * @param position the one that was turned
     * @param cents how far each other one moved, below 0 where it sank
     */
    record OthersMoved(Position position, Map<Position, Double> cents) implements Consequence {
        /** Checks the parts and copies them. */
        public OthersMoved {
            requireNonNull(position, "position");
            requireFinite("cents", cents);
            cents = Position.inOrder(cents);
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

        @Override
        public boolean harms() {
            return true;
        }
    }

    /**
     * The peg sticks: it did not move, or jumped.
     *
     * @param degrees how far it went
     */
    record Jerked(Position position, double degrees) implements Consequence {
        /** Checks the parts. */
        public Jerked {
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

        @Override
        public boolean harms() {
            return true;
        }
    }

    /** A turn lies over another one. */
    record TurnsCrossed(Position position) implements Consequence {
        /** Checks the parts. */
        public TurnsCrossed {
            requireNonNull(position, "position");
        }

        @Override
        public boolean harms() {
            return true;
        }
    }

    /**
     * A turn that lay over another one slid off it.
     *
     * @param mm how much string that let go, in mm
     */
    record TurnsClimbed(Position position, double mm) implements Consequence {
        /** Checks the parts. */
        public TurnsClimbed {
            requireNonNull(position, "position");
            requireFinite("mm", mm);
        }

        @Override
        public boolean harms() {
            return true;
        }
    }

    /** A string that lies beside its groove slid off the nut and is slack. */
    record SlidOff(Position position) implements Consequence {
        /** Checks the parts. */
        public SlidOff {
            requireNonNull(position, "position");
        }

        @Override
        public boolean harms() {
            return true;
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

        @Override
        public boolean harms() {
            return true;
        }
    }

    /** The ball scratched the varnish. */
    record VarnishScratched() implements Consequence {
        @Override
        public boolean harms() {
            return true;
        }
    }

    /**
     * The bridge was dragged along into another band.
     *
     * @param position by which string
     * @param dry whether its groove had no graphite
     * @param lean how it leans now
     * @param band what that means
     */
    record Leaned(Position position, boolean dry, Lean lean, ThrustBand band) implements Consequence {
        /** Checks the parts. */
        public Leaned {
            requireNonNull(position, "position");
            requireNonNull(lean, "lean");
            requireNonNull(band, "band");
        }

        @Override
        public boolean harms() {
            return band.stopsTuning();
        }
    }

    /**
     * A card shows how the bridge stands.
     *
     * @param lean how it leans
     * @param gapMm the gap at its top, below 0 where it leans backwards
     * @param band what that means
     */
    record BridgeSeen(Lean lean, double gapMm, ThrustBand band) implements Consequence {
        /** Checks the parts. */
        public BridgeSeen {
            requireNonNull(lean, "lean");
            requireFinite("gapMm", gapMm);
            requireNonNull(band, "band");
        }
    }

    /** The bridge went over; every string is slack. */
    record BridgeFell() implements Consequence {
        @Override
        public boolean harms() {
            return true;
        }
    }

    /** The sound post fell; a repairer sets it. */
    record PostFell() implements Consequence {
        @Override
        public boolean harms() {
            return true;
        }
    }

    /** A peg that was treated fits. */
    record Cured(Position position) implements Consequence {
        /** Checks the parts. */
        public Cured {
            requireNonNull(position, "position");
        }
    }

    /** What was put on a peg does not cure it, or made it worse. */
    record NotCured(Position position) implements Consequence {
        /** Checks the parts. */
        public NotCured {
            requireNonNull(position, "position");
        }

        @Override
        public boolean harms() {
            return true;
        }
    }

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
        NOT_AT_THE_PEG,
        TOO_SHORT_TO_HANG,
        HANGS_ALREADY,
        THREADED_ALREADY,
        NO_TAPERED_PEG,
        BRIDGE_IS_DOWN,
        BRIDGE_STANDS,
        POST_IS_DOWN
    }
}
