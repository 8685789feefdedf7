package rosinedpeg.core;

import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchLedger;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.bench.PacketUse;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.plan.Amendment;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.Mishap.Kind;
import rosinedpeg.core.plan.MishapPlanner;
import rosinedpeg.core.plan.Particulars;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/** When something goes wrong in the middle, the work comes to its end all the same, and the ledger stays whole. */
class MishapTest {

    private static final Instant AT = Instant.parse("2026-09-01T18:00:00Z");

    /** A run that is pressed on step by step. */
    private static final class Run {
        private final ChangePlan plan;
        private final List<BenchEvent> ledger = new ArrayList<>();

        Run(ChangePlan plan) {
            this.plan = plan;
        }

        BenchState state() {
            return BenchLedger.fold(plan, ledger);
        }

        private long next() {
            return ledger.size() + 1L;
        }

        void press() {
            ledger.add(new BenchEvent.StepDone(
                    next(), AT, state().now().orElseThrow().index()));
        }

        void pressTo(StepKind kind, Position position) {
            while (!at(kind, position)) {
                press();
            }
        }

        private boolean at(StepKind kind, Position position) {
            Step now = state().now().orElseThrow();
            return now.kind() == kind && now.position() == position;
        }

        void goesWrong(Mishap mishap) {
            ledger.add(new BenchEvent.WentWrong(next(), AT, mishap, Optional.of(state().told(mishap))));
        }

        List<StepKind> toCome() {
            BenchState state = state();
            return state.plan().steps().stream()
                    .skip(state.reached())
                    .map(Step::kind)
                    .toList();
        }
    }

    private static ChangePlan change(Family family) {
        SetUp setUp = Examples.instrument(family);
        Map<Position, StringSpec> set = Examples.set(setUp);
        return ChangePlanner.plan(ChangeRequest.usual(setUp, set, Map.of(Position.III, set.get(Position.III))));
    }

    private static ChangePlan repair(Family family, int which) {
        SetUp setUp = Examples.instrument(family);
        RepairPlanner planner = new RepairPlanner(setUp, Examples.set(setUp), Schools.usual(family), Particulars.USUAL);
        return switch (which) {
            case 0 -> planner.bridgeDown();
            case 1 -> planner.tailpieceChange();
            case 2 -> planner.graphite();
            default -> planner.pegService(Map.of(Position.II, PegCondition.SLIPS));
        };
    }

    @ParameterizedTest
    @CsvSource({
        "STRING_BROKE, III, BRING_UP, TAKE_OUT_REMAINS",
        "STRING_BROKE, II, GRAPHITE, TAKE_OUT_REMAINS",
        "TIP_PULLED_OUT, III, BRING_UP, LOCK_FAR_SIDE_THEN_CROSS",
        "TIP_PULLED_OUT, III, TUNING_ROUND, LET_DOWN_AT_PEG",
        "TURNS_CROSSED, II, TUNING_ROUND, LET_DOWN_AT_PEG",
        "PEG_SLIPS, III, TUNING_ROUND, PUSH_PEG_IN",
        "PEG_STUCK, III, LET_DOWN, FREE_PEG",
        "BRIDGE_LEANING, , CHECK_BRIDGE, EASE_BRIDGE_BACK",
        "BRIDGE_WALKED, , TUNING_ROUND, LET_ALL_DOWN_A_LITTLE",
        "BRIDGE_LEANING_BACKWARDS, , CHECK_BRIDGE, EASE_BRIDGE_FORWARDS",
        "BRIDGE_DOWN, , BRING_UP, LAY_FLAT",
        "GROOVE_SNAGS, I, TUNING_ROUND, SET_ASIDE_NEIGHBOUR",
        "GROOVE_SNAGS, III, BRING_UP, GRAPHITE",
        "WRONG_STRING, III, BRING_UP, FREE_TAIL_END",
        "BALL_JAMMED, I, TUNING_ROUND, SET_ASIDE_NEIGHBOUR",
        "TUNER_AT_ITS_END, I, TUNING_ROUND, BACK_OUT_FINE_TUNER",
        "CUT_FINGER, , LET_DOWN, TEND_CUT",
        "MUST_STOP, , GRAPHITE, MAKE_SAFE"
    })
    void theRightStepComesNextAndTheWorkGoesOnAfterIt(Kind kind, Position position, StepKind at, StepKind first) {
        Run run = new Run(change(Family.VIOLIN));
        while (run.state().now().orElseThrow().kind() != at) {
            run.press();
        }
        List<StepKind> planned = run.toCome();
        run.goesWrong(new Mishap(kind, position, BreakPlace.NUT));
        assertThat(run.state().now().orElseThrow().kind()).isEqualTo(first);
        assertThat(run.toCome()).endsWith(planned.toArray(StepKind[]::new));
        List<BenchEvent> notKept = new ArrayList<>(run.ledger);
        notKept.set(
                notKept.size() - 1,
                new BenchEvent.WentWrong(
                        notKept.size(), AT, new Mishap(kind, position, BreakPlace.NUT), Optional.empty()));
        assertThat(BenchLedger.fold(run.plan, notKept).equals(run.state()))
                .as("what was told is what the rules say")
                .isTrue();
        while (!run.state().over()) {
            run.press();
        }
        assertThat(run.state().changed()).containsExactly(Position.III);
        assertThat(run.state().shares().treble()).isCloseTo(1, within(1e-9));
    }

