package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static rosinedpeg.core.strings.Position.I;
import static rosinedpeg.core.strings.Position.II;
import static rosinedpeg.core.strings.Position.III;
import static rosinedpeg.core.strings.Position.IV;
import static rosinedpeg.core.strings.Position.V;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.Consequence;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;

/** What comes of what a person does. */
class PracticeInstrumentTest {

    private static final SetUp VIOLIN = Examples.VIOLIN;
    private static final Map<Position, StringSpec> SET = Examples.set(VIOLIN);

    private final List<Consequence> happened = new ArrayList<>();

    private PracticeInstrument act(PracticeInstrument from, Action... actions) {
        PracticeInstrument now = from;
        for (Action action : actions) {
            PracticeInstrument.Outcome outcome = now.act(action);
            now = outcome.after();
            happened.addAll(outcome.consequences());
        }
        return now;
    }

    private static PracticeInstrument strung() {
        return PracticeInstrument.strung(VIOLIN, SET, 7);
    }

    @Test
    void aDegreeOfPegMovesThePitchAsTheArithmeticSays() {
        PracticeInstrument turned = act(strung(), new Action.TurnPeg(II, 10), new Action.Pluck(II));
        double cents = ((Consequence.Sounded) happened.get(0)).cents();
        double drawnMm = Math.toRadians(10) * (7.6 + 0.68) / 2;
        assertThat(cents).isCloseTo(VIOLIN.elasticity(SET.get(II)).centsForMm(drawnMm), within(1e-6));
        assertThat(turned.tensionN(III)).as("the others sink").isLessThan(strung().tensionN(III));
        assertThat(turned.lean().degrees()).isPositive();
        assertThat(strung().shares().treble()).isCloseTo(1, within(1e-9));
    }

    @Test
    void graphiteLetsTheBridgeStandStill() {
        PracticeInstrument dry = act(strung(), new Action.TurnPeg(III, 60));
        PracticeInstrument graphited =
                act(strung(), new Action.SetAside(III), new Action.RubGraphite(III), new Action.LayBack(III));
        double before = graphited.lean().degrees();
        graphited = act(graphited, new Action.TurnPeg(III, 60));
        assertThat(graphited.graphited()).containsExactly(III);
        assertThat(graphited.lean().degrees() - before).isCloseTo(dry.lean().degrees() * 0.12 / 0.5, within(0.01));
    }

    @Test
    void aPegThatWasTurnedBackHasToBePushedInAgain() {
        PracticeInstrument loosened =
                act(strung(), new Action.TurnPeg(II, -700), new Action.TurnPeg(II, 700), new Action.LetGo(II));
        assertThat(happened).hasSize(1);
        assertThat(((Consequence.Slipped) happened.get(0)).degrees()).isPositive();
        assertThat(loosened.tensionN(II)).isLessThan(10);
        happened.clear();
        PracticeInstrument pushed = act(
                loosened, new Action.Push(II), new Action.Push(II), new Action.TurnPeg(II, 100), new Action.LetGo(II));
        assertThat(happened).isEmpty();
        assertThat(pushed.tensionN(II)).isGreaterThan(loosened.tensionN(II));
    }

    @Test
    void aStringThatIsDrawnTooFarBreaks() {
        PracticeInstrument broken = act(strung(), new Action.TurnPeg(I, 90));
        assertThat(happened.get(0)).isInstanceOf(Consequence.Broke.class);
        assertThat(((Consequence.Broke) happened.get(0)).tensionN()).isGreaterThan(136);
        assertThat(broken.broken()).containsExactly(I);
        assertThat(broken.tensionN(I)).isZero();
        assertThat(broken.tensionN(II)).as("the others rise").isGreaterThan(strung().tensionN(II));
        act(broken, new Action.Pluck(I), new Action.TurnPeg(I, 10));
        assertThat(happened)
                .endsWith(new Consequence.Silent(I), new Consequence.NotPossible(Consequence.Why.NO_STRING_THERE));
        PracticeInstrument again = act(broken, new Action.Thread(SET.get(I), Lock.FAR_SIDE_THEN_CROSS, 5));
        assertThat(again.broken()).isEmpty();
    }

    @Test
    void aTipThatIsTooShortPullsOut() {
        PracticeInstrument bare = act(strung(), new Action.TurnPeg(II, -700), new Action.TakeOff(II, true));
        assertThat(bare.strings()).doesNotContainKey(II);
        PracticeInstrument threaded =
                act(bare, new Action.Thread(SET.get(II), Lock.FAR_SIDE_THEN_CROSS, 0), new Action.TurnPeg(II, 120));
        assertThat(happened).containsExactly(new Consequence.TipPulledOut(II));
        assertThat(threaded.tensionN(II)).isZero();
        happened.clear();
        act(bare, new Action.Thread(SET.get(II), Lock.FAR_SIDE_THEN_CROSS, 4), new Action.TurnPeg(II, 120));
        assertThat(happened).isEmpty();
    }

