package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rosinedpeg.core.strings.Position.I;
import static rosinedpeg.core.strings.Position.II;
import static rosinedpeg.core.strings.Position.III;
import static rosinedpeg.core.strings.Position.IV;

import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.plan.Caution;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.MishapPlanner;
import rosinedpeg.core.plan.Particulars;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;

/** What a maker may rely on in any plan, whatever it is for and whatever goes wrong in it. */
class PlanRulesTest {

    private static final Set<StepKind> OF_TAPERED_PEGS =
            EnumSet.of(StepKind.TREAT_PEG, StepKind.CLEAN_PEG, StepKind.PUSH_PEG_IN, StepKind.FREE_PEG);

    private static final Set<StepKind> OF_A_FINE_TUNER =
            EnumSet.of(StepKind.BACK_OUT_FINE_TUNER, StepKind.SERVICE_FINE_TUNER);

    private static final Map<StepKind, TailEnd> OF_A_BALL = Map.of(
            StepKind.FIT_FELT,
            TailEnd.SLOT,
            StepKind.DRAW_BALL_INTO_CHANNEL,
            TailEnd.SLOT,
            StepKind.SET_BALL_UPRIGHT,
            TailEnd.FORK_TUNER);

    private static List<StepKind> kinds(ChangePlan plan) {
        return plan.steps().stream().map(Step::kind).toList();
    }

