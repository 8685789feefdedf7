package rosinedpeg.core.simulation;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.Lock;

/** What a person can do to a practice instrument. */
public sealed interface Action {

    /** How far a peg can be turned in one action. */
    Range TURN = new Range(-1080, 1080, Unit.DEGREE);
    /** How much of its tip can be left standing out. */
    Range TIP = new Range(0, 60, Unit.MILLIMETRE);
    /** How far a bridge can be eased in one action. */
    Range EASE = new Range(-3, 3, Unit.DEGREE);

    /**
     * Turns a peg and keeps hold of it.
     *
     * @param position whose peg
     * @param degrees of the shaft, positive to tighten, −1080 to 1080°
     * @param pushing whether it is pushed into its hole while it is turned
     * @param guiding whether the other hand holds the string, so that its turns lie side by side
     */
    record TurnPeg(Position position, double degrees, boolean pushing, boolean guiding) implements Action {

        /**
         * Checks the angle.
         *
         * @throws rosinedpeg.core.figure.OutOfRangeException outside −1080 to 1080°
         */
        public TurnPeg {
            requireNonNull(position, "position");
            TURN.require("degrees", degrees);
        }
    }

    /** Pushes a peg into its hole. */
    record Push(Position position) implements Action {
        /** Checks the parts. */
        public Push {
            requireNonNull(position, "position");
        }
    }

    /** Takes the hand off a peg. */
    record LetGo(Position position) implements Action {
        /** Checks the parts. */
        public LetGo {
            requireNonNull(position, "position");
        }
    }

    /** Lifts a string out of its nut groove and lays it beside; it has to be let down that far. */
    record SetAside(Position position) implements Action {
        /** Checks the parts. */
        public SetAside {
            requireNonNull(position, "position");
        }
    }

    /** Lays a string into its grooves at nut and bridge. */
    record LayBack(Position position) implements Action {
        /** Checks the parts. */
        public LayBack {
            requireNonNull(position, "position");
        }
    }

    /**
     * Takes a string off.
     *
     * @param position the string
     * @param clothUnderBall whether a finger or cloth is between its ball and the varnish
     */
    record TakeOff(Position position, boolean clothUnderBall) implements Action {
        /** Checks the parts. */
        public TakeOff {
            requireNonNull(position, "position");
        }
    }

    /** Hangs the tail end of a new string. */
    record Hang(Position position) implements Action {
        /** Checks the parts. */
        public Hang {
            requireNonNull(position, "position");
        }
    }

    /**
     * Puts the tip of a new string through its hole and locks it.
     *
     * @param position the string
     * @param lock how it is locked
     * @param tipMm what stands out beyond the hole, 0 to 60 mm
     */
    record Thread(Position position, Lock lock, double tipMm) implements Action {

        /**
         * Checks the parts.
         *
         * @throws rosinedpeg.core.figure.OutOfRangeException when the tip is outside its range
         */
        public Thread {
            requireNonNull(position, "position");
            requireNonNull(lock, "lock");
            TIP.require("tipMm", tipMm);
        }
    }

    /** Treats a peg that is drawn out of its holes; its string has to be off. */
    record TreatPeg(Position position, PegTreatment treatment) implements Action {
        /** Checks the parts. */
        public TreatPeg {
            requireNonNull(position, "position");
            requireNonNull(treatment, "treatment");
        }
    }

    /** Rubs graphite into both grooves of a string; it has to be out of them. */
    record RubGraphite(Position position) implements Action {
        /** Checks the parts. */
        public RubGraphite {
            requireNonNull(position, "position");
        }
    }

    /** Holds a card's right angle beside the bridge. */
    record HoldCard() implements Action {}

    /**
     * Eases the top of the bridge.
     *
     * @param degrees positive towards the tailpiece, −3 to 3°
     */
    record EaseBridge(double degrees) implements Action {

        /**
         * Checks the angle.
         *
         * @throws rosinedpeg.core.figure.OutOfRangeException outside −3 to 3°
         */
        public EaseBridge {
            EASE.require("degrees", degrees);
        }
    }

    /** Stands a fallen bridge up again under slack strings. */
    record StandBridge() implements Action {}

    /** Plucks a string and listens. */
    record Pluck(Position position) implements Action {
        /** Checks the parts. */
        public Pluck {
            requireNonNull(position, "position");
        }
    }
}