    @Test
    void whatCannotBeDoneIsSaid() {
        PracticeInstrument strung = strung();
        act(
                strung,
                new Action.TakeOff(II, true),
                new Action.RubGraphite(II),
                new Action.LayBack(II),
                new Action.Thread(SET.get(II), Lock.STRAIGHT_TO_WALL, 4));
        assertThat(happened)
                .containsExactly(
                        new Consequence.NotPossible(Consequence.Why.STRING_STILL_UNDER_TENSION),
                        new Consequence.NotPossible(Consequence.Why.STRING_STILL_IN_ITS_GROOVE),
                        new Consequence.NotPossible(Consequence.Why.NOT_SET_ASIDE),
                        new Consequence.NotPossible(Consequence.Why.STRING_ALREADY_THERE));
        assertThatThrownBy(() -> strung.act(new Action.Pluck(V))).hasMessageContaining("position is V");
        assertThatThrownBy(() -> new Action.TurnPeg(I, 2000)).hasMessageContaining("degrees is 2000");
        assertThatThrownBy(() -> new Action.Thread(SET.get(I), Lock.STRAIGHT_TO_WALL, 70))
                .hasMessageContaining("tipMm is 70");
        assertThatThrownBy(() -> new Action.EaseBridge(4)).hasMessageContaining("degrees is 4");
        assertThatThrownBy(() -> PracticeInstrument.strung(VIOLIN, Map.of(), 1))
                .hasMessageContaining("strings are at []");
    }

    @Test
    void aBridgeThatIsEasedTooFarFallsAndThePostMayFollow() {
        PracticeInstrument fallen = strung();
        for (int i = 0; i < 4 && fallen.bridgeStands(); i++) {
            fallen = act(fallen, new Action.EaseBridge(-3));
        }
        assertThat(fallen.bridgeStands()).isFalse();
        assertThat(happened).contains(new Consequence.BridgeFell());
        assertThat(fallen.tensionN(I)).isZero();
        for (int i = 0; i < 20; i++) {
            fallen = act(fallen, new Action.EaseBridge(1));
        }
        assertThat(fallen.postStands()).as("nothing holds it").isFalse();
        assertThat(happened)
                .contains(new Consequence.PostFell(), new Consequence.NotPossible(Consequence.Why.BRIDGE_IS_DOWN));
    }

    @Test
    void allStringsOffLosesThePostSoonerOrLaterAndABareBallScratches() {
        int postsLost = 0;
        int scratched = 0;
        for (long seed = 0; seed < 60; seed++) {
            PracticeInstrument bare = PracticeInstrument.strung(VIOLIN, SET, seed);
            for (Position position : List.of(II, I, IV, III)) {
                bare = act(bare, new Action.TurnPeg(position, -900), new Action.TakeOff(position, position == IV));
            }
            postsLost += bare.postStands() ? 0 : 1;
            scratched += bare.scratches();
        }
        assertThat(postsLost).isBetween(45, 60);
        assertThat(scratched).isBetween(60, 120);
        PracticeInstrument careful = act(strung(), new Action.TurnPeg(III, -900), new Action.TakeOff(III, true));
        assertThat(careful.postStands()).isTrue();
        assertThat(careful.scratches()).isZero();
    }

    @Test
    void machineHeadsDoNotSlip() {
        SetUp bass = Examples.instrument(Family.BASS);
        PracticeInstrument turned = PracticeInstrument.strung(bass, Examples.set(bass), 3);
        act(turned, new Action.TurnPeg(II, -30), new Action.TurnPeg(II, 30), new Action.LetGo(II));
        assertThat(happened).isEmpty();
    }

    @Test
    void whatSlipsAsideOrIsEasedFollowsTheArithmetic() {
        double targetN = VIOLIN.tensionN(SET.get(III));
        PracticeInstrument loose = act(strung(), new Action.TurnPeg(III, -600), new Action.TurnPeg(III, 600));
        double beforeN = loose.tensionN(III);
        PracticeInstrument slipped = act(loose, new Action.LetGo(III));
        assertThat(slipped.tensionN(III)).as("a peg without grip holds nothing").isCloseTo(0, within(1e-9));
        double perDegreeMm = Math.toRadians(1) * (7.6 + 0.8) / 2;
        double stiffness = 1400 / VIOLIN.elasticity(SET.get(III)).freeLengthMm();
        assertThat(((Consequence.Slipped) happened.get(0)).degrees())
                .isCloseTo(beforeN / stiffness / perDegreeMm, within(1e-6));

        PracticeInstrument aside = act(strung(), new Action.SetAside(III));
        assertThat(aside.tensionN(III)).isCloseTo(0.25 * targetN, within(1e-6));
        PracticeInstrument back = act(aside, new Action.LayBack(III));
        assertThat(back.tensionN(III)).isCloseTo(targetN, within(1e-6));
        assertThat(back.lean().degrees()).as("down and up again drag both ways").isCloseTo(0, within(0.5));

        PracticeInstrument easedDry = act(strung(), new Action.EaseBridge(1));
        assertThat(easedDry.lean().degrees()).isCloseTo(-0.5, within(1e-9));
        PracticeInstrument smooth = strung();
        for (Position position : VIOLIN.positions()) {
            smooth = act(
                    smooth,
                    new Action.SetAside(position),
                    new Action.RubGraphite(position),
                    new Action.LayBack(position));
        }
        double before = smooth.lean().degrees();
        assertThat(act(smooth, new Action.EaseBridge(1)).lean().degrees()).isCloseTo(before - 1, within(1e-9));

        happened.clear();
        act(aside, new Action.Pluck(III));
        assertThat(happened).containsExactly(new Consequence.Silent(III));
    }