    @Test
    void theLoadFollowsWhatWentWrong() {
        Run run = new Run(change(Family.VIOLIN));
        run.pressTo(StepKind.TUNING_ROUND, null);
        run.goesWrong(new Mishap(Kind.STRING_BROKE, Position.I, BreakPlace.BRIDGE));
        assertThat(run.state().shares().treble()).isCloseTo(0.38, within(0.02));
        run.pressTo(StepKind.CHECK_BRIDGE, null);
        assertThat(run.state().shares().treble()).isCloseTo(1, within(1e-9));
        run.goesWrong(Mishap.of(Kind.BRIDGE_DOWN, null));
        assertThat(run.state().shares().treble()).isZero();
        assertThat(run.state().thinnest()).isZero();
    }

    /** What did not help is not tried again; in the end it is a repairer's. */
    @Test
    void aPegThatGoesOnSlippingIsTreatedAndThenReferred() {
        Run run = new Run(change(Family.VIOLIN));
        run.pressTo(StepKind.TUNING_ROUND, null);
        Mishap slips = Mishap.of(Kind.PEG_SLIPS, Position.III);
        for (StepKind first : List.of(StepKind.PUSH_PEG_IN, StepKind.LET_DOWN_AT_PEG, StepKind.LEAVE_TO_REPAIRER)) {
            run.goesWrong(slips);
            assertThat(run.state().now().orElseThrow().kind()).isEqualTo(first);
            run.pressTo(StepKind.TUNING_ROUND, null);
        }
        assertThat(MishapPlanner.refers(run.plan, slips, 2)).isTrue();
        assertThat(MishapPlanner.refers(run.plan, slips, 1)).isFalse();
    }

    /** A machine has nothing to push in or treat. */
    @ParameterizedTest
    @CsvSource({"PEG_SLIPS", "PEG_STUCK"})
    void aMachineHeadIsLookedAtAndThenReferred(Kind kind) {
        Run run = new Run(change(Family.BASS));
        run.pressTo(StepKind.TUNING_ROUND, null);
        Mishap mishap = Mishap.of(kind, Position.II);
        for (StepKind first : List.of(StepKind.LOOK_AT_GEARS, StepKind.LEAVE_TO_REPAIRER)) {
            run.goesWrong(mishap);
            assertThat(run.state().now().orElseThrow().kind()).isEqualTo(first);
            run.pressTo(StepKind.TUNING_ROUND, null);
        }
        assertThat(MishapPlanner.refers(run.plan, mishap, 1)).isTrue();
    }

