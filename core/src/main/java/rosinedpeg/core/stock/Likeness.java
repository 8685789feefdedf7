package rosinedpeg.core.stock;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Comparator;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * How far a string is from the one that was wanted. A core of the same material comes before everything, since it decides sound and
 * settling; then the nearest tension, then the nearest thickness.
 *
 * @param sameCore whether its core is of the same material
 * @param tensionShare how much tenser it is on the instrument, as a share of the wanted tension; below 0 for slacker
 * @param thicknessMm how much thicker it is, in mm; below 0 for thinner
 */
public record Likeness(boolean sameCore, double tensionShare, double thicknessMm) implements Comparable<Likeness> {

    private static final Comparator<Likeness> NEAREST_FIRST = Comparator.comparing((Likeness one) -> !one.sameCore)
            .thenComparing(one -> Math.abs(one.tensionShare))
            .thenComparing(one -> Math.abs(one.thicknessMm));

    /** Checks the figures. */
    public Likeness {
        requireFinite("tensionShare", tensionShare);
        requireFinite("thicknessMm", thicknessMm);
    }

    /**
     * Compares two strings for one place.
     *
     * @param setUp the instrument, whose length and pitch decide their tension
     * @param wanted the string that was wanted
     * @param other one for the same place
     * @return how far the other is from it
     * @throws IllegalArgumentException when they are for different places
     */
    public static Likeness of(SetUp setUp, StringSpec wanted, StringSpec other) {
        requireNonNull(setUp, "setUp");
        Position place = wanted.position();
        if (other.position() != place) {
            throw new IllegalArgumentException("other is for " + other.position() + ", wanted for " + place);
        }
        double wantedN = setUp.tensionN(wanted);
        return new Likeness(
                wanted.core() == other.core(),
                setUp.tensionN(other) / wantedN - 1,
                other.diameterMm() - wanted.diameterMm());
    }

    /** The nearer comes first. */
    @Override
    public int compareTo(Likeness other) {
        return NEAREST_FIRST.compare(this, other);
    }
}
