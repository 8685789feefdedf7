package rosinedpeg.core.bench;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.StuckShare;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.bridge.ThrustBand;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * What the readings at the bench tell about an instrument: how much it gives when a string is raised, and how much of
 * a string sticks in its bridge groove.
 *
 * <p>A string that is read lower than before, while others were raised and nobody touched it, has sunk with them. A string
 * that is read higher was raised. Everything between two readings of a string counts together.
 */
public final class Learned {

    /** Less of a rise says nothing over the error of a reading. */
    private static final double LEAST_RISE_N = 2;

    /** What a string may lose while others are raised, without having been let down. */
    private static final double SINKING_N = 5;
    /** Less of a drag says nothing over the error of a gap reading. */
    private static final double LEAST_DRAG_DEG = 0.1;

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
        requireNonNull(setUp, "setUp");
        requireNonNull(strings, "strings");
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

    /**
     * How the bridge leaned while strings were raised: between two readings of its gap, the earlier of which found it
     * upright, when no string was let down and nobody moved the bridge on purpose.
     *
     * @param state the run
     * @param strings the strings that were raised
     * @return every lean that says something of grooves of one kind
     */
    public static Leans leans(BenchState state, Map<Position, StringSpec> strings) {
        requireNonNull(strings, "strings");
        Leans leans = new Leans(new ArrayList<>(), new ArrayList<>());
        SetUp setUp = state.plan().setUp();
        for (int i = 1; i < state.looks().size(); i++) {
            BridgeLook before = state.looks().get(i - 1);
            BridgeLook after = state.looks().get(i);
            Lean stood = lean(setUp, before);
            boolean moved = state.plan().steps().stream()
                    .limit(after.step())
                    .skip(before.step() + 1L)
                    .anyMatch(step -> step.kind().movesBridge());
            if (Thrust.of(setUp, stood).band() == ThrustBand.UPRIGHT && !moved) {
                observe(setUp, strings, before, after, lean(setUp, after).degrees() - stood.degrees(), leans);
            }
        }
        return leans;
    }

    private static Lean lean(SetUp setUp, BridgeLook look) {
        return Lean.fromGap(look.gapMm(), setUp.value(Quantity.BRIDGE_HEIGHT));
    }

    private static void observe(
            SetUp setUp,
            Map<Position, StringSpec> strings,
            BridgeLook before,
            BridgeLook after,
            double seenDegrees,
            Leans leans) {
        double allN = after.tensionsN().values().stream()
                .mapToDouble(Double::doubleValue)
                .sum();
        double fullDegrees = 0;
        Set<Boolean> graphited = new HashSet<>();
        for (Map.Entry<Position, Double> at : after.tensionsN().entrySet()) {
            double riseN = at.getValue() - before.tensionsN().getOrDefault(at.getKey(), 0.0);
            StringSpec string = strings.get(at.getKey());
            if (string == null || riseN < -SINKING_N) {
                return;
            }
            if (riseN > SINKING_N) {
                graphited.add(after.graphited().contains(at.getKey()));
                fullDegrees += Drag.lean(
                                riseN,
                                string.axialStiffnessN(),
                                setUp.value(Quantity.AFTERLENGTH),
                                1,
                                at.getValue() / allN,
                                setUp.value(Quantity.BRIDGE_HEIGHT))
                        .degrees();
            }
        }
        if (fullDegrees >= LEAST_DRAG_DEG && graphited.size() == 1) {
            (graphited.contains(true) ? leans.graphited() : leans.dry())
                    .add(new StuckShare.Observation(new Lean(fullDegrees), seenDegrees));
        }
    }

    /**
     * What was seen of the grooves.
     *
     * @param dry with strings in dry grooves
     * @param graphited with strings in grooves that were given graphite
     */
    public record Leans(List<StuckShare.Observation> dry, List<StuckShare.Observation> graphited) {
        /** Checks the parts. */
        public Leans {
            requireNonNull(dry, "dry");
            requireNonNull(graphited, "graphited");
        }
    }

    private void read(Position position, double cents) {
        double nowN = setUp.tensionN(position.in(strings)) * new Cents(cents).toTensionFraction();
        Double beforeN = lastN.get(position);
        double roseN = othersRoseN.getOrDefault(position, 0.0);
        if (beforeN != null && nowN <= beforeN && roseN >= LEAST_RISE_N) {
            seen.add(new Coupling.Observation(
                    roseN, setUp.elasticity(position.in(strings)).stiffnessNPerMm(), beforeN - nowN));
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