    /** A peg that stays stuck: its string keeps what is on it, and the work goes on without. */
    @Test
    void aStringWhosePegStaysStuckIsLeftOut() {
        SetUp setUp = Examples.instrument(Family.VIOLIN);
        Map<Position, StringSpec> set = Examples.set(setUp);
        Run run = new Run(ChangePlanner.plan(ChangeRequest.usual(
                setUp, set, Map.of(Position.I, set.get(Position.I), Position.III, set.get(Position.III)))));
        Position first = run.plan.order().get(0);
        Position second = run.plan.order().get(1);
        run.pressTo(StepKind.LET_DOWN, first);
        Mishap stuck = Mishap.of(Kind.PEG_STUCK, first);
        run.goesWrong(stuck);
        run.press();
        assertThat(run.state().now().orElseThrow().kind()).isEqualTo(StepKind.LET_DOWN);
        run.goesWrong(stuck);
        assertThat(run.state().now().orElseThrow().kind()).isEqualTo(StepKind.LEAVE_TO_REPAIRER);
        run.press();
        while (!run.state().over()) {
            assertThat(run.state().now().orElseThrow().position()).isNotEqualTo(first);
            assertThat(run.state().tensionsN().get(first)).isPositive();
            run.press();
        }
        assertThat(run.state().changed()).containsExactly(second);
        assertThat(run.state().missing()).isEmpty();
        assertThat(run.state().shares().treble()).isCloseTo(1, within(1e-9));
    }

    /** It is off when its peg sticks: no other string is begun, and its place stays empty. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void noOtherStringIsBegunWhileOneIsOffForGood(Family family) {
        SetUp setUp = Examples.instrument(family);
        Map<Position, StringSpec> set = Examples.set(setUp);
        Run run = new Run(ChangePlanner.plan(ChangeRequest.usual(setUp, set, set)));
        Position first = run.plan.order().get(0);
        run.pressTo(StepKind.GRAPHITE, first);
        run.goesWrong(Mishap.of(Kind.PEG_STUCK, first));
        run.goesWrong(Mishap.of(Kind.PEG_STUCK, first));
        double least = 1;
        while (!run.state().over()) {
            run.press();
            least = Math.min(least, run.state().shares().treble());
        }
        BenchState end = run.state();
        assertThat(end.missing()).containsExactly(first);
        assertThat(least).as("never less than with that one off").isGreaterThanOrEqualTo(0.15);
        end.plan().setUp().positions().stream()
                .filter(position -> position != first)
                .forEach(position -> assertThat(end.tensionsN().get(position))
                        .as(position + " carries its tension")
                        .isCloseTo(setUp.tensionN(set.get(position)), within(1e-6)));
    }

    @Test
    void aFallenPostEndsTheWork() {
        Run run = new Run(change(Family.CELLO));
        run.pressTo(StepKind.GRAPHITE, Position.III);
        run.goesWrong(Mishap.of(Kind.POST_RATTLES, null));
        assertThat(run.toCome()).containsExactly(StepKind.LAY_FLAT, StepKind.LET_ALL_DOWN, StepKind.LEAVE_TO_REPAIRER);
        run.press();
        run.press();
        run.press();
        assertThat(run.state().finished()).isTrue();
        assertThat(run.state().changed()).isEmpty();
        assertThat(run.state().shares().treble()).isZero();
    }

    @Test
    void whatWentWrongCanBeTakenBack() {
        Run run = new Run(change(Family.VIOLA));
        run.pressTo(StepKind.BRING_UP, Position.III);
        BenchState before = run.state();
        run.goesWrong(Mishap.of(Kind.TIP_PULLED_OUT, Position.III));
        run.ledger.add(
                new BenchEvent.Undone(run.next(), AT, run.state().canGoBackTo().orElseThrow()));
        assertThat(run.state().plan()).isEqualTo(before.plan());
        assertThat(run.state().now()).isEqualTo(before.now());
        assertThat(run.state().tensionsN()).isEqualTo(before.tensionsN());
        assertThat(run.state().mishaps()).isEmpty();
    }

    @Test
    void aMishapNamesItsStringAndABreakItsPlace() {
        assertThatThrownBy(() -> Mishap.of(Kind.PEG_SLIPS, null)).hasMessageContaining("must name a string");
        assertThatThrownBy(() -> Mishap.of(Kind.STRING_BROKE, Position.I)).hasMessageContaining("broken somewhere");
        assertThat(new Mishap(Kind.CUT_FINGER, Position.I, BreakPlace.NUT)).isEqualTo(Mishap.of(Kind.CUT_FINGER, null));
        Run run = new Run(change(Family.VIOLIN));
        run.goesWrong(Mishap.of(Kind.PEG_SLIPS, Position.V));
        assertThat(run.state().mishaps()).as("a string it does not have").isEmpty();
    }

    /** Steps done and left out, mishaps, readings, undos and repeats in any order, on any family and any work. */
    @Property(tries = 300)
    void whateverGoesWrongTheLedgerStaysWholeAndTheWorkComesToItsEnd(
            @ForAll Family family, @ForAll("works") int work, @ForAll("moves") List<int[]> moves) {
        Run run = new Run(work == 4 ? change(family) : repair(family, work));
        for (int[] move : moves) {
            BenchState state = run.state();
            if (state.over()) {
                break;
            }
            Step now = state.now().orElseThrow();
            Position position = Position.ofNumber(1 + move[1] % 4);
            long sequence = run.next();
            run.ledger.add(
                    switch (move[0]) {
                        case 0 -> new BenchEvent.StepSkipped(sequence, AT, now.index());
                        case 1 -> new BenchEvent.Undone(sequence, AT, 1 + move[1] % Math.max(1, sequence - 1));
                        case 2 -> new BenchEvent.PitchRead(sequence, AT, position, -10.0 * (move[1] % 40));
                        case 3 -> wentWrong(sequence, state, move[1], position);
                        case 4 -> new BenchEvent.StepDone(sequence, AT, move[1] % 60);
                        default -> new BenchEvent.StepDone(sequence, AT, now.index());
                    });
            assertConsistent(run);
        }
        int presses = 0;
        while (!run.state().over()) {
            run.press();
            assertThat(++presses).as("it comes to its end").isLessThan(2000);
        }
        BenchState end = run.state();
        boolean read = run.ledger.stream().anyMatch(BenchEvent.PitchRead.class::isInstance);
        boolean referred = end.plan().steps().stream().anyMatch(step -> step.kind() == StepKind.LEAVE_TO_REPAIRER);
        if (!read && !referred) {
            end.plan()
                    .tensionsAfterN()
                    .forEach((position, tensionN) -> assertThat(end.tensionsN().get(position))
                            .as(position + " at pitch")
                            .isCloseTo(tensionN, within(1e-6)));
        }
    }

