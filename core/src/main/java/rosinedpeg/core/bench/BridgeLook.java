package rosinedpeg.core.bench;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Map;
import java.util.Set;
import rosinedpeg.core.strings.Position;

/**
 * The bridge's gap was read, and this is how the instrument stood.
 *
 * @param step the index of the step it was read at
 * @param gapMm positive when the bridge leans towards the fingerboard
 * @param tensionsN tension of every string, in N
 * @param graphited the strings whose grooves had been given graphite in this run
 */
public record BridgeLook(int step, double gapMm, Map<Position, Double> tensionsN, Set<Position> graphited) {

    /** Copies the collections. */
    public BridgeLook {
        requireFinite("gapMm", gapMm);
        requireFinite("tensionsN", tensionsN);
        tensionsN = Map.copyOf(tensionsN);
        graphited = Set.copyOf(graphited);
    }
}
