package rosinedpeg.core.bench;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.time.Instant;
import java.util.Optional;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.plan.Amendment;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.strings.Position;

/** Something that happened at the bench. Events are only ever added; taking one back is an event too. */
public sealed interface BenchEvent {

    /** What a pitch reading may be: an octave down, where a string is still slack, to a whole tone up. */
    Range PITCH_READING = new Range(-1200, 200, Unit.CENT);

    /** {@return its place in the ledger, from 1; an event with a number that is already there is a repeat} */
    long sequence();

    /** {@return when it was recorded} */
    Instant at();

    /**
     * A step was done.
     *
     * @param step its index in the plan
     */
    record StepDone(long sequence, Instant at, int step) implements BenchEvent {
        /** Checks the parts. */
        public StepDone {
            requireNonNull(at, "at");
        }
    }

    /**
     * A step was left out for now; it is owed.
     *
     * @param step its index in the plan
     */
    record StepSkipped(long sequence, Instant at, int step) implements BenchEvent {
        /** Checks the parts. */
        public StepSkipped {
            requireNonNull(at, "at");
        }
    }

    /**
     * A string was plucked and its pitch read.
     *
     * @param position the string
     * @param cents from its pitch, −1200 to 200
     */
    record PitchRead(long sequence, Instant at, Position position, double cents) implements BenchEvent {

        /**
         * Checks the reading.
         *
         * @throws rosinedpeg.core.figure.OutOfRangeException outside −1200 to 200 cents
         */
        public PitchRead {
            requireNonNull(at, "at");
            requireNonNull(position, "position");
            PITCH_READING.require("cents", cents);
        }
    }

    /**
     * The gap between a card's right angle and the top of the bridge was read.
     *
     * @param gapMm positive when the bridge leans towards the fingerboard
     */
    record GapRead(long sequence, Instant at, double gapMm) implements BenchEvent {
        /** Checks the parts. */
        public GapRead {
            requireNonNull(at, "at");
            requireFinite("gapMm", gapMm);
        }
    }

    /**
     * Something was noticed.
     *
     * @param text in the user's words
     */
    record Noted(long sequence, Instant at, String text) implements BenchEvent {
        /** Checks the parts. */
        public Noted {
            requireNonNull(at, "at");
            requireNonNull(text, "text");
        }
    }

    /**
     * An earlier event was taken back.
     *
     * @param undone the number of that event
     */
    record Undone(long sequence, Instant at, long undone) implements BenchEvent {
        /** Checks the parts. */
        public Undone {
            requireNonNull(at, "at");
        }
    }

    /**
     * Something went wrong; what has to be done about it goes into the plan before the step in hand.
     *
     * @param mishap what
     * @param told what was put into the plan then; empty where it was not kept, and is worked out anew
     */
    record WentWrong(long sequence, Instant at, Mishap mishap, Optional<Amendment> told) implements BenchEvent {
        /** Checks the parts. */
        public WentWrong {
            requireNonNull(at, "at");
            requireNonNull(mishap, "mishap");
            requireNonNull(told, "told");
        }
    }

    /** The run was ended before its last step. */
    record Ended(long sequence, Instant at) implements BenchEvent {
        /** Checks the parts. */
        public Ended {
            requireNonNull(at, "at");
        }
    }
}
