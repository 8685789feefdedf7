package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchLedger;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.bench.Learned;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.StuckShare;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.rounds.NextRound;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/** Rounds of tuning at the bench: what to touch next, and what the readings teach. */
class NextRoundTest {

    private static final Instant AT = Instant.parse("2026-09-01T18:00:00Z");

    private static double cents(double tensionN, double targetN) {
        return Cents.betweenTensions(targetN, tensionN).value();
    }

    /** Follows the advice on an instrument that gives as it is told: it comes into tune in the rounds that were promised. */
    @Property(tries = 60)
    void theAdviceBringsTheInstrumentIntoTune(@ForAll Family family, @ForAll @IntRange(min = 5, max = 30) int give) {
        SetUp setUp = Examples.instrument(family);
        Map<Position, StringSpec> set = Examples.set(setUp);
        Coupling truth = new Coupling(give / 10_000.0);
        Map<Position, Double> nowN = new EnumMap<>(setUp.tensionsN(set));
        nowN.replaceAll((position, tensionN) -> tensionN * (0.8 + 0.04 * position.number()));
        int promised = NextRound.of(setUp, set, nowN, truth, null).orElseThrow().rounds();
        int touched = 0;
        for (var next = NextRound.of(setUp, set, nowN, truth, null);
                next.isPresent();
                next = NextRound.of(setUp, set, nowN, truth, null)) {
            Position position = next.get().next();
            double roseN = setUp.tensionN(set.get(position)) - nowN.get(position);
            Map<Position, Double> beforeN = Map.copyOf(nowN);
            nowN.put(position, setUp.tensionN(set.get(position)));
            for (Position other : set.keySet()) {
                if (other != position) {
                    double stiffness = setUp.elasticity(set.get(other)).stiffnessNPerMm();
                    nowN.merge(other, truth.changeN(roseN, stiffness), Double::sum);
                    double dropCents = cents(nowN.get(other), setUp.tensionN(set.get(other)))
                            - cents(beforeN.get(other), setUp.tensionN(set.get(other)));
                    assertThat(next.get().drops().get(other).value()).isCloseTo(dropCents, within(1e-6));
                }
            }
            touched++;
        }
        assertThat(touched).isLessThanOrEqualTo((promised + 1) * 4);
    }

    /** II is raised three times and the others read after it: the coupling comes out of the readings alone. */
    @Test
    void theCouplingIsLearnedFromTheReadingsOfARun() {
        SetUp setUp = Examples.VIOLIN;
        Map<Position, StringSpec> set = Examples.violinSet();
        Coupling truth = new Coupling(0.0023);
        Map<Position, Double> nowN = new EnumMap<>(setUp.tensionsN(set));
        nowN.put(Position.II, 20.0);
        List<BenchEvent> ledger = new ArrayList<>();
        set.keySet().forEach(position -> ledger.add(read(ledger, setUp, set, nowN, position)));
        for (double toN : new double[] {30, 42, 54}) {
            double roseN = toN - nowN.get(Position.II);
            nowN.put(Position.II, toN);
            set.keySet().stream()
                    .filter(other -> other != Position.II)
                    .forEach(other -> nowN.merge(
                            other,
                            truth.changeN(
                                    roseN, setUp.elasticity(set.get(other)).stiffnessNPerMm()),
                            Double::sum));
            ledger.add(read(ledger, setUp, set, nowN, Position.II));
            for (Position other : List.of(Position.I, Position.III, Position.IV)) {
                ledger.add(read(ledger, setUp, set, nowN, other));
            }
        }
        List<Coupling.Observation> seen = Learned.sinkings(setUp, set, ledger);
        assertThat(seen).hasSize(9);
        Evidence half = Coupling.add(Evidence.NONE, seen.subList(0, 4));
        Evidence all = Coupling.add(half, seen.subList(4, 9));
        assertThat(Coupling.learned(all).orElseThrow().mmPerN()).isCloseTo(0.0023, within(1e-6));
        assertThat(all.readings()).isEqualTo(9);
        assertThat(Coupling.learned(half).orElseThrow().mmPerN())
                .as("kept and added to")
                .isCloseTo(0.0023, within(1e-6));

        List<BenchEvent> interrupted = new ArrayList<>();
        for (BenchEvent event : ledger) {
            BenchEvent.PitchRead read = (BenchEvent.PitchRead) event;
            long sequence = interrupted.size() + 1L;
            interrupted.add(new BenchEvent.PitchRead(sequence, AT, read.position(), read.cents()));
            interrupted.add(new BenchEvent.StepDone(sequence + 1, AT, 1));
        }
        assertThat(Learned.sinkings(setUp, set, interrupted))
                .as("a step may let strings down, so nothing is taken across it")
                .isEmpty();
        assertThat(Learned.sinkings(setUp, set, List.of())).isEmpty();
        assertThat(Coupling.learned(Evidence.NONE)).isEmpty();
    }

    private static BenchEvent read(
            List<BenchEvent> ledger,
            SetUp setUp,
            Map<Position, StringSpec> set,
            Map<Position, Double> nowN,
            Position position) {
        return new BenchEvent.PitchRead(
                ledger.size() + 1, AT, position, cents(nowN.get(position), setUp.tensionN(set.get(position))));
    }

