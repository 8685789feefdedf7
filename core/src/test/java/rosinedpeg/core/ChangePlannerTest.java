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
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.plan.Caution;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;

class ChangePlannerTest {

    private static List<StepKind> kinds(ChangePlan plan) {
        return plan.steps().stream().map(Step::kind).toList();
    }

    @Test
    void leadsOneStringFromLookOverToRecord() {
        ChangePlan plan = Examples.plan(II);
        assertThat(kinds(plan))
                .startsWith(StepKind.LOOK_OVER, StepKind.TUNE_AND_STRAIGHTEN)
                .endsWith(StepKind.CHECK_FINE_TUNERS, StepKind.RECORD)
                .containsSubsequence(
                        StepKind.LET_DOWN,
                        StepKind.COIL_OLD_STRING,
                        StepKind.TREAT_PEG,
                        StepKind.GRAPHITE,
                        StepKind.LOCK_FAR_SIDE_THEN_CROSS,
                        StepKind.WIND_LEAVING_GAP,
                        StepKind.HANG_TAIL_END,
                        StepKind.BRING_UP,
                        StepKind.CHECK_BRIDGE,
                        StepKind.TUNING_ROUND)
                .doesNotContain(StepKind.BACK_OUT_FINE_TUNER);
        assertThat(plan.thinnest().sharesAfter().treble()).isCloseTo(0.71, within(0.01));
        assertThat(plan.refused()).isFalse();
    }

    /** The usual shares: only I off leaves about 38 % on the post, I and II 9 %, the two low strings little on the other foot. */
    @ParameterizedTest
    @CsvSource({"I, 0.38, LIGHT", "II, 0.71, HELD", "IV, 1.01, HELD"})
    void followsTheLoadOnThePost(Position off, double trebleShare, LoadBand band) {
        Step letDown = Examples.plan(off).steps().stream()
                .filter(step -> step.kind() == StepKind.LET_DOWN)
                .findFirst()
                .orElseThrow();
        assertThat(letDown.sharesAfter().treble()).isCloseTo(trebleShare, within(0.015));
        assertThat(letDown.bandAfter()).isEqualTo(band);
    }

    @Test
    void refusesToTakeAllStringsOffWithTheShareAsReason() {
        ChangePlan plan =
                ChangePlanner.plan(Examples.request(Examples.together(), Set.of(Position.I, II, III, IV), Map.of()));
        assertThat(plan.refused()).isTrue();
        assertThat(plan.refusals().get(0).kind()).isEqualTo(FindingKind.POST_LET_GO);
        assertThat(plan.refusals().get(0).figures().get(0).value()).isLessThan(0.15);
    }

    @Test
    void allowsTwoTogetherWhereThePostStaysHeld() {
        assertThat(ChangePlanner.plan(Examples.request(Examples.together(), Set.of(III, IV), Map.of()))
                        .refused())
                .isFalse();
        assertThat(ChangePlanner.plan(Examples.request(Examples.together(), Set.of(I, II), Map.of()))
                        .refused())
                .isTrue();
    }

    @ParameterizedTest
    @EnumSource(Schools.Begin.class)
    void everyOrderChangesEachChosenStringOnceAndEndsWithAllAtPitch(Schools.Begin begin) {
        Schools usual = Schools.USUAL;
        Schools schools = new Schools(
                Schools.Off.ONE_AT_A_TIME,
                begin,
                Schools.FirstEnd.TAIL_FIRST,
                Schools.Lock.STRAIGHT_TO_WALL,
                Schools.Wall.WOUND_TO_WALL,
                usual.treatment(),
                Schools.OldStrings.NOT_KEPT);
        ChangePlan plan = ChangePlanner.plan(Examples.request(schools, Set.of(I, II, III, IV), Map.of(IV, III)));
        assertThat(plan.order())
                .containsExactlyElementsOf(
                        switch (begin) {
                            case INNER_FIRST -> List.of(II, III, I, IV);
                            case TOP_DOWN -> List.of(I, II, III, IV);
                            case BOTTOM_UP -> List.of(IV, III, II, I);
                            case BEST_HELD -> plan.order();
                        });
        assertThat(plan.steps().get(plan.steps().size() - 1).tensionsAfterN()).isEqualTo(plan.tensionsAfterN());
        assertThat(kinds(plan))
                .contains(StepKind.SET_ASIDE_NEIGHBOUR, StepKind.RETURN_NEIGHBOUR, StepKind.CUT_UP_OLD_STRING)
                .containsSubsequence(StepKind.HANG_TAIL_END, StepKind.LOCK_STRAIGHT_TO_WALL, StepKind.WIND_TO_WALL);
    }

