package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import java.util.EnumMap;
import java.util.Map;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * What is to be changed, and how.
 *
 * @param setUp the instrument
 * @param present the strings on it, one for every position
 * @param replacements the new strings, at least one
 * @param setAsides for a string to change, the neighbour that has to make way for it
 * @param pegs how pegs behave; a peg that is not named fits
 * @param schools the choices of the work
 * @param bands where the bands of the post's load lie on this instrument
 */
public record ChangeRequest(
        SetUp setUp,
        Map<Position, StringSpec> present,
        Map<Position, StringSpec> replacements,
        Map<Position, Position> setAsides,
        Map<Position, PegCondition> pegs,
        Schools schools,
        LoadBands bands) {

    /**
     * Checks that the parts go together.
     *
     * @throws IllegalArgumentException when a position has no string, nothing is to be replaced, or a string is to be
     *     set aside that is not a neighbour or is itself to come off together
     */
    public ChangeRequest {
        requireNonNull(setUp, "setUp");
        requireNonNull(schools, "schools");
        requireNonNull(bands, "bands");
        present = Map.copyOf(present);
        replacements = Map.copyOf(replacements);
        setAsides = Map.copyOf(setAsides);
        pegs = Map.copyOf(pegs);
        if (!present.keySet().containsAll(setUp.positions())) {
            throw new IllegalArgumentException("present has strings at " + present.keySet()
                    + "; it must have one at each of " + setUp.positions());
        }
        if (replacements.isEmpty() || !setUp.positions().containsAll(replacements.keySet())) {
            throw new IllegalArgumentException("replacements are for " + replacements.keySet()
                    + "; they must be for at least one of " + setUp.positions());
        }
        setAsides.forEach((position, neighbour) -> {
            if (!position.isNeighbourOf(neighbour)) {
                throw new IllegalArgumentException("setAsides has " + neighbour + " making way for " + position
                        + "; it must be the string next to it");
            }
        });
    }

    /** {@return how the peg of that string behaves} */
    public PegCondition peg(Position position) {
        return pegs.getOrDefault(position, PegCondition.FITS);
    }

    /** {@return the same request by other schools} */
    public ChangeRequest by(Schools other) {
        return new ChangeRequest(setUp, present, replacements, setAsides, pegs, other, bands);
    }

    /** {@return every string once the change is done} */
    public Map<Position, StringSpec> afterwards() {
        Map<Position, StringSpec> afterwards = new EnumMap<>(present);
        afterwards.putAll(replacements);
        return afterwards;
    }
}