    /** The bridge leans as much as the truth wants it to; the run's gap readings find the truth again. */
    @ParameterizedTest
    @CsvSource({"true, 0.2", "false, 0.4"})
    void howMuchSticksIsLearnedFromTheGapReadings(boolean withGraphite, double truth) {
        ChangePlan plan = Examples.plan(Position.III);
        SetUp setUp = plan.setUp();
        double heightMm = setUp.value(Quantity.BRIDGE_HEIGHT);
        StringSpec raised = Examples.violinSet().get(Position.III);
        double allN = plan.tensionsAfterN().values().stream()
                .mapToDouble(Double::doubleValue)
                .sum();
        double leanDeg = Drag.ofRaising(setUp, raised, truth, allN).degrees();
        List<BenchEvent> ledger = new ArrayList<>();
        for (Step step : plan.steps()) {
            if (step.kind() == StepKind.GRAPHITE) {
                ledger.add(new BenchEvent.GapRead(ledger.size() + 1L, AT, 0));
            }
            if (step.kind() == StepKind.CHECK_BRIDGE) {
                double gapMm = heightMm * Math.tan(Math.toRadians(leanDeg));
                ledger.add(new BenchEvent.GapRead(ledger.size() + 1L, AT, gapMm));
            }
            boolean left = step.kind() == StepKind.GRAPHITE && !withGraphite;
            long sequence = ledger.size() + 1L;
            ledger.add(
                    left
                            ? new BenchEvent.StepSkipped(sequence, AT, step.index())
                            : new BenchEvent.StepDone(sequence, AT, step.index()));
            if (step.kind() == StepKind.CLOSE_UP_TURNS && !withGraphite) {
                ledger.add(new BenchEvent.StepSkipped(sequence + 1, AT, graphite(plan)));
            }
        }
        Learned.Leans leans = Learned.leans(BenchLedger.fold(plan, ledger), Examples.violinSet());
        List<StuckShare.Observation> seen = withGraphite ? leans.graphited() : leans.dry();
        assertThat(withGraphite ? leans.dry() : leans.graphited()).isEmpty();
        assertThat(seen).hasSize(1);
        StuckShare.Observation one = seen.get(0);
        assertThat(one.seenDegrees() / one.fullDrag().degrees()).isCloseTo(truth, within(0.01));
    }

    /** What else moved the bridge, or may have, teaches nothing of the grooves. */
    @ParameterizedTest
    @CsvSource({"UPRIGHT, 1", "LEANING_BEFORE, 0", "READ_BEFORE_IT_CAME_DOWN, 0", "EASED_BETWEEN, 0", "READ_ONCE, 0"})
    void onlyWhatTheStringDidItselfIsLearned(String what, int observations) {
        ChangePlan plan = Examples.plan(Position.III);
        List<BenchEvent> ledger = new ArrayList<>();
        for (BenchState state = BenchLedger.fold(plan, ledger); !state.over(); state = BenchLedger.fold(plan, ledger)) {
            Step now = state.now().orElseThrow();
            boolean first = ledger.stream().noneMatch(BenchEvent.GapRead.class::isInstance);
            StepKind readAt =
                    what.equals("READ_BEFORE_IT_CAME_DOWN") ? StepKind.TUNE_AND_STRAIGHTEN : StepKind.GRAPHITE;
            if (now.kind() == readAt && first && !what.equals("READ_ONCE")) {
                ledger.add(new BenchEvent.GapRead(ledger.size() + 1L, AT, what.equals("LEANING_BEFORE") ? 1.2 : 0.1));
            }
            if (now.kind() == StepKind.BRING_UP
                    && what.equals("EASED_BETWEEN")
                    && state.mishaps().isEmpty()) {
                ledger.add(new BenchEvent.WentWrong(
                        ledger.size() + 1L, AT, Mishap.of(Mishap.Kind.BRIDGE_LEANING, null), Optional.empty()));
                continue;
            }
            if (now.kind() == StepKind.CHECK_BRIDGE && now.position() == Position.III) {
                ledger.add(new BenchEvent.GapRead(ledger.size() + 1L, AT, 0.2));
            }
            ledger.add(new BenchEvent.StepDone(ledger.size() + 1L, AT, now.index()));
        }
        Learned.Leans leans = Learned.leans(BenchLedger.fold(plan, ledger), Examples.violinSet());
        assertThat(leans.graphited()).hasSize(observations);
        assertThat(leans.dry()).isEmpty();
        assertThat(StuckShares.learned(
                                StuckShare.add(Evidence.NONE, leans.dry()),
                                StuckShare.add(Evidence.NONE, leans.graphited()))
                        .graphited()
                        .origin())
                .isEqualTo(observations == 0 ? Origin.DEFAULT : Origin.LEARNED);
    }

    private static int graphite(ChangePlan plan) {
        return plan.steps().stream()
                .filter(step -> step.kind() == StepKind.GRAPHITE)
                .findFirst()
                .orElseThrow()
                .index();
    }
}
