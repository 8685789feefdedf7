package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static rosinedpeg.core.strings.Position.I;
import static rosinedpeg.core.strings.Position.II;
import static rosinedpeg.core.strings.Position.III;
import static rosinedpeg.core.strings.Position.IV;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.plan.Caution;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Particulars;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/** Work that is not a plain change. */
class RepairPlannerTest {

    private static RepairPlanner repair(Family family, Schools schools) {
        SetUp setUp = Examples.instrument(family);
        return new RepairPlanner(setUp, Examples.set(setUp), schools, Particulars.USUAL);
    }

    private static List<StepKind> kinds(ChangePlan plan) {
        return plan.steps().stream().map(Step::kind).toList();
    }

    private static void endsAtPitch(ChangePlan plan) {
        assertThat(plan.steps().get(plan.steps().size() - 1).tensionsAfterN()).isEqualTo(plan.tensionsAfterN());
        assertThat(plan.steps()).extracting(Step::index).isSorted();
        assertThat(plan.refused()).isFalse();
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void afterTheBridgeFellItIsStoodUpAndEverythingRaisedInRounds(Family family) {
        ChangePlan plan = repair(family, Schools.usual(family)).bridgeDown();
        endsAtPitch(plan);
        assertThat(kinds(plan))
                .containsSubsequence(
                        StepKind.LOOK_FOR_POST,
                        StepKind.SLIDE_BRIDGE_UNDER,
                        StepKind.STAND_BRIDGE,
                        StepKind.RAISE_ALL,
                        StepKind.CHECK_BRIDGE,
                        StepKind.RAISE_ALL,
                        StepKind.TUNING_ROUND,
                        StepKind.RECORD);
        List<Step> rounds = plan.steps().stream()
                .filter(step -> step.kind() == StepKind.RAISE_ALL)
                .toList();
        assertThat(rounds)
                .extracting(step -> step.figures().get(StepFigure.TENSION_SHARE).value())
                .containsExactly(0.1, 0.3, 0.6, 0.85, 1.0);
        assertThat(rounds.get(1).figures().get(StepFigure.BELOW_PITCH).value()).isCloseTo(-1042.2, within(0.1));
        assertThat(plan.steps().get(0).bandAfter()).isEqualTo(LoadBand.UNHELD);
        assertThat(plan.steps().get(0).cautions()).contains(Caution.POST_UNHELD);
        assertThat(plan.order()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "INNER_PAIR_FIRST, RAISE_INNER_PAIR, RAISE_OUTER_PAIR",
        "OUTER_PAIR_FIRST, RAISE_OUTER_PAIR, RAISE_INNER_PAIR"
    })
    void pairsTakeTurnsByTheSchool(Schools.Raising raising, StepKind first, StepKind then) {
        ChangePlan plan = repair(Family.VIOLIN, Schools.USUAL.with(Schools.Stance.SQUARE, raising))
                .bridgeDown();
        endsAtPitch(plan);
        List<Step> rounds = plan.steps().stream()
                .filter(step -> step.kind() == first || step.kind() == then)
                .toList();
        assertThat(rounds).hasSize(10);
        assertThat(rounds.get(0).kind()).isEqualTo(first);
        assertThat(rounds.get(1).kind()).isEqualTo(then);
        Position raised = first == StepKind.RAISE_INNER_PAIR ? II : I;
        Position waiting = first == StepKind.RAISE_INNER_PAIR ? I : II;
        assertThat(rounds.get(0).tensionsAfterN().get(raised)).isPositive();
        assertThat(rounds.get(0).tensionsAfterN().get(waiting)).isZero();
    }

    @Test
    void forAnotherTailpieceAllTensionComesOffAndTheCordIsSet() {
        ChangePlan plan = repair(Family.CELLO, Schools.USUAL).tailpieceChange();
        endsAtPitch(plan);
        assertThat(kinds(plan))
                .containsSubsequence(
                        StepKind.LET_ALL_DOWN,
                        StepKind.UNHOOK_IN_ORDER,
                        StepKind.CHANGE_TAILPIECE,
                        StepKind.SET_TAIL_CORD,
                        StepKind.HOOK_BACK,
                        StepKind.STAND_BRIDGE,
                        StepKind.RAISE_ALL);
        Step cord = plan.steps().stream()
                .filter(step -> step.kind() == StepKind.SET_TAIL_CORD)
                .findFirst()
                .orElseThrow();
        assertThat(cord.figures().get(StepFigure.AFTERLENGTH_TARGET).value()).isCloseTo(692 / 6.0, within(1e-9));
        assertThat(cord.figures().get(StepFigure.CORD_CHANGE).value()).isCloseTo(0, within(1e-9));
    }

    @Test
    void graphiteIsRubbedInWithOneStringAsideAtATime() {
        ChangePlan plan = repair(Family.VIOLIN, Schools.USUAL).graphite();
        endsAtPitch(plan);
        assertThat(kinds(plan)).contains(StepKind.EASE_BRIDGE_BACK).doesNotContain(StepKind.BRING_UP);
        List<Step> rubbed = plan.steps().stream()
                .filter(step -> step.kind() == StepKind.GRAPHITE)
                .toList();
        assertThat(rubbed).extracting(Step::position).containsExactly(I, II, III, IV);
        assertThat(rubbed)
                .allSatisfy(step -> assertThat(step.tensionsAfterN().get(step.position()))
                        .isCloseTo(0.25 * plan.tensionsBeforeN().get(step.position()), within(1e-9)));
    }

    @Test
    void pegsAreTreatedWithoutNewStrings() {
        ChangePlan plan = repair(Family.VIOLIN, Schools.USUAL).pegService(Map.of(IV, PegCondition.SLIPS));
        endsAtPitch(plan);
        assertThat(kinds(plan))
                .containsSubsequence(
                        StepKind.SET_ASIDE_NEIGHBOUR,
                        StepKind.LET_DOWN_AT_PEG,
                        StepKind.TREAT_PEG,
                        StepKind.GRAPHITE,
                        StepKind.REWIND,
                        StepKind.BRING_BACK_UP,
                        StepKind.CHECK_BRIDGE,
                        StepKind.RETURN_NEIGHBOUR)
                .doesNotContain(StepKind.BRING_UP, StepKind.FREE_TAIL_END);
        assertThatThrownBy(() -> repair(Family.VIOLIN, Schools.USUAL).pegService(Map.of()))
                .hasMessageContaining("pegs are []");
    }

    @ParameterizedTest
    @CsvSource({"true, TAKE_OUT_REMAINS, LET_DOWN", "false, LET_DOWN, TAKE_OUT_REMAINS"})
    void onStageTheShortestHonestPathLeavesTheRestOwed(boolean broken, StepKind has, StepKind hasNot) {
        SetUp violin = Examples.VIOLIN;
        Map<Position, StringSpec> set = Examples.set(violin);
        ChangeRequest request =
                ChangeRequest.usual(violin, set, Map.of(IV, set.get(IV))).withBroken(broken ? Set.of(IV) : Set.of());
        ChangePlan plan = RepairPlanner.emergency(request);
        endsAtPitch(plan);
        assertThat(kinds(plan))
                .contains(has)
                .doesNotContain(hasNot, StepKind.WIPE_FINGERBOARD, StepKind.CLEAN_PEG, StepKind.GRAPHITE)
                .containsSubsequence(
                        StepKind.SET_ASIDE_NEIGHBOUR,
                        StepKind.HANG_TAIL_END,
                        StepKind.LOCK_FAR_SIDE_THEN_CROSS,
                        StepKind.BRING_UP,
                        StepKind.CHECK_BRIDGE,
                        StepKind.RETURN_NEIGHBOUR,
                        StepKind.RECORD);
        assertThat(plan.owed()).containsExactly(StepKind.WIPE_FINGERBOARD, StepKind.CLEAN_PEG, StepKind.GRAPHITE);
        assertThat(plan.minutes()).isLessThan(Examples.plan(IV).minutes() / 1.5);
        assertThatThrownBy(() -> RepairPlanner.emergency(ChangeRequest.usual(violin, set, set)))
                .hasMessageContaining("must be for one string");
    }

    /** Every step, in its order, for each kind of work on a violin. */
    @ParameterizedTest
    @MethodSource("courses")
    void everyStepHasItsPlace(ChangePlan plan, String course) {
        assertThat(plan.steps().stream()
                        .map(step -> step.kind() + (step.position() == null ? "" : " " + step.position()))
                        .collect(Collectors.joining(", ")))
                .isEqualTo(course.strip().replaceAll("\\s*\n\\s*", " "));
    }

    static Stream<Arguments> courses() {
        RepairPlanner violin = repair(Family.VIOLIN, Schools.USUAL);
        String end = "TUNING_ROUND, LAST_BRIDGE_CHECK, CHECK_FINE_TUNERS, RECORD";
        String rounds = "RAISE_ALL, CHECK_BRIDGE, ".repeat(5);
        SetUp bass = Examples.instrument(Family.BASS);
        Map<Position, StringSpec> set = Examples.set(bass);
        ChangeRequest low = ChangeRequest.usual(bass, set, Map.of(IV, set.get(IV)));
        return Stream.of(
                Arguments.of(violin.bridgeDown(), """
                        LAY_FLAT, LOOK_FOR_POST, LET_ALL_DOWN, WASH_HANDS, GRAPHITE I, GRAPHITE II, GRAPHITE III, GRAPHITE IV,
                        SLIDE_BRIDGE_UNDER, STAND_BRIDGE, """ + " " + rounds + end),
                Arguments.of(violin.tailpieceChange(), """
                        LOOK_OVER, LAY_OUT_KIT, LAY_FLAT, MARK_BRIDGE, LET_ALL_DOWN, UNHOOK_IN_ORDER, TIE_STRINGS,
                        CHANGE_TAILPIECE, SET_TAIL_CORD, HOOK_BACK, CHECK_STRING_PLACES, LOOK_FOR_POST,
                        SLIDE_BRIDGE_UNDER, STAND_BRIDGE, """ + " " + rounds + end),
                Arguments.of(violin.graphite(), """
                        LOOK_OVER, TUNE_AND_STRAIGHTEN, WASH_HANDS, REST_INSTRUMENT, MARK_BRIDGE,
                        SET_ASIDE_NEIGHBOUR I, GRAPHITE I, RETURN_NEIGHBOUR I, CHECK_BRIDGE I,
                        SET_ASIDE_NEIGHBOUR II, GRAPHITE II, RETURN_NEIGHBOUR II, CHECK_BRIDGE II,
                        SET_ASIDE_NEIGHBOUR III, GRAPHITE III, RETURN_NEIGHBOUR III, CHECK_BRIDGE III,
                        SET_ASIDE_NEIGHBOUR IV, GRAPHITE IV, RETURN_NEIGHBOUR IV, CHECK_BRIDGE IV,
                        EASE_BRIDGE_BACK, """ + " " + end),
                Arguments.of(violin.pegService(Map.of(I, PegCondition.STICKS)), """
                        LOOK_OVER, TUNE_AND_STRAIGHTEN, WASH_HANDS, REST_INSTRUMENT, MARK_BRIDGE, BACK_OUT_FINE_TUNER I,
                        LET_DOWN_AT_PEG I, TREAT_PEG I, GRAPHITE I, REWIND I, SEAT_IN_GROOVES I, CLOSE_UP_TURNS I,
                        BRING_BACK_UP I, CHECK_BRIDGE I, """ + " " + end),
                Arguments.of(RepairPlanner.emergency(low), """
                        TEST_MACHINE_DIRECTION III, SET_ASIDE_NEIGHBOUR III,
                        TEST_MACHINE_DIRECTION IV, LET_DOWN IV, FREE_TAIL_END IV,
                        HANG_TAIL_END IV, DRAW_BALL_INTO_CHANNEL IV, LOCK_FAR_SIDE_THEN_CROSS IV, WIND_BY_CRANK IV,
                        SEAT_IN_GROOVES IV, PRESS_INTO_BENDS IV, CLOSE_UP_TURNS IV, BRING_UP IV, CHECK_BRIDGE IV,
                        RETURN_NEIGHBOUR III, CHECK_BRIDGE III, TUNING_ROUND, RECORD"""),
                Arguments.of(RepairPlanner.emergency(low.withBroken(Set.of(IV))), """
                        TEST_MACHINE_DIRECTION III, SET_ASIDE_NEIGHBOUR III,
                        TAKE_OUT_REMAINS IV, HANG_TAIL_END IV, DRAW_BALL_INTO_CHANNEL IV,
                        LOCK_FAR_SIDE_THEN_CROSS IV, TEST_MACHINE_DIRECTION IV, WIND_BY_CRANK IV, SEAT_IN_GROOVES IV, PRESS_INTO_BENDS IV,
                        CLOSE_UP_TURNS IV, BRING_UP IV, CHECK_BRIDGE IV, RETURN_NEIGHBOUR III, CHECK_BRIDGE III,
                        TUNING_ROUND, RECORD"""),
                Arguments.of(ChangePlanner.plan(low), """
                        LOOK_OVER, TUNE_AND_STRAIGHTEN, LAY_OUT_KIT, WASH_HANDS, LAY_ON_BACK_AND_BLOCK, MARK_BRIDGE,
                        TEST_MACHINE_DIRECTION III, SET_ASIDE_NEIGHBOUR III,
                        TEST_MACHINE_DIRECTION IV, LET_DOWN IV, FREE_TAIL_END IV,
                        COIL_OLD_STRING IV, WIPE_FINGERBOARD IV, LOOK_AT_GEARS IV, GRAPHITE IV, FIT_FELT IV, TRIM_TIP IV,
                        LOCK_FAR_SIDE_THEN_CROSS IV, WIND_FIRST_PART IV, HANG_TAIL_END IV, DRAW_BALL_INTO_CHANNEL IV,
                        WIND_BY_CRANK IV, SEAT_IN_GROOVES IV, PRESS_INTO_BENDS IV, CLOSE_UP_TURNS IV, BRING_UP IV,
                        CHECK_BRIDGE IV, RETURN_NEIGHBOUR III, CHECK_BRIDGE III,
                        TUNING_ROUND, LAST_BRIDGE_CHECK, RECORD"""),
                Arguments.of(
                        new RepairPlanner(bass, set, Schools.usual(Family.BASS), Particulars.USUAL)
                                .pegService(Map.of(I, PegCondition.STICKS, IV, PegCondition.SLIPS)),
                        """
                        LOOK_OVER, TUNE_AND_STRAIGHTEN, WASH_HANDS, LAY_ON_BACK_AND_BLOCK, MARK_BRIDGE,
                        TEST_MACHINE_DIRECTION I, LOOK_AT_GEARS I, TEST_MACHINE_DIRECTION IV, LOOK_AT_GEARS IV,
                        TUNING_ROUND, LAST_BRIDGE_CHECK, RECORD"""));
    }

    @Test
    void namesWhatIsMissing() {
        assertThatThrownBy(() -> new RepairPlanner(Examples.VIOLIN, Map.of(), Schools.USUAL, Particulars.USUAL))
                .hasMessageContaining("strings are at []");
    }
}
