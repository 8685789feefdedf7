package rosinedpeg.core.simulation;

import static java.util.Objects.requireNonNull;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * How a practice instrument is before anything is done to it.
 *
 * @param setUp the instrument; it is strung, at pitch, and its bridge leans as it was measured
 * @param strings a string for every position; what goes on anew is of the same kind
 * @param pegs how its pegs turn
 * @param graphited the strings whose grooves have graphite
 * @param coupling how much it gives
 * @param stuck how much of a string sticks in its bridge grooves
 * @param bands how much load its post wants
 * @param seed decides what luck decides in a workshop
 */
public record PracticeStart(
        SetUp setUp,
        Map<Position, StringSpec> strings,
        Map<Position, PegCondition> pegs,
        Set<Position> graphited,
        Coupling coupling,
        StuckShares stuck,
        LoadBands bands,
        long seed) {

    /**
     * Checks the parts and copies them.
     *
     * @throws IllegalArgumentException when a position has no string
     */
    public PracticeStart {
        requireNonNull(setUp, "setUp");
        requireNonNull(coupling, "coupling");
        requireNonNull(stuck, "stuck");
        requireNonNull(bands, "bands");
        strings = Position.inOrder(strings);
        if (!strings.keySet().containsAll(setUp.positions())) {
            throw new IllegalArgumentException(
                    "strings are at " + strings.keySet() + "; there must be one at each of " + setUp.positions());
        }
        Map<Position, PegCondition> every = new EnumMap<>(Position.class);
        setUp.positions().forEach(position -> every.put(position, PegCondition.FITS));
        every.putAll(pegs);
        pegs = Position.inOrder(every);
        graphited = Set.copyOf(graphited);
    }

    /** {@return a start with pegs that fit, dry grooves, and what is usual where nothing was seen} */
    public static PracticeStart usual(SetUp setUp, Map<Position, StringSpec> strings, long seed) {
        requireNonNull(setUp, "setUp");
        return new PracticeStart(
                setUp,
                strings,
                Map.of(),
                Set.of(),
                Coupling.usual(setUp.family()),
                StuckShares.USUAL,
                LoadBands.USUAL,
                seed);
    }

    /** {@return the same with pegs that turn so} */
    public PracticeStart with(Map<Position, PegCondition> pegConditions) {
        return new PracticeStart(setUp, strings, pegConditions, graphited, coupling, stuck, bands, seed);
    }

    /** {@return the same with other luck} */
    public PracticeStart withSeed(long otherSeed) {
        return new PracticeStart(setUp, strings, pegs, graphited, coupling, stuck, bands, otherSeed);
    }

    /** {@return the same with graphite in the grooves of some strings} */
    public PracticeStart graphited(Set<Position> positions) {
        return new PracticeStart(setUp, strings, pegs, positions, coupling, stuck, bands, seed);
    }
}