    private static BenchEvent wentWrong(long sequence, BenchState state, int which, Position position) {
        Mishap mishap = new Mishap(Kind.values()[which % Kind.values().length], position, BreakPlace.PEG);
        return new BenchEvent.WentWrong(sequence, AT, mishap, Optional.of(state.told(mishap)));
    }

    /** What was told is kept: a rule that changes later changes nothing that was done. */
    @Test
    void whatWasToldStaysWhateverTheRuleIsLater() {
        Run run = new Run(change(Family.VIOLIN));
        run.pressTo(StepKind.BRING_UP, Position.III);
        Mishap mishap = Mishap.of(Kind.MUST_STOP, null);
        Step otherwise = run.plan.steps().get(3);
        int toCome = run.toCome().size();
        run.ledger.add(new BenchEvent.WentWrong(
                run.next(), AT, mishap, Optional.of(new Amendment(List.of(otherwise), toCome - 1))));
        assertThat(run.toCome()).hasSize(toCome).startsWith(otherwise.kind());
        assertThat(run.state().told(mishap).steps()).extracting(Step::kind).containsExactly(StepKind.MAKE_SAFE);
        assertThatThrownBy(() -> new Amendment(List.of(), 99).in(run.plan, 3)).hasMessageContaining("with 99 steps");
        assertThatThrownBy(() -> new Amendment(List.of(), -1)).hasMessageContaining("then is -1");
    }