    @ParameterizedTest
    @CsvSource({
        "COMPOUND, FITS, PEG_COMPOUND",
        "PASTE_AND_DROPS, STICKS, LUBRICATING_PASTE",
        "PASTE_AND_DROPS, SLIPS, GRIPPING_DROPS",
        "SOAP_AND_CHALK, STICKS, DRY_SOAP",
        "SOAP_AND_CHALK, SLIPS, CHALK"
    })
    void treatsThePegByItsConditionAndTheSchool(
            Schools.Treatment treatment, PegCondition condition, Material material) {
        Schools usual = Schools.USUAL;
        ChangeRequest request = Examples.request(
                new Schools(
                        usual.off(),
                        usual.begin(),
                        usual.firstEnd(),
                        usual.lock(),
                        usual.wall(),
                        treatment,
                        usual.oldStrings()),
                Set.of(II),
                Map.of());
        Step step = ChangePlanner.plan(new ChangeRequest(
                        request.setUp(),
                        request.present(),
                        request.replacements(),
                        Map.of(),
                        Map.of(II, condition),
                        request.schools(),
                        LoadBands.USUAL))
                .steps()
                .stream()
                .filter(s -> s.kind() == StepKind.TREAT_PEG)
                .findFirst()
                .orElseThrow();
        assertThat(step.materials()).contains(material);
        assertThat(step.cautions().contains(Caution.NO_LUBRICANT)).isEqualTo(condition == PegCondition.SLIPS);
    }

    @Test
    void namesWhatIsWrongWithARequest() {
        assertThatThrownBy(() -> Examples.request(Schools.USUAL, Set.of(II), Map.of(II, IV)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("IV making way for II");
        assertThatThrownBy(() -> Examples.request(Schools.USUAL, Set.of(), Map.of()))
                .hasMessageContaining("replacements are for []");
        SetUp cello = SetUp.unmeasured(Size.of(Family.CELLO, "4/4"));
        assertThatThrownBy(() -> ChangePlanner.plan(new ChangeRequest(
                        cello,
                        Examples.violinSet(),
                        Map.of(II, Examples.violinSet().get(II)),
                        Map.of(),
                        Map.of(),
                        Schools.USUAL,
                        LoadBands.USUAL)))
                .hasMessageContaining("family is CELLO");
    }

    /** Whatever is chosen: a plan that is not refused ends with all at pitch and never lets the post go. */
    @Property(tries = 60)
    void bestHeldIsNeverWorseThanAnySchoolAndNoPlanLetsThePostGo(
            @ForAll @IntRange(min = 1, max = 15) int chosen, @ForAll boolean fourMakesWayForThree) {
        Set<Position> positions = Stream.of(I, II, III, IV)
                .filter(position -> (chosen >> position.ordinal() & 1) == 1)
                .collect(Collectors.toSet());
        Map<Position, Position> setAsides =
                fourMakesWayForThree && positions.contains(III) ? Map.of(III, IV) : Map.of();
        Map<Schools, ChangePlan> plans = ChangePlanner.compare(Examples.request(Schools.USUAL, positions, setAsides));
        assertThat(plans).hasSize(positions.size() == 1 ? 1 : 8);
        plans.forEach((schools, plan) -> {
            ChangePlan best = plans.get(schools.with(schools.off(), Schools.Begin.BEST_HELD));
            if (!plan.refused()) {
                assertThat(best.refused()).isFalse();
                assertThat(best.leastTreble()).isGreaterThanOrEqualTo(plan.leastTreble());
                assertThat(plan.leastTreble()).isGreaterThanOrEqualTo(LoadBands.USUAL.thinFrom());
                assertThat(plan.steps()).allMatch(step -> !step.sharesAfter().bassFootLifts());
                assertThat(plan.steps().get(plan.steps().size() - 1).tensionsAfterN())
                        .isEqualTo(plan.tensionsAfterN());
            }
        });
        List<ChangePlan> sorted = List.copyOf(plans.values());
        assertThat(sorted.get(0).refused())
                .as("one at a time is always possible")
                .isFalse();
    }
}
