package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static rosinedpeg.core.strings.Position.II;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchLedger;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Particulars;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;

class BenchLedgerTest {

    private static final Instant AT = Instant.parse("2026-09-01T18:00:00Z");
    private static final ChangePlan PLAN = Examples.plan(II);

    private static int indexOf(StepKind kind) {
        return PLAN.steps().stream()
                .filter(step -> step.kind() == kind)
                .findFirst()
                .orElseThrow()
                .index();
    }

    /** A ledger that has every step done before the given one. */
    private static List<BenchEvent> upTo(StepKind kind) {
        List<BenchEvent> ledger = new ArrayList<>();
        for (int step = 0; step < indexOf(kind); step++) {
            ledger.add(new BenchEvent.StepDone(step + 1, AT, step));
        }
        return ledger;
    }

    private static StepKind now(List<BenchEvent> ledger) {
        return BenchLedger.fold(PLAN, ledger).now().map(Step::kind).orElse(null);
    }

    @Test
    void finishesWhenEveryStepIsDone() {
        List<BenchEvent> ledger = upTo(StepKind.RECORD);
        assertThat(BenchLedger.fold(PLAN, ledger).over()).isFalse();
        ledger.add(new BenchEvent.StepDone(99, AT, indexOf(StepKind.RECORD)));
        BenchState state = BenchLedger.fold(PLAN, ledger);
        assertThat(state.finished()).isTrue();
        assertThat(state.changed()).containsExactly(II);
        assertThat(state.shares().treble()).isCloseTo(1, within(1e-9));
        assertThat(state.thinnest()).isCloseTo(0.71, within(0.01));
    }

    @Test
    void asksForSkippedGraphiteOnceMoreBeforeTension() {
        List<BenchEvent> ledger = upTo(StepKind.GRAPHITE);
        int graphite = indexOf(StepKind.GRAPHITE);
        ledger.add(new BenchEvent.StepSkipped(100, AT, graphite));
        for (int step = graphite + 1; step < indexOf(StepKind.BRING_UP); step++) {
            ledger.add(new BenchEvent.StepDone(100 + step, AT, step));
        }
        assertThat(now(ledger)).isEqualTo(StepKind.GRAPHITE);
        ledger.add(new BenchEvent.StepDone(150, AT, indexOf(StepKind.BRING_UP)));
        assertThat(now(ledger)).as("tension is not raised past it").isEqualTo(StepKind.GRAPHITE);

        List<BenchEvent> made = new ArrayList<>(ledger);
        made.add(new BenchEvent.StepDone(200, AT, graphite));
        assertThat(now(made)).isEqualTo(StepKind.BRING_UP);
        assertThat(BenchLedger.fold(PLAN, made).owed()).isEmpty();

        ledger.add(new BenchEvent.StepSkipped(200, AT, graphite));
        assertThat(now(ledger)).isEqualTo(StepKind.BRING_UP);
        assertThat(BenchLedger.fold(PLAN, ledger).owed()).containsExactly(graphite);
    }

    @Test
    void aStringBeingBroughtUpCarriesWhatItsPitchSays() {
        List<BenchEvent> ledger = upTo(StepKind.BRING_UP);
        double slack = BenchLedger.fold(PLAN, ledger).shares().treble();
        ledger.add(new BenchEvent.PitchRead(100, AT, II, -600));
        BenchState half = BenchLedger.fold(PLAN, ledger);
        assertThat(half.tensionsN().get(II)).isCloseTo(PLAN.tensionsAfterN().get(II) / 2, within(1e-9));
        assertThat(half.shares().treble()).isCloseTo((slack + 1) / 2, within(1e-9));
    }