    private static void assertConsistent(Run run) {
        BenchState state = run.state();
        List<Step> steps = state.plan().steps();
        assertThat(state.reached()).isBetween(0, steps.size());
        for (int i = 0; i < steps.size(); i++) {
            assertThat(steps.get(i).index()).isEqualTo(i);
        }
        assertThat(state.owed()).allMatch(index -> index < state.reached());
        assertThat(state.tensionsN().values()).allMatch(tensionN -> tensionN >= 0);
        assertThat(state.shares().treble())
                .as("outer strings stand outside the feet")
                .isBetween(-0.2, 2.0);
        List<BenchEvent> twice = new ArrayList<>(run.ledger);
        twice.addAll(0, run.ledger);
        assertThat(BenchLedger.fold(run.plan, twice)).isEqualTo(state);
    }

    @Provide
    Arbitrary<Integer> works() {
        return Arbitraries.integers().between(0, 4);
    }

    @Provide
    Arbitrary<List<int[]>> moves() {
        return Combinators.combine(
                        Arbitraries.integers().between(0, 14),
                        Arbitraries.integers().between(0, 999))
                .as((what, which) -> new int[] {what, which})
                .list()
                .ofMaxSize(45);
    }

    /** A string put on anew from its packet is the same; one that broke was a packet, unless it was an old one. */
    @ParameterizedTest
    @CsvSource({
        "STRING_BROKE, III, LET_DOWN, 1, III=1/0",
        "STRING_BROKE, III, BRING_UP, 1, III=2/1",
        "STRING_BROKE, III, BRING_UP, 2, III=2/2",
        "STRING_BROKE, II, BRING_UP, 1, II=1/0 III=1/0",
        "TIP_PULLED_OUT, III, BRING_UP, 2, III=1/0",
        "WRONG_STRING, III, BRING_UP, 1, III=1/0",
        "PEG_STUCK, II, BRING_UP, 1, III=1/0",
    })
    void countsThePacketsItTakes(Kind kind, Position string, StepKind at, int times, String uses) {
        Run run = new Run(change(Family.VIOLIN));
        for (int time = 0; time < times; time++) {
            run.pressTo(at, Position.III);
            run.goesWrong(new Mishap(kind, string, kind == Kind.STRING_BROKE ? BreakPlace.PEG : null));
        }
        assertThat(PacketUse.of(run.state().plan()).entrySet().stream()
                        .map(use -> use.getKey() + "=" + use.getValue().taken() + "/"
                                + use.getValue().broken())
                        .collect(joining(" ")))
                .isEqualTo(uses);
    }

    /** Nobody lets down what is not there: the new one goes on in its place, before the strings that are not begun. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void anOldStringThatBreaksIsNotTakenOffAgain(Family family) {
        SetUp setUp = Examples.instrument(family);
        Map<Position, StringSpec> set = Examples.set(setUp);
        ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(setUp, set, set));
        for (Position broken : plan.order()) {
            Run run = new Run(plan);
            run.pressTo(StepKind.LET_DOWN, plan.order().get(0));
            run.goesWrong(new Mishap(Kind.STRING_BROKE, broken, BreakPlace.PEG));
            List<Step> rest = run.state().plan().steps().stream()
                    .skip(run.state().reached())
                    .filter(step -> step.position() == broken)
                    .toList();
            assertThat(rest).extracting(Step::kind).as("%s", broken).contains(StepKind.BRING_UP);
            assertThat(rest)
                    .extracting(Step::kind)
                    .as("%s", broken)
                    .doesNotContain(
                            StepKind.LET_DOWN, StepKind.FREE_TAIL_END, StepKind.COIL_OLD_STRING, StepKind.REWIND);
            while (!run.state().over()) {
                run.press();
            }
            assertThat(run.state().changed()).containsExactlyInAnyOrderElementsOf(plan.order());
            assertThat(PacketUse.of(run.state().plan()))
                    .allSatisfy((position, use) -> assertThat(use).isEqualTo(new PacketUse(1, 0)));
        }
    }
}
