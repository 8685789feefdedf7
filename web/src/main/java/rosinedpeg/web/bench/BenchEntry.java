package rosinedpeg.web.bench;

import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.strings.Position;

/** Something to be added to a ledger, before it has its number and its time. */
public sealed interface BenchEntry {

    /** {@return the event, if it can still be} */
    @Nullable
    BenchEvent event(long sequence, Instant at, BenchState state);

    /** {@return whether it only counts on the page it was made on; readings and notes always count} */
    default boolean movesTheRun() {
        return true;
    }

    /** The step in hand is done. */
    record Done(int step) implements BenchEntry {
        @Override
        public @Nullable BenchEvent event(long sequence, Instant at, BenchState state) {
            return state.mayBeDone(step) ? new BenchEvent.StepDone(sequence, at, step) : null;
        }
    }

    /** The step in hand is left out for now. */
    record Skip(int step) implements BenchEntry {
        @Override
        public @Nullable BenchEvent event(long sequence, Instant at, BenchState state) {
            return state.mayBeSkipped(step) ? new BenchEvent.StepSkipped(sequence, at, step) : null;
        }
    }

    /** The last step is taken back. */
    record Back() implements BenchEntry {
        @Override
        public @Nullable BenchEvent event(long sequence, Instant at, BenchState state) {
            return state.canGoBackTo().isPresent()
                    ? new BenchEvent.Undone(sequence, at, state.canGoBackTo().getAsLong())
                    : null;
        }
    }

    /** A pitch was read. */
    record Pitch(Position position, double cents) implements BenchEntry {
        @Override
        public @Nullable BenchEvent event(long sequence, Instant at, BenchState state) {
            return state.canSound(position) ? new BenchEvent.PitchRead(sequence, at, position, cents) : null;
        }

        @Override
        public boolean movesTheRun() {
            return false;
        }
    }

    /** The latest pitch of a string is taken back; the one before it stands again. */
    record PitchBack(Position position) implements BenchEntry {
        @Override
        public @Nullable BenchEvent event(long sequence, Instant at, BenchState state) {
            Long read = state.pitchSequences().get(position);
            return read == null ? null : new BenchEvent.Undone(sequence, at, read);
        }

        @Override
        public boolean movesTheRun() {
            return false;
        }
    }

    /** The gap behind the bridge was read. */
    record Gap(double gapMm) implements BenchEntry {
        @Override
        public BenchEvent event(long sequence, Instant at, BenchState state) {
            return new BenchEvent.GapRead(sequence, at, gapMm);
        }

        @Override
        public boolean movesTheRun() {
            return false;
        }
    }

    /** Something was noticed. */
    record Note(String text) implements BenchEntry {
        @Override
        public BenchEvent event(long sequence, Instant at, BenchState state) {
            return new BenchEvent.Noted(sequence, at, text);
        }

        @Override
        public boolean movesTheRun() {
            return false;
        }
    }

    /** Something went wrong. */
    record Wrong(Mishap mishap) implements BenchEntry {
        @Override
        public @Nullable BenchEvent event(long sequence, Instant at, BenchState state) {
            return mishap.string()
                            .filter(string -> !state.tensionsN().containsKey(string))
                            .isPresent()
                    ? null
                    : new BenchEvent.WentWrong(sequence, at, mishap, Optional.of(state.told(mishap)));
        }
    }

    /** The run ends here. */
    record End() implements BenchEntry {
        @Override
        public @Nullable BenchEvent event(long sequence, Instant at, BenchState state) {
            return state.allStringsOn() ? new BenchEvent.Ended(sequence, at) : null;
        }
    }
}
