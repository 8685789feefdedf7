package rosinedpeg.core.setup;

import static java.util.Objects.requireNonNull;

import java.util.List;
import java.util.Optional;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.strings.Position;

/** What open strings an instrument may have. */
public final class Tuning {

    /** How far a string may be tuned from its usual pitch, in semitones: the family's strings are made for no more. */
    public static final int MOST_SEMITONES_OFF = 7;

    private static final int FEWEST = 4;
    private static final int MOST = 5;

    private Tuning() {}

    /**
     * What is wrong with a tuning.
     *
     * @param family whose
     * @param openStrings its pitches, I first
     * @return the first thing that is wrong; empty when it may be
     */
    public static Optional<Fault> fault(Family family, List<Pitch> openStrings) {
        requireNonNull(family, "family");
        requireNonNull(openStrings, "openStrings");
        if (openStrings.size() < FEWEST || openStrings.size() > MOST) {
            return Optional.of(new Fault(Kind.NUMBER, Position.I));
        }
        for (int i = 1; i < openStrings.size(); i++) {
            if (openStrings.get(i).compareTo(openStrings.get(i - 1)) >= 0) {
                return Optional.of(new Fault(Kind.NOT_FALLING, Position.ofNumber(i + 1)));
            }
        }
        for (int i = 0; i < family.openStrings().size(); i++) {
            int off = openStrings.get(i).midi() - family.openStrings().get(i).midi();
            if (Math.abs(off) > MOST_SEMITONES_OFF) {
                return Optional.of(new Fault(Kind.FAR_FROM_USUAL, Position.ofNumber(i + 1)));
            }
        }
        return Optional.empty();
    }

    /** What can be wrong with a tuning. */
    public enum Kind {
        /** Neither four strings nor five. */
        NUMBER,
        /** A string that is not lower than the one before it. */
        NOT_FALLING,
        FAR_FROM_USUAL
    }

    /**
     * Something that is wrong.
     *
     * @param kind what
     * @param position at which string
     */
    public record Fault(Kind kind, Position position) {

        /** Checks the parts. */
        public Fault {
            requireNonNull(kind, "kind");
            requireNonNull(position, "position");
        }
    }
}