    private static Step first(ChangePlan plan, StepKind kind) {
        return plan.steps().stream()
                .filter(step -> step.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static double figure(Step step, StepFigure figure) {
        return step.figures().get(figure).value();
    }

    /** A plan of any kind of work, any family and size, four strings or five. */
    private static ChangePlan plan(int work, Family family, int size, boolean five, int chosen) {
        return plan(work, Examples.instrument(family, size, five), chosen);
    }

    private static ChangePlan plan(int work, SetUp setUp, int chosen) {
        Family family = setUp.family();
        Map<Position, StringSpec> set = Examples.set(setUp);
        Map<Position, StringSpec> some = new EnumMap<>(set);
        some.keySet().removeIf(position -> (chosen >> position.ordinal() & 1) == 0);
        if (some.isEmpty()) {
            some.put(II, set.get(II));
        }
        RepairPlanner repair = new RepairPlanner(setUp, set, Schools.usual(family), Particulars.USUAL);
        ChangeRequest request = ChangeRequest.usual(setUp, set, some);
        return switch (work) {
            case 0 -> repair.bridgeDown();
            case 1 -> repair.tailpieceChange();
            case 2 -> repair.graphite();
            case 3 -> repair.pegService(Map.of(II, PegCondition.SLIPS));
            case 4 -> RepairPlanner.emergency(ChangeRequest.usual(setUp, set, Map.of(I, set.get(I))));
            case 5 ->
                ChangePlanner.plan(
                        request.by(Schools.usual(family).with(Schools.Off.TOGETHER, Schools.Begin.BEST_HELD)));
            default -> ChangePlanner.plan(request);
        };
    }

    @Property(tries = 3000)
    void noStepIsUnheldWithoutSayingSoWhateverGoesWrong(
            @ForAll @IntRange(max = 6) int work,
            @ForAll Family family,
            @ForAll @IntRange(max = 7) int size,
            @ForAll boolean five,
            @ForAll PegKind pegs,
            @ForAll TailEnd hungOn,
            @ForAll @IntRange(min = 1, max = 31) int chosen,
            @ForAll @IntRange(max = 400) int at,
            @ForAll Mishap.Kind kind,
            @ForAll @IntRange(max = 4) int string,
            @ForAll @IntRange(max = 3) int times,
            @ForAll @IntRange(max = 60) int later,
            @ForAll Mishap.Kind then) {
        SetUp setUp = Examples.with(hungOn, Examples.with(pegs, Examples.instrument(family, size, five)));
        ChangePlan plan = plan(work, setUp, chosen);
        assertRules(plan);
        assertLookedAfterEachNeighbour(plan);
        assertThat(Mishap.Kind.of(setUp).contains(kind)).isEqualTo(!kind.ofString() || kind.happensTo(setUp, II));
        Assume.that(Mishap.Kind.of(setUp).containsAll(List.of(kind, then)));
        List<Position> positions = plan.setUp().positions();
        Mishap mishap = new Mishap(kind, positions.get(string % positions.size()), BreakPlace.PEG);
        int reached = at % plan.steps().size();
        ChangePlan amended = Examples.amended(plan, reached, mishap, times, Optional.empty());
        assertRules(amended);
        assertThat(amended.steps().subList(0, reached)).isEqualTo(plan.steps().subList(0, reached));
        int reachedThen = Math.min(reached + later, amended.steps().size() - 1);
        if (reachedThen >= 0) {
            assertRules(Examples.amended(
                    amended,
                    reachedThen,
                    new Mishap(then, positions.get((string + later) % positions.size()), BreakPlace.PEG),
                    then == kind ? times + 1 : 0,
                    Optional.empty()));
        }
    }

    /** Every string, broken at every step, once and once more: chance finds too few of these. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void noStringThatBreaksLeavesAStepUnheldOrItsMachineUntried(Family family) {
        for (int work : new int[] {5, 6}) {
            for (int chosen : new int[] {0b00001, 0b00010, 0b10000, 0b11101}) {
                ChangePlan plan = plan(work, family, 0, true, chosen);
                for (Position broken : plan.setUp().positions()) {
                    Mishap mishap = new Mishap(Mishap.Kind.STRING_BROKE, broken, BreakPlace.PEG);
                    for (int reached = 0; reached < plan.steps().size(); reached++) {
                        assertRules(Examples.amended(plan, reached, mishap, 0, Optional.empty()));
                        assertRules(Examples.amended(plan, reached, mishap, 1, Optional.empty()));
                    }
                }
            }
        }
    }

    private static void assertRules(ChangePlan plan) {
        Set<Position> tested = EnumSet.noneOf(Position.class);
        boolean lies = false;
        boolean looked = false;
        boolean machines = plan.setUp().pegKind() == PegKind.MACHINE_HEAD;
        boolean friction = plan.setUp().pegKind() == PegKind.TAPERED_WOOD;
        double beforeN = 1;
        for (Step step : plan.steps()) {
            String as = plan.kind() + " step " + step.index() + ", " + step.kind();
            assertThat(step.cautions().contains(Caution.POST_UNHELD))
                    .as(as)
                    .isEqualTo(step.bandAfter() == LoadBand.UNHELD);
            assertThat(step.cautions().contains(Caution.POST_THIN)).as(as).isEqualTo(step.bandAfter() == LoadBand.THIN);
            double allN = step.tensionsAfterN().values().stream()
                    .mapToDouble(Double::doubleValue)
                    .sum();
            boolean footLight = allN > 0 && step.sharesAfter().bass() < 0.3;
            assertThat(step.cautions().contains(Caution.BASS_FOOT_THIN)
                            || step.cautions().contains(Caution.BASS_FOOT_UNHELD))
                    .as(as)
                    .isEqualTo(footLight);
            assertThat(step.cautions()).as(as).doesNotHaveDuplicates();

            lies |= step.kind() == StepKind.LAY_FLAT || step.kind() == StepKind.LAY_ON_BACK_AND_BLOCK;
            looked |= step.kind() == StepKind.LOOK_FOR_POST;
            if (allN == 0 && !plan.refused()) {
                assertThat(lies).as(as + ": lies flat on its back").isTrue();
            }
            if (beforeN == 0 && allN > 0 && !plan.refused()) {
                assertThat(looked).as(as + ": the post was looked for").isTrue();
            }
            beforeN = allN;

            if (OF_TAPERED_PEGS.contains(step.kind())) {
                assertThat(friction).as(as).isTrue();
            }
            if (step.kind() == StepKind.LOOK_AT_GEARS) {
                assertThat(friction).as(as).isFalse();
            }
            if (OF_A_FINE_TUNER.contains(step.kind())) {
                assertThat(step.position().in(plan.setUp().tailEnds()).hasFineTuner())
                        .as(as + " of " + step.position())
                        .isTrue();
            }
            if (OF_A_BALL.containsKey(step.kind())) {
                assertThat(step.position().in(plan.setUp().tailEnds()))
                        .as(as + " of " + step.position())
                        .isEqualTo(OF_A_BALL.get(step.kind()));
            }
            if (step.kind() == StepKind.TEST_MACHINE_DIRECTION) {
                assertThat(machines).as(as).isTrue();
                tested.addAll(step.position() == null ? plan.setUp().positions() : List.of(step.position()));
            } else if (machines && (step.kind().turnsItsPeg() || step.kind().turnsEveryPeg())) {
                assertThat(tested)
                        .as(as + ": its direction was tried")
                        .containsAll(step.position() == null ? plan.setUp().positions() : List.of(step.position()));
            }
        }
    }

    private static void assertLookedAfterEachNeighbour(ChangePlan plan) {
        List<StepKind> kinds = kinds(plan);
        for (int i = 0; i < kinds.size(); i++) {
            if (kinds.get(i) == StepKind.RETURN_NEIGHBOUR) {
                assertThat(kinds.get(i + 1)).isEqualTo(StepKind.CHECK_BRIDGE);
            }
        }
    }

    /** The figures of the trade: I breaks while II is off, and a cello's low pair with a neighbour aside. */
    @Test
    void saysHowLittleIsLeft() {
        ChangePlan violin = Examples.plan(II);
        int graphite = first(violin, StepKind.GRAPHITE).index();
        ChangePlan broken = Examples.amended(
                violin, graphite, new Mishap(Mishap.Kind.STRING_BROKE, I, BreakPlace.NUT), 0, Optional.empty());
        Step remains = first(broken, StepKind.TAKE_OUT_REMAINS);
        assertThat(remains.sharesAfter().treble()).isCloseTo(0.09, within(0.01));
        assertThat(remains.cautions()).contains(Caution.POST_UNHELD);
        assertThat(kinds(broken)).containsSubsequence(StepKind.LOOK_FOR_POST, StepKind.BRING_BACK_UP);

        SetUp cello = Examples.instrument(Family.CELLO);
        Map<Position, StringSpec> set = Examples.set(cello);
        ChangePlan pairs = ChangePlanner.plan(ChangeRequest.usual(cello, set, set)
                .by(Schools.USUAL.with(Schools.Off.PAIR_BY_SIDE, Schools.Begin.BASS_SIDE_FIRST)));
        Step lightest = pairs.steps().stream()
                .min(Comparator.comparingDouble(step -> step.sharesAfter().bass()))
                .orElseThrow();
        assertThat(lightest.sharesAfter().bass()).isCloseTo(0.15, within(0.005));
        assertThat(lightest.cautions()).contains(Caution.BASS_FOOT_THIN);
    }

    /** Three of four are off together, and the one that holds the post breaks: the first time, and once more. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1})
    void nothingHoldsWhenTheLastOneBreaks(int times) {
        ChangePlan plan = plan(5, Family.VIOLIN, 0, false, 0b1101);
        int off = kinds(plan).lastIndexOf(StepKind.LET_DOWN) + 1;
        ChangePlan broken = Examples.amended(
                plan, off, new Mishap(Mishap.Kind.STRING_BROKE, II, BreakPlace.NUT), times, Optional.empty());
        assertThat(kinds(broken).subList(off, broken.steps().size()))
                .containsSubsequence(
                        StepKind.LAY_FLAT, StepKind.TAKE_OUT_REMAINS, StepKind.LOOK_FOR_POST, StepKind.BRING_UP)
                .containsOnlyOnce(StepKind.LAY_FLAT, StepKind.LOOK_FOR_POST);
    }

    @ParameterizedTest
    @CsvSource({
        "VIOLIN, 2.0, false, false, EASE_BRIDGE_BACK",
        "VIOLIN, 3.5, false, true, EASE_BRIDGE_BACK",
        "CELLO, 1.5, false, false, EASE_BRIDGE_BACK",
        "CELLO, , false, true, EASE_BRIDGE_BACK",
        "CELLO, 4.5, false, true, EASE_BRIDGE_BACK",
        "BASS, 1.0, false, true, EASE_BRIDGE_BACK",
        "VIOLA, , true, false, EASE_BRIDGE_FORWARDS",
        "BASS, -3.0, true, true, EASE_BRIDGE_FORWARDS",
    })
    void aBridgeIsEasedByItsLean(
            Family family, Double leanDeg, boolean backwards, boolean partTension, StepKind eased) {
        ChangePlan plan = plan(6, family, 0, false, 4);
        int round = first(plan, StepKind.TUNING_ROUND).index();
        Mishap mishap = Mishap.of(backwards ? Mishap.Kind.BRIDGE_LEANING_BACKWARDS : Mishap.Kind.BRIDGE_LEANING, null);
        ChangePlan amended = Examples.amended(
                plan, round, mishap, 0, Optional.ofNullable(leanDeg).map(Lean::new));
        List<Step> cure = amended.steps()
                .subList(round, amended.steps().size() - plan.steps().size() + round);
        List<StepKind> kinds = cure.stream().map(Step::kind).toList();
        if (partTension) {
            assertThat(kinds)
                    .filteredOn(kind -> kind != StepKind.TEST_MACHINE_DIRECTION)
                    .containsExactly(StepKind.LET_ALL_DOWN_A_LITTLE, eased, StepKind.RAISE_ALL, StepKind.CHECK_BRIDGE);
            Step down = first(amended, StepKind.LET_ALL_DOWN_A_LITTLE);
            assertThat(figure(down, StepFigure.TENSION_SHARE)).isEqualTo(0.6);
            assertThat(figure(down, StepFigure.BELOW_PITCH)).isCloseTo(-442, within(1.0));
        } else {
            assertThat(kinds).containsExactly(eased);
        }
        assertThat(cure).anyMatch(step -> step.cautions().contains(Caution.NO_WEIGHT_ON_SOUND_HOLES));
        assertThat(first(plan, StepKind.CHECK_BRIDGE).cautions().contains(Caution.NO_WEIGHT_ON_SOUND_HOLES))
                .isEqualTo(!family.restsOnLap());
    }

    @ParameterizedTest
    @CsvSource({
        "VIOLIN, 4/4, false",
        "VIOLIN, 7/8, false",
        "VIOLIN, 3/4, true",
        "VIOLIN, 1/16, true",
        "VIOLA, 15, false",
        "CELLO, 7/8, false",
        "CELLO, 1/2, true",
        "BASS, 3/4, false",
        "BASS, 1/4, true"
    })
    void anAdultWindsOnAChildsSize(Family family, String size, boolean adultWinds) {
        SetUp setUp = SetUp.unmeasured(Size.of(family, size));
        Map<Position, StringSpec> set = Examples.set(setUp);
        ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(setUp, set, set));
        assertThat(plan.steps())
                .filteredOn(step -> step.kind().winds() && step.cautions().contains(Caution.ADULT_WINDS))
                .hasSize(adultWinds ? 2 * set.size() : 0);
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void pegFirstIsWoundInTwoPartsWithTheTailEndHungBetween(Family family) {
        ChangePlan plan = plan(6, family, 0, false, 31);
        Map<Position, StringSpec> set = Examples.set(plan.setUp());
        for (Position position : plan.order()) {
            List<Step> on = plan.steps().stream()
                    .filter(step -> step.position() == position)
                    .filter(step -> step.kind().winds()
                            || step.kind() == StepKind.HANG_TAIL_END
                            || step.kind() == StepKind.SEAT_IN_GROOVES
                            || step.kind() == StepKind.PRESS_INTO_BENDS)
                    .toList();
            assertThat(on.stream().map(Step::kind))
                    .startsWith(StepKind.LOCK_FAR_SIDE_THEN_CROSS, StepKind.WIND_FIRST_PART, StepKind.HANG_TAIL_END)
                    .endsWith(StepKind.CLOSE_UP_TURNS)
                    .containsOnlyOnce(StepKind.SEAT_IN_GROOVES);
            Step firstPart = on.get(1);
            Step rest = on.get(3);
            double turns = figure(rest, StepFigure.TURNS);
            assertThat(figure(firstPart, StepFigure.PART_TURNS) + figure(rest, StepFigure.PART_TURNS))
                    .isCloseTo(turns, within(1e-9));
            SetUp setUp = plan.setUp();
            double slackMm = figure(rest, StepFigure.PART_TURNS)
                            * Math.PI
                            * (setUp.value(Quantity.SHAFT_DIAMETER)
                                    + set.get(position).diameterMm())
                    - setUp.elasticity(set.get(position)).stretchMm();
            assertThat(slackMm)
                    .as("the slack string still reaches its slot")
                    .isGreaterThanOrEqualTo(0.03 * setUp.value(Quantity.VIBRATING_LENGTH) - 1e-6);
            boolean bass = family == Family.BASS;
            double knob = figure(rest, bass ? StepFigure.PART_CRANK_TURNS : StepFigure.PART_HALF_TURNS);
            assertThat(knob).isCloseTo(figure(rest, StepFigure.PART_TURNS) * (bass ? 20 : 2), within(1e-9));
            assertThat(figure(on.get(0), StepFigure.FAR_SIDE_TURNS)).isGreaterThanOrEqualTo(1);
            assertThat(rest.figures()).doesNotContainKey(StepFigure.FAR_SIDE_TURNS);
        }
        assertThat(kinds(plan).contains(StepKind.PRESS_INTO_BENDS)).isEqualTo(!family.restsOnLap());
    }

    @Test
    void tailFirstIsHungAndThenWoundWhole() {
        ChangePlan plan = ChangePlanner.plan(Examples.request(
                Schools.USUAL.with(Schools.FirstEnd.TAIL_FIRST, Lock.FAR_SIDE_THEN_CROSS, Schools.AtWall.SMALL_GAP),
                Set.of(II),
                Map.of()));
        assertThat(kinds(plan))
                .containsSubsequence(
                        StepKind.HANG_TAIL_END, StepKind.LOCK_FAR_SIDE_THEN_CROSS, StepKind.WIND_LEAVING_GAP)
                .doesNotContain(StepKind.WIND_FIRST_PART);
        assertThat(first(plan, StepKind.WIND_LEAVING_GAP).figures()).doesNotContainKey(StepFigure.PART_TURNS);
    }

    /** It leans on the wall only where the turns reach it; how far they do not is said. */
    @Test
    void windsToTheWallOnlyWhereItReaches() {
        Schools toWall =
                Schools.USUAL.with(Schools.FirstEnd.PEG_FIRST, Lock.FAR_SIDE_THEN_CROSS, Schools.AtWall.WOUND_TO_WALL);
        Map<Position, StringSpec> set = Examples.violinSet();
        StringSpec lowest = set.get(IV);
        StringSpec longer = Examples.with(lowest, lowest.core(), lowest.totalLengthMm() + 50);
        ChangePlan plan =
                ChangePlanner.plan(ChangeRequest.usual(Examples.VIOLIN, set, Map.of(I, set.get(I), IV, longer))
                        .by(toWall));
        assertThat(kinds(plan)).contains(StepKind.WIND_LEAVING_GAP, StepKind.WIND_TO_WALL);
        for (Step step : plan.steps()) {
            if (step.kind() == StepKind.WIND_LEAVING_GAP) {
                assertThat(step.position()).as("a thin string does not").isEqualTo(I);
                assertThat(figure(step, StepFigure.WALL_GAP)).isPositive();
            }
            if (step.kind() == StepKind.WIND_TO_WALL) {
                assertThat(step.position()).isEqualTo(IV);
            }
        }
        assertThat(plan.windingOf(I).wall()).isEqualTo(Wall.WOUND_TO_WALL);
        assertThat(plan.windingOf(IV).wall()).isEqualTo(Wall.WOUND_TO_WALL);
    }

    /** What is cut off, or wrapped, is not wound; gut and synthetic are never cut. */
    @ParameterizedTest
    @CsvSource({
        "ROPE_STEEL, TRIMMED_BEFORE_FITTING, true, 3",
        "PLAIN_STEEL, TRIMMED_BEFORE_FITTING, true, 3",
        "SYNTHETIC, TRIMMED_BEFORE_FITTING, false, 7",
        "GUT, TRIMMED_BEFORE_FITTING, false, 7",
        "ROPE_STEEL, WRAPPED, false, 3",
        "GUT, WRAPPED, false, 3"
    })
    void aTrimmedStringIsWoundByWhatIsLeft(StringCore core, Schools.SpareTip spareTip, boolean cut, double turns) {
        SetUp bass = Examples.instrument(Family.BASS);
        Map<Position, StringSpec> set = Examples.set(bass);
        StringSpec usual = set.get(IV);
        double longerMm = 4.8 * Math.PI * (bass.value(Quantity.SHAFT_DIAMETER) + usual.diameterMm());
        StringSpec longer = Examples.with(usual, core, usual.totalLengthMm() + longerMm);
        Schools schools = Schools.usual(Family.BASS);
        ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(bass, set, Map.of(IV, longer))
                .by(schools.with(
                        schools.bass().lowestWay(), spareTip, schools.bass().felts())));
        assertThat(figure(first(plan, StepKind.WIND_BY_CRANK), StepFigure.TURNS))
                .isCloseTo(turns, within(0.5));
        assertThat(kinds(plan).contains(StepKind.TRIM_TIP)).isEqualTo(cut);
        double tipMm = figure(first(plan, StepKind.LOCK_FAR_SIDE_THEN_CROSS), StepFigure.TIP);
        assertThat(tipMm > 100).as("%s mm of tip are wrapped", tipMm).isEqualTo(spareTip == Schools.SpareTip.WRAPPED);
        if (cut) {
            Step trim = first(plan, StepKind.TRIM_TIP);
            double perTurnMm = Math.PI * (bass.value(Quantity.SHAFT_DIAMETER) + longer.diameterMm());
            double pastMm = longer.totalLengthMm()
                    - bass.value(Quantity.AFTERLENGTH)
                    - bass.value(Quantity.VIBRATING_LENGTH)
                    - bass.value(Quantity.NUT_TO_PEG, IV);
            assertThat(figure(trim, StepFigure.BEND) + figure(trim, StepFigure.TIP) + figure(trim, StepFigure.TRIM))
                    .as("to the bend, the tip beyond it and what comes off are all there was")
                    .isCloseTo(pastMm, within(1e-6));
            assertThat(figure(trim, StepFigure.TRIM)).isGreaterThan(3 * perTurnMm);
        }
    }

    /** Every set of broken strings, every school, four strings and five: a plan, or a refusal with its figure. */
    @ParameterizedTest
    @MethodSource("instruments")
    void whateverIsBrokenThereIsAPlanOrARefusal(SetUp setUp) {
        Map<Position, StringSpec> set = Examples.set(setUp);
        int all = (1 << set.size()) - 1;
        for (int chosen = 1; chosen <= all; chosen++) {
            for (int broken = chosen; broken > 0; broken = broken - 1 & chosen) {
                Map<Position, StringSpec> some = new EnumMap<>(set);
                some.keySet().retainAll(positions(setUp, chosen));
                ChangeRequest request = ChangeRequest.usual(setUp, set, some).withBroken(positions(setUp, broken));
                ChangePlanner.compare(request).forEach((schools, plan) -> {
                    assertThat(plan.order()).containsExactlyInAnyOrderElementsOf(some.keySet());
                    assertThat(plan.steps().get(plan.steps().size() - 1).tensionsAfterN())
                            .isEqualTo(plan.tensionsAfterN());
                    assertThat(plan.refused()).isEqualTo(plan.refusedAt().isPresent());
                    assertThat(plan.refusals())
                            .allMatch(refusal -> !refusal.figures().isEmpty());
                });
            }
        }
    }

    static Stream<SetUp> instruments() {
        return Arrays.stream(Family.values())
                .flatMap(family -> Stream.of(false, true).map(five -> Examples.instrument(family, 0, five)));
    }

    private static Set<Position> positions(SetUp setUp, int bits) {
        return setUp.positions().stream()
                .filter(position -> (bits >> position.ordinal() & 1) == 1)
                .collect(Collectors.toSet());
    }

    /** What did not help is a repairer's in the end, and the work still comes to its end. */
    @ParameterizedTest
    @EnumSource(Mishap.Kind.class)
    void whatDidNotHelpIsReferred(Mishap.Kind kind) {
        for (Family family : Family.values()) {
            ChangePlan plan = plan(6, family, 0, false, 4);
            Mishap mishap = new Mishap(kind, III, BreakPlace.BRIDGE);
            int at = first(plan, StepKind.TUNING_ROUND).index();
            List<Boolean> referred = IntStream.range(0, 4)
                    .mapToObj(times -> kinds(Examples.amended(plan, at, mishap, times, Optional.empty()))
                            .contains(StepKind.LEAVE_TO_REPAIRER))
                    .toList();
            assertThat(referred).as("in the end").endsWith(true);
            assertThat(referred.get(0)).isEqualTo(kind == Mishap.Kind.POST_RATTLES);
            for (int times = 0; times < 4; times++) {
                assertThat(MishapPlanner.refers(plan, mishap, times)).isEqualTo(referred.get(times));
            }
        }
    }

    @Test
    void aStringThatBreaksTwiceAtOnePlaceStaysOffUntilTheInstrumentIsSeenTo() {
        ChangePlan plan = Examples.plan(III);
        int at = first(plan, StepKind.TUNING_ROUND).index();
        Mishap broke = new Mishap(Mishap.Kind.STRING_BROKE, I, BreakPlace.BRIDGE);
        ChangePlan again = Examples.amended(plan, at, broke, 1, Optional.empty());
        assertThat(kinds(again).subList(at, again.steps().size()))
                .startsWith(StepKind.BACK_OUT_FINE_TUNER, StepKind.TAKE_OUT_REMAINS, StepKind.LEAVE_TO_REPAIRER)
                .endsWith(StepKind.RECORD);
        assertThat(again.steps().get(again.steps().size() - 1).tensionsAfterN().get(I))
                .isZero();
    }

    @Test
    void onStageTheGuardIsSeatedAndTheOthersTunedAgain() {
        SetUp violin = Examples.VIOLIN;
        Map<Position, StringSpec> set = Examples.violinSet();
        ChangePlan plan = RepairPlanner.emergency(
                ChangeRequest.usual(violin, set, Map.of(I, set.get(I))).withBroken(Set.of(I)));
        assertThat(plan.kind()).isEqualTo(PlanKind.EMERGENCY);
        assertThat(kinds(plan))
                .startsWith(StepKind.BACK_OUT_FINE_TUNER, StepKind.TAKE_OUT_REMAINS)
                .endsWith(StepKind.TUNING_ROUND, StepKind.SEAT_TUBE, StepKind.RECORD);
    }

    @Test
    void theHandsAreTold() {
        ChangePlan violin = Examples.plan(I, II);
        assertThat(kinds(violin))
                .containsSubsequence(StepKind.WASH_HANDS, StepKind.GRAPHITE)
                .containsSubsequence(StepKind.SEAT_IN_GROOVES, StepKind.CLOSE_UP_TURNS, StepKind.BRING_UP);
        assertThat(violin.steps())
                .filteredOn(step -> step.kind() == StepKind.GRAPHITE)
                .allMatch(step -> step.cautions().contains(Caution.PENCIL_SLIPS));
        assertThat(violin.owed()).as("a synthetic string, tapered pegs").containsExactly(StepKind.SET_PEG_ANGLES);
        assertThat(Examples.plan(I).owed()).isEmpty();
        assertThat(plan(6, Examples.with(PegKind.GEARED, Examples.VIOLIN), 0b11).owed())
                .as("gears are not drawn for a better angle")
                .isEmpty();
        assertThat(kinds(plan(1, Family.VIOLA, 0, false, 1)))
                .containsSubsequence(
                        StepKind.UNHOOK_IN_ORDER,
                        StepKind.TIE_STRINGS,
                        StepKind.CHANGE_TAILPIECE,
                        StepKind.HOOK_BACK,
                        StepKind.CHECK_STRING_PLACES,
                        StepKind.RAISE_ALL);
        SetUp bass = Examples.instrument(Family.BASS);
        Map<Position, StringSpec> set = Examples.set(bass);
        Schools knotted = Schools.usual(Family.BASS)
                .with(Schools.FirstEnd.PEG_FIRST, Lock.TWICE_THROUGH_HOLE, Schools.AtWall.SMALL_GAP);
        ChangeRequest request = ChangeRequest.usual(bass, set, Map.of(III, set.get(III)));
        assertThat(first(ChangePlanner.plan(request.by(knotted)), StepKind.BRING_UP)
                        .cautions())
                .contains(Caution.TIP_ON_NEIGHBOUR);
        assertThat(first(ChangePlanner.plan(request), StepKind.BRING_UP).cautions())
                .doesNotContain(Caution.TIP_ON_NEIGHBOUR);
    }
}