    /** Before it is let down, a reading says what the old string carries; while it is off, none counts. */
    @Test
    void aReadingCountsForTheStringThatIsThere() {
        Map<Position, StringSpec> lighter = Map.of(II, Examples.violinString(II, StringCore.SYNTHETIC, 40, 0.6, 1200));
        ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(Examples.VIOLIN, Examples.violinSet(), lighter));
        List<BenchEvent> ledger = new ArrayList<>();
        ledger.add(new BenchEvent.PitchRead(1, AT, II, -100));
        double old = plan.tensionsBeforeN().get(II);
        assertThat(BenchLedger.fold(plan, ledger).tensionsN().get(II))
                .isCloseTo(old * Math.pow(2, -100 / 600.0), within(1e-9));
        for (int step = 0; step < indexOf(StepKind.TREAT_PEG); step++) {
            ledger.add(new BenchEvent.StepDone(step + 2, AT, step));
        }
        ledger.add(new BenchEvent.PitchRead(100, AT, II, -100));
        assertThat(BenchLedger.fold(plan, ledger).tensionsN().get(II)).isZero();
        assertThat(BenchLedger.fold(plan, ledger).pitchCents()).doesNotContainKey(II);
        for (int step = indexOf(StepKind.TREAT_PEG); step <= indexOf(StepKind.BRING_UP); step++) {
            ledger.add(new BenchEvent.StepDone(200 + step, AT, step));
        }
        double fresh = plan.tensionsAfterN().get(II);
        assertThat(BenchLedger.fold(plan, ledger).tensionsN().get(II)).isEqualTo(fresh);
        ledger.add(new BenchEvent.PitchRead(300, AT, II, -60));
        assertThat(BenchLedger.fold(plan, ledger).tensionsN().get(II))
                .isCloseTo(fresh * Math.pow(2, -60 / 600.0), within(1e-9));
    }

    @Test
    void roundsFromSlackCarryWhatTheyAreRaisedTo() {
        ChangePlan plan =
                new RepairPlanner(Examples.VIOLIN, Examples.violinSet(), Schools.USUAL, Particulars.USUAL).bridgeDown();
        List<BenchEvent> ledger = new ArrayList<>();
        assertThat(BenchLedger.fold(plan, ledger).shares().treble())
                .as("the bridge is down")
                .isZero();
        for (Step step : plan.steps()) {
            if (step.kind() == StepKind.RAISE_ALL
                    && step.figures().get(StepFigure.TENSION_SHARE).value() == 0.6) {
                ledger.add(new BenchEvent.PitchRead(2L * step.index(), AT, II, -900));
                assertThat(BenchLedger.fold(plan, ledger).tensionsN().get(II))
                        .isCloseTo(plan.tensionsAfterN().get(II) * Math.pow(2, -900 / 600.0), within(1e-9));
            }
            ledger.add(new BenchEvent.StepDone(2L * step.index() + 1, AT, step.index()));
            assertThat(BenchLedger.fold(plan, ledger).shares().treble())
                    .isCloseTo(step.sharesAfter().treble(), within(1e-9));
        }
    }

    @Test
    void raisesNothingWhileTheBridgeLeansTooFar() {
        List<BenchEvent> ledger = upTo(StepKind.BRING_UP);
        int bringUp = indexOf(StepKind.BRING_UP);
        ledger.add(new BenchEvent.GapRead(100, AT, 2.2));
        ledger.add(new BenchEvent.StepDone(101, AT, bringUp));
        assertThat(BenchLedger.fold(PLAN, ledger).heldByBridge()).isTrue();
        assertThat(now(ledger)).isEqualTo(StepKind.BRING_UP);
        ledger.add(new BenchEvent.GapRead(102, AT, 0.3));
        ledger.add(new BenchEvent.StepDone(103, AT, bringUp));
        assertThat(now(ledger)).isEqualTo(StepKind.CHECK_BRIDGE);
    }

    @Test
    void straightensABridgeThatLeanedBeforeTheRun() {
        SetUp leaning = Examples.VIOLIN.measured(Map.of(Measurable.of(Quantity.BRIDGE_GAP), 2.2));
        Map<Position, StringSpec> set = Examples.violinSet();
        ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(leaning, set, Map.of(II, set.get(II))));
        List<BenchEvent> ledger = new ArrayList<>();
        for (int press = 1; press <= 5; press++) {
            BenchState state = BenchLedger.fold(plan, ledger);
            ledger.add(new BenchEvent.StepDone(press, AT, state.reached()));
        }
        BenchState held = BenchLedger.fold(plan, ledger);
        assertThat(held.now().orElseThrow().kind()).isEqualTo(StepKind.TUNE_AND_STRAIGHTEN);
        assertThat(held.heldByBridge()).isTrue();
        assertThat(held.thrust()).as("nothing was read in this run").isEmpty();
        ledger.add(new BenchEvent.GapRead(6, AT, 0.3));
        ledger.add(new BenchEvent.StepDone(7, AT, held.reached()));
        assertThat(BenchLedger.fold(plan, ledger).reached()).isEqualTo(held.reached() + 1);
    }

    @Test
    void goesBackAStepAndKeepsTheReadings() {
        List<BenchEvent> ledger = upTo(StepKind.CHECK_BRIDGE);
        ledger.add(new BenchEvent.PitchRead(100, AT, II, -12));
        BenchState before = BenchLedger.fold(PLAN, ledger);
        ledger.add(new BenchEvent.Undone(101, AT, before.canGoBackTo().orElseThrow()));
        BenchState after = BenchLedger.fold(PLAN, ledger);
        assertThat(after.now().orElseThrow().kind()).isEqualTo(StepKind.BRING_UP);
        assertThat(after.pitchCents()).containsEntry(II, -12.0);
        assertThat(after.lastSequence()).isEqualTo(101);
    }

    @Test
    void endsEarlyOnlyWithEveryStringOn() {
        List<BenchEvent> off = upTo(StepKind.GRAPHITE);
        off.add(new BenchEvent.Ended(100, AT));
        assertThat(BenchLedger.fold(PLAN, off).over()).isFalse();
        List<BenchEvent> on = upTo(StepKind.LET_DOWN);
        on.add(new BenchEvent.Ended(100, AT));
        assertThat(BenchLedger.fold(PLAN, on).over()).isTrue();
    }

    @Test
    void refusesAReadingThatNoTunerShows() {
        assertThatThrownBy(() -> new BenchEvent.PitchRead(1, AT, II, 900))
                .hasMessage("cents is 900.0; it must be from -1200.0 to 200.0 cents");
    }

    @Property(tries = 300)
    void repeatsAndOrderOfArrivalChangeNothing(@ForAll("ledgers") List<BenchEvent> ledger, @ForAll Random random) {
        BenchState once = BenchLedger.fold(PLAN, ledger);
        List<BenchEvent> shuffled = new ArrayList<>(ledger);
        shuffled.addAll(ledger);
        Collections.shuffle(shuffled, random);
        BenchState again = BenchLedger.fold(PLAN, shuffled);
        assertThat(again.reached()).isEqualTo(once.reached());
        assertThat(again.tensionsN()).isEqualTo(once.tensionsN());
        assertThat(again.owed()).isEqualTo(once.owed());
        assertThat(once.reached()).isBetween(0, PLAN.steps().size());
        assertThat(once.shares().treble()).isGreaterThan(0.15);
    }

    @Provide
    Arbitrary<List<BenchEvent>> ledgers() {
        Arbitrary<Integer> steps = Arbitraries.integers().between(0, 6);
        return Combinators.combine(Arbitraries.integers().between(0, 9), steps)
                .as((what, step) -> new int[] {what, step})
                .list()
                .ofMaxSize(40)
                .map(moves -> {
                    List<BenchEvent> ledger = new ArrayList<>();
                    for (int[] move : moves) {
                        long sequence = ledger.size() + 1;
                        BenchState state = BenchLedger.fold(PLAN, ledger);
                        int due = state.now().map(Step::index).orElse(0);
                        ledger.add(
                                switch (move[0]) {
                                    case 0 -> new BenchEvent.StepSkipped(sequence, AT, due);
                                    case 1 -> new BenchEvent.StepDone(sequence, AT, move[1]);
                                    case 2 -> new BenchEvent.Undone(sequence, AT, 1 + move[1]);
                                    case 3 -> new BenchEvent.PitchRead(sequence, AT, II, -100.0 * move[1]);
                                    case 4 -> new BenchEvent.GapRead(sequence, AT, move[1] / 2.0 - 1);
                                    default -> new BenchEvent.StepDone(sequence, AT, due);
                                });
                    }
                    return ledger;
                });
    }
}
