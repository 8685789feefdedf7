package rosinedpeg.core.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * What the readings at the bench tell about an instrument: how much it gives when a string is raised.
 *
 * <p>A string that is read lower than before, while others were raised and nobody touched it, has sunk with them. A string
 * that is read higher was raised. Everything between two readings of a string counts together.
 */
public final class Learned {

    /** Less of a rise says nothing over the error of a reading. */
    private static final double LEAST_RISE_N = 2;

    private final SetUp setUp;
    private final Map<Position, StringSpec> strings;
    private final Map<Position, Double> lastN = new EnumMap<>(Position.class);
    private final Map<Position, Double> othersRoseN = new EnumMap<>(Position.class);
    private final List<Coupling.Observation> seen = new ArrayList<>();

    private Learned(SetUp setUp, Map<Position, StringSpec> strings) {
        this.setUp = setUp;
        this.strings = strings;
    }

    /**
     * How strings sank while others were raised.
     *
     * @param setUp the instrument
     * @param strings the strings that are being tuned
     * @param events the ledger of a run, in any order
     * @return every sinking that says something
     */
    public static List<Coupling.Observation> sinkings(
            SetUp setUp, Map<Position, StringSpec> strings, Collection<? extends BenchEvent> events) {
        Learned learned = new Learned(setUp, strings);
        TreeMap<Long, BenchEvent> ledger = new TreeMap<>();
        events.forEach(event -> ledger.putIfAbsent(event.sequence(), event));
        ledger.values().forEach(event -> {
            if (event instanceof BenchEvent.PitchRead read && strings.containsKey(read.position())) {
                learned.read(read.position(), read.cents());
            } else if (event instanceof BenchEvent.StepDone || event instanceof BenchEvent.WentWrong) {
                // A step may let strings down or change them: what was read before it does not count any more.
                learned.forget();
            }
        });
        return learned.seen;
    }

    private void read(Position position, double cents) {
        double nowN = setUp.tensionN(strings.get(position)) * new Cents(cents).toTensionFraction();
        Double beforeN = lastN.get(position);
        double roseN = othersRoseN.getOrDefault(position, 0.0);
        if (beforeN != null && nowN <= beforeN && roseN >= LEAST_RISE_N) {
            seen.add(new Coupling.Observation(
                    roseN, setUp.elasticity(strings.get(position)).stiffnessNPerMm(), beforeN - nowN));
        }
        if (beforeN != null && nowN > beforeN) {
            for (Position other : strings.keySet()) {
                if (other != position) {
                    othersRoseN.merge(other, nowN - beforeN, Double::sum);
                }
            }
        }
        lastN.put(position, nowN);
        othersRoseN.remove(position);
    }

    private void forget() {
        lastN.clear();
        othersRoseN.clear();
    }
}
