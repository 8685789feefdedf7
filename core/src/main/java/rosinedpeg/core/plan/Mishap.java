package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;

/**
 * Something that goes wrong in the middle of the work.
 *
 * @param kind what
 * @param position with which string; none where it concerns the whole instrument
 * @param place where the string broke; none for everything else
 */
public record Mishap(
        Kind kind, @Nullable Position position, @Nullable BreakPlace place) {

    /**
     * Checks that the parts go together.
     *
     * @throws IllegalArgumentException when a string or the place of a break is missing
     */
    public Mishap {
        requireNonNull(kind, "kind");
        position = kind.ofString() ? position : null;
        place = kind == Kind.STRING_BROKE ? place : null;
        if (kind.ofString() && position == null) {
            throw new IllegalArgumentException("position is missing; " + kind + " must name a string");
        }
        if (kind == Kind.STRING_BROKE && place == null) {
            throw new IllegalArgumentException("place is missing; a broken string must have broken somewhere");
        }
    }

    /** {@return something that went wrong with a string} */
    public static Mishap of(Kind kind, @Nullable Position position) {
        return new Mishap(kind, position, null);
    }

    /** {@return the string it concerns} */
    public Optional<Position> string() {
        return Optional.ofNullable(position);
    }

    /** What can go wrong. */
    public enum Kind {
        STRING_BROKE(true),
        /** The tip slipped out of its hole. */
        TIP_PULLED_OUT(true),
        TURNS_CROSSED(true),
        PEG_SLIPS(true),
        /** Forcing it cracks pegboxes. */
        PEG_STUCK(true),
        /** Its top leans towards the fingerboard, where tuning pulls it. */
        BRIDGE_LEANING(false),
        /** Its top leans towards the tailpiece. */
        BRIDGE_LEANING_BACKWARDS(false),
        /** It has moved on the top. */
        BRIDGE_WALKED(false),
        BRIDGE_DOWN(false),
        /** A rattle, or nothing to be seen through the treble sound hole. */
        POST_RATTLES(false),
        GROOVE_SNAGS(true),
        WRONG_STRING(true),
        BALL_JAMMED(true),
        TUNER_AT_ITS_END(true),
        CUT_FINGER(false),
        MUST_STOP(false);

        private final boolean ofString;

        Kind(boolean ofString) {
            this.ofString = ofString;
        }

        /** {@return what can go wrong with such an instrument, with some string of it or with the whole} */
        public static List<Kind> of(SetUp setUp) {
            return Arrays.stream(values())
                    .filter(kind -> !kind.ofString()
                            || setUp.positions().stream().anyMatch(position -> kind.happensTo(setUp, position)))
                    .toList();
        }

        /**
         * Whether it can go wrong with one string: a fine tuner that it does not have is never at its end, and only a
         * ball under the arm of one can jam.
         *
         * @param setUp the instrument
         * @param position one of its strings
         * @return whether it can; never for what concerns the whole instrument
         * @throws IllegalArgumentException when the instrument has no such string
         */
        public boolean happensTo(SetUp setUp, Position position) {
            TailEnd hungOn = position.in(setUp.tailEnds());
            return switch (this) {
                case TUNER_AT_ITS_END -> hungOn.hasFineTuner();
                case BALL_JAMMED -> hungOn == TailEnd.FORK_TUNER;
                default -> ofString;
            };
        }

        /** {@return whether it happens to one string} */
        public boolean ofString() {
            return ofString;
        }
    }
}