    private static List<Action> clumsy(Random random, int many) {
        List<Action> actions = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            Position position = Position.ofNumber(1 + random.nextInt(4));
            actions.add(
                    switch (random.nextInt(11)) {
                        case 0, 1 -> new Action.TurnPeg(position, random.nextInt(400) - 250);
                        case 2 -> new Action.LetGo(position);
                        case 3 -> new Action.Push(position);
                        case 4 -> new Action.SetAside(position);
                        case 5 -> new Action.LayBack(position);
                        case 6 -> new Action.TakeOff(position, random.nextBoolean());
                        case 7 -> new Action.Thread(SET.get(position), Lock.FAR_SIDE_THEN_CROSS, random.nextInt(8));
                        case 8 -> new Action.RubGraphite(position);
                        case 9 -> new Action.EaseBridge(random.nextInt(5) - 2);
                        default -> new Action.Pluck(position);
                    });
        }
        return actions;
    }

    /** What a clumsy hand comes to, action by action, to be compared when what happens is changed. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1 | [0.00, 0.00, 0.00, 50.34] lean -3.067, 282.137; {Broke=1, NotPossible=16, PostFell=1, Silent=2}
            2 | [0.00, 0.00, 75.63, 53.37] lean 0.655, 792.068; {NotPossible=12, Silent=1, Slipped=1, Sounded=4}
            3 | [19.50, 42.55, 78.31, 21.03] lean 1.095, -2792.679; {NotPossible=14, Sounded=5}
            4 | [0.00, 94.07, 0.00, 0.00] lean -0.699, 225.716; {NotPossible=12, Silent=1, Sounded=1, VarnishScratched=1}
            5 | [79.17, 84.60, 26.34, 0.00] lean 0.957, 873.041; {NotPossible=14, Silent=1, Sounded=2}
            6 | [78.95, 0.00, 68.20, 0.71] lean -0.749, 1215.753; {NotPossible=7, Sounded=5}
            7 | [0.00, 13.46, 0.00, 44.14] lean -1.169, 256.845; {NotPossible=11, PostFell=1, Silent=3, Slipped=1, Sounded=1}
            8 | [20.40, 13.42, 43.55, 28.24] lean 1.327, 848.947; {NotPossible=12, Silent=1, Sounded=2}
            """)
    void clumsyHandsOnRecord(int seed, String expected) {
        PracticeInstrument now = PracticeInstrument.strung(VIOLIN, SET, seed);
        Map<String, Integer> counts = new TreeMap<>();
        double felt = 0;
        for (Action action : clumsy(new Random(seed), 40)) {
            PracticeInstrument.Outcome outcome = now.act(action);
            now = outcome.after();
            for (Consequence consequence : outcome.consequences()) {
                counts.merge(consequence.getClass().getSimpleName(), 1, Integer::sum);
                if (consequence instanceof Consequence.Slipped slipped) {
                    felt += slipped.degrees();
                } else if (consequence instanceof Consequence.Broke broke) {
                    felt += broke.tensionN();
                } else if (consequence instanceof Consequence.Sounded sounded) {
                    felt += sounded.cents();
                }
            }
            felt += now.lean().degrees()
                    + now.shares().treble()
                    + now.strings().values().stream()
                            .mapToDouble(string -> string.grip() + (string.held() ? 1 : 0))
                            .sum();
        }
        List<String> tensions = new ArrayList<>();
        for (Position position : VIOLIN.positions()) {
            tensions.add(String.format(Locale.ROOT, "%.2f", now.tensionN(position)));
        }
        assertThat(String.format(
                        Locale.ROOT,
                        "%s lean %.3f, %.3f; %s",
                        tensions,
                        now.lean().degrees(),
                        felt,
                        counts))
                .isEqualTo(expected);
    }

    /** The same seed and the same actions always lead to the same end, and the load never leaves what is possible. */
    @Property(tries = 60)
    void theSameActionsLeadToTheSameEnd(@ForAll Random random) {
        List<Action> actions = clumsy(random, 30);
        PracticeInstrument one = strung();
        PracticeInstrument other = strung();
        for (Action action : actions) {
            PracticeInstrument.Outcome first = one.act(action);
            PracticeInstrument.Outcome second = other.act(action);
            assertThat(first.consequences()).isEqualTo(second.consequences());
            one = first.after();
            other = second.after();
            assertThat(one.strings()).isEqualTo(other.strings());
            for (Position position : VIOLIN.positions()) {
                assertThat(one.tensionN(position)).isNotNegative();
            }
        }
    }
}
