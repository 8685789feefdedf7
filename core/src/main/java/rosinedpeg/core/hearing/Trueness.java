package rosinedpeg.core.hearing;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How true a string is on one day. By itself that says little, because pressing, the height over the board and the body all have their part in
 * it: it is judged against the string's own first reading.
 *
 * @param octave stopped against harmonic; empty where nobody has plucked them
 * @param ringing how its partials lie; empty where nobody has heard them
 */
public record Trueness(Optional<Octave> octave, Optional<Ringing> ringing) {

    /**
     * An octave that has moved by so much is heard as false: at 880 Hz it beats two and a half times a second. A default of our own.
     */
    public static final double FALSE_OCTAVE_CENTS = 5;
    /** Partials that lie off their line by so much more than at first are heard as false. A default of our own. */
    public static final double FALSE_SCATTER_CENTS = 3;

    private static final double SURE = 2;

    /**
     * Checks the parts.
     *
     * @throws IllegalArgumentException when neither is there
     */
    public Trueness {
        requireNonNull(octave, "octave");
        requireNonNull(ringing, "ringing");
        if (octave.isEmpty() && ringing.isEmpty()) {
            throw new IllegalArgumentException("a trueness wants an octave or how the string rang");
        }
    }

    /** What a string has become since its first reading, worst last. */
    public enum Verdict {
        /** As it was, as far as can be told. */
        TRUE,
        /** It may have become false; another reading will tell. */
        IN_DOUBT,
        FALSE
    }

    /**
     * How a figure has moved since the first reading.
     *
     * @param cents by how much
     * @param doubtCents how well that is known
     * @param verdict what that comes to
     */
    public record Moved(double cents, double doubtCents, Verdict verdict) {

        /** Checks the figures. */
        public Moved {
            requireFinite("cents", cents);
            requireFinite("doubtCents", doubtCents);
            requireNonNull(verdict, "verdict");
        }

        private static Moved by(double cents, double doubtCents, double limitCents) {
            boolean far = Math.abs(cents) >= limitCents;
            boolean sure = Math.abs(cents) >= SURE * doubtCents;
            return new Moved(cents, doubtCents, !far ? Verdict.TRUE : sure ? Verdict.FALSE : Verdict.IN_DOUBT);
        }
    }

    /**
     * What has become of a string.
     *
     * @param octave how its octave has moved; empty where one of the two readings has none
     * @param scatter by how much more its partials lie off their line; empty where one of the two readings knows nothing of them
     */
    public record Change(Optional<Moved> octave, Optional<Moved> scatter) {

        /** Checks the parts. */
        public Change {
            requireNonNull(octave, "octave");
            requireNonNull(scatter, "scatter");
        }

        /** {@return the worse of the two; empty where nothing can be compared} */
        public Optional<Verdict> verdict() {
            return octave.map(Moved::verdict)
                    .map(one -> scatter.map(Moved::verdict)
                            .filter(other -> other.compareTo(one) > 0)
                            .orElse(one))
                    .or(() -> scatter.map(Moved::verdict));
        }
    }

    /**
     * What has become of a string by each of its readings.
     *
     * @param readings in their order
     * @return for each of them what has moved since the first that had an octave, and the first that knew of partials; nothing in those
     */
    public static List<Change> sinceTheFirst(List<Trueness> readings) {
        List<Change> changes = new ArrayList<>();
        Optional<Octave> octave = Optional.empty();
        Optional<Ringing> ringing = Optional.empty();
        for (Trueness now : readings) {
            changes.add(
                    octave.isEmpty() && ringing.isEmpty()
                            ? new Change(Optional.empty(), Optional.empty())
                            : now.since(new Trueness(octave, ringing)));
            octave = octave.or(now::octave);
            ringing = ringing.or(now::ringing);
        }
        return List.copyOf(changes);
    }

    /** {@return what has become of it since its first reading} */
    public Change since(Trueness first) {
        requireNonNull(first, "first");
        Optional<Moved> moved = octave.flatMap(now -> first.octave()
                .map(then -> Moved.by(
                        now.cents() - then.cents(),
                        Math.hypot(now.doubtCents(), then.doubtCents()),
                        FALSE_OCTAVE_CENTS)));
        Optional<Moved> scattered = ringing.flatMap(now -> first.ringing().map(then -> {
            double more = now.scatterCents() - then.scatterCents();
            // Partials that have come nearer to their line are no fault.
            return Moved.by(Math.max(0, more), doubt(now, then), FALSE_SCATTER_CENTS);
        }));
        return new Change(moved, scattered);
    }

    /** A distance from a line through n points is known to about a part in √(2·(n − 2)) of itself. */
    private static double doubt(Ringing now, Ringing then) {
        return Math.hypot(
                now.scatterCents() / Math.sqrt(2.0 * (now.partials() - 2)),
                then.scatterCents() / Math.sqrt(2.0 * (then.partials() - 2)));
    }
}
