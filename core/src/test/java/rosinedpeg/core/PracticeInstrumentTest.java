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
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.bridge.ThrustBand;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.Action.TurnPeg;
import rosinedpeg.core.simulation.Consequence;
import rosinedpeg.core.simulation.Consequence.NotPossible;
import rosinedpeg.core.simulation.Consequence.Why;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/** What comes of what a person does to an instrument that cannot be hurt. */
class PracticeInstrumentTest {

    private static final SetUp VIOLIN = Examples.VIOLIN;
    private static final Map<Position, StringSpec> SET = Examples.set(VIOLIN);
    private static final PracticeStart START = PracticeStart.usual(VIOLIN, SET, 7);

    private final List<Consequence> happened = new ArrayList<>();

    private PracticeInstrument act(PracticeInstrument from, Action... actions) {
        PracticeInstrument now = from;
        for (Action action : actions) {
            PracticeInstrument.Outcome outcome = now.act(action);
            now = outcome.after();
            outcome.consequences().stream()
                    .filter(one -> !(one instanceof Consequence.OthersMoved))
                    .forEach(happened::add);
        }
        return now;
    }

    private static PracticeInstrument strung() {
        return PracticeInstrument.of(START);
    }

    private static Action[] off(Position position) {
        return new Action[] {
            new TurnPeg(position, -1080, false, true),
            new TurnPeg(position, -1080, false, true),
            new Action.TakeOff(position, true)
        };
    }

    private static Action[] on(Position position) {
        return new Action[] {
            new Action.Hang(position),
            new Action.Thread(position, Lock.FAR_SIDE_THEN_CROSS, 15),
            new Action.LayBack(position)
        };
    }

    /** Whatever family and string: what it comes to is what the planner says of loads, pitches, lean and turns. */
    @Property(tries = 200)
    void agreesWithThePlanner(
            @ForAll Family family,
            @ForAll @IntRange(min = 1, max = 4) int string,
            @ForAll Random random,
            @ForAll boolean graphited) {
        SetUp setUp = Examples.instrument(family);
        Map<Position, StringSpec> set = Examples.set(setUp);
        Position position = Position.ofNumber(string);
        PracticeInstrument strung = PracticeInstrument.of(
                PracticeStart.usual(setUp, set, random.nextLong()).graphited(graphited ? Set.of(position) : Set.of()));
        PracticeInstrument off = act(strung, off(position));
        Map<Position, Double> left = new EnumMap<>(off.tensionsN());
        assertThat(left.get(position)).isZero();
        assertThat(off.shares()).isEqualTo(new InstrumentLoad(setUp, setUp.tensionsN(set)).shares(left));

        PracticeInstrument hung = act(off, on(position));
        double toGo =
                WindingPlan.of(setUp, position.in(set), WindingChoice.USUAL).shaftDegrees();
        PracticeInstrument up = hung;
        while (toGo > 1e-9) {
            double step = Math.min(toGo, 1 + random.nextInt(400));
            up = act(up, new TurnPeg(position, step, true, true));
            toGo -= step;
        }
        double fullN = setUp.tensionN(position.in(set));
        assertThat(up.tensionN(position)).isCloseTo(fullN, within(1e-6));
        assertThat(up.cents(position).orElseThrow().value()).isCloseTo(0, within(1e-6));
        assertThat(up.strings().get(position).turnedDegrees() / 360)
                .isCloseTo(
                        WindingPlan.of(setUp, position.in(set), WindingChoice.USUAL)
                                .turns()
                                .count(),
                        within(1e-6));
        double allN = setUp.tensionsN(set).values().stream().mapToDouble(x -> x).sum();
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        assertThat(up.lean().gapMm(height) - hung.lean().gapMm(height))
                .isCloseTo(
                        Drag.ofRaising(setUp, position.in(set), graphited ? Drag.GRAPHITED : Drag.DRY, allN)
                                .gapMm(height),
                        within(1e-6));
        for (Position other : setUp.positions()) {
            if (other != position) {
                assertThat(up.tensionN(other) - hung.tensionN(other))
                        .isCloseTo(
                                Coupling.usual(family)
                                        .changeN(
                                                fullN,
                                                setUp.elasticity(other.in(set)).stiffnessNPerMm()),
                                within(1e-6));
            }
        }
        assertThat(happened)
                .as("nothing goes wrong in a careful hand")
                .noneMatch(one -> one instanceof Consequence.Broke || one instanceof Consequence.TipPulledOut);
    }

    @Test
    void aPegThatWasTurnedBackHasToBePushedInAgain() {
        PracticeInstrument loosened = act(
                strung(), new TurnPeg(II, -700, false, true), new TurnPeg(II, 700, false, true), new Action.LetGo(II));
        assertThat(happened).hasSize(1).first().isInstanceOf(Consequence.Slipped.class);
        assertThat(loosened.tensionN(II)).isLessThan(10);
        happened.clear();
        PracticeInstrument pushed = act(
                loosened,
                new Action.Push(II),
                new Action.Push(II),
                new TurnPeg(II, 220, true, true),
                new Action.LetGo(II));
        assertThat(happened).isEmpty();
        assertThat(pushed.tensionN(II)).isGreaterThan(loosened.tensionN(II));
        PracticeInstrument slippery = PracticeInstrument.of(START.with(Map.of(II, PegCondition.SLIPS)));
        act(slippery, new Action.LetGo(II));
        assertThat(happened).hasSize(1).first().isInstanceOf(Consequence.Slipped.class);
        SetUp bass = Examples.instrument(Family.BASS);
        happened.clear();
        act(
                PracticeInstrument.of(PracticeStart.usual(bass, Examples.set(bass), 3)),
                new TurnPeg(II, -30, false, true),
                new TurnPeg(II, 30, false, true),
                new Action.LetGo(II));
        assertThat(happened).as("machine heads hold").isEmpty();
    }

    @Test
    void aStringThatIsDrawnTooFarBreaksAndIsReplaced() {
        PracticeInstrument broken = act(strung(), new TurnPeg(I, 90, true, true));
        assertThat(happened.get(0)).isInstanceOf(Consequence.Broke.class);
        assertThat(broken.broken()).containsExactly(I);
        assertThat(broken.tensionN(II)).as("the others rise").isGreaterThan(strung().tensionN(II));
        act(broken, new Action.Pluck(I), new TurnPeg(I, 10, true, true));
        assertThat(happened).endsWith(new Consequence.Silent(I), new NotPossible(Why.NO_STRING_THERE));
        assertThat(act(broken, new Action.Hang(I)).broken()).isEmpty();
    }

    @Test
    void aTipThatIsTooShortPullsOut() {
        PracticeInstrument bare = act(strung(), off(II));
        PracticeInstrument threaded = act(
                bare,
                new Action.Hang(II),
                new Action.Thread(II, Lock.FAR_SIDE_THEN_CROSS, 0),
                new Action.LayBack(II),
                new TurnPeg(II, 1080, true, true),
                new TurnPeg(II, 200, true, true));
        assertThat(happened).contains(new Consequence.TipPulledOut(II));
        assertThat(threaded.tensionN(II)).isZero();
    }

    /** What is not guided crosses sooner or later, and slides off when it is drawn up. */
    @Test
    void turnsThatAreNotGuidedCrossAndThenClimb() {
        int crossed = 0;
        for (long seed = 0; seed < 40; seed++) {
            happened.clear();
            PracticeInstrument bare = act(PracticeInstrument.of(PracticeStart.usual(VIOLIN, SET, seed)), off(III));
            PracticeInstrument up = act(bare, on(III));
            for (int turn = 0; turn < 8; turn++) {
                up = act(up, new TurnPeg(III, 170, true, false));
            }
            if (happened.contains(new Consequence.TurnsCrossed(III))) {
                crossed++;
                double before = up.strings().get(III).turnedDegrees();
                up = act(up, new TurnPeg(III, 250, true, true));
                assertThat(up.strings().get(III).turnedDegrees()).isGreaterThan(before);
            }
        }
        assertThat(crossed).isBetween(15, 40);
        assertThat(happened.stream().anyMatch(one -> one instanceof Consequence.TurnsClimbed) || crossed > 0)
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "STICKS, PEG_COMPOUND, true", "STICKS, LUBRICATING_PASTE, true", "STICKS, GRIPPING_DROPS, false",
        "SLIPS, PEG_COMPOUND, true", "SLIPS, LUBRICATING_PASTE, false", "SLIPS, GRIPPING_DROPS, true",
        "SLIPS, CLEANED, false", "FITS, DRY_SOAP, false"
    })
    void whatCuresOneIsWrongForTheOther(PegCondition was, PegTreatment treatment, boolean cured) {
        PracticeInstrument with = act(PracticeInstrument.of(START.with(Map.of(IV, was))), off(IV));
        happened.clear();
        PracticeInstrument treated = act(with, new Action.TreatPeg(IV, treatment));
        assertThat(treated.pegs().get(IV) == PegCondition.FITS).isEqualTo(cured);
        assertThat(happened).containsExactly(cured ? new Consequence.Cured(IV) : new Consequence.NotCured(IV));
    }

    @Test
    void aPegThatSticksJumps() {
        PracticeInstrument sticks = PracticeInstrument.of(START.with(Map.of(I, PegCondition.STICKS)));
        assertThat(act(sticks, new TurnPeg(I, 3, true, true)).tensionN(I)).isEqualTo(sticks.tensionN(I));
        act(sticks, new TurnPeg(I, 5, true, true));
        assertThat(happened).contains(new Consequence.Jerked(I, 0), new Consequence.Jerked(I, 8));
    }

    @Test
    void whatCannotBeDoneIsSaid() {
        PracticeInstrument strung = strung();
        act(
                strung,
                new Action.TakeOff(II, true),
                new Action.SetAside(II),
                new Action.RubGraphite(II),
                new Action.LayBack(II),
                new Action.Hang(II),
                new Action.Thread(II, Lock.STRAIGHT_TO_WALL, 4),
                new Action.TreatPeg(II, PegTreatment.CHALK),
                new Action.StandBridge());
        assertThat(happened)
                .containsExactly(
                        new NotPossible(Why.STRING_STILL_UNDER_TENSION),
                        new NotPossible(Why.STRING_STILL_UNDER_TENSION),
                        new NotPossible(Why.STRING_STILL_IN_ITS_GROOVE),
                        new NotPossible(Why.NOT_SET_ASIDE),
                        new NotPossible(Why.HANGS_ALREADY),
                        new NotPossible(Why.THREADED_ALREADY),
                        new NotPossible(Why.STRING_ALREADY_THERE),
                        new NotPossible(Why.BRIDGE_STANDS));
        happened.clear();
        PracticeInstrument bare = act(strung, off(II));
        act(bare, new Action.Hang(II), new TurnPeg(II, 10, true, true));
        act(
                bare,
                new Action.Thread(II, Lock.FAR_SIDE_THEN_CROSS, 5),
                new TurnPeg(II, 1080, true, true),
                new TurnPeg(II, 1080, true, true),
                new Action.Hang(II));
        assertThat(happened)
                .containsExactly(new NotPossible(Why.NOT_AT_THE_PEG), new NotPossible(Why.TOO_SHORT_TO_HANG));
        assertThatThrownBy(() -> strung.act(new Action.Pluck(V))).hasMessageContaining("position is V");
        assertThatThrownBy(() -> new TurnPeg(I, 2000, true, true)).hasMessageContaining("degrees is 2000");
        assertThatThrownBy(() -> PracticeStart.usual(VIOLIN, Map.of(), 1)).hasMessageContaining("strings are at []");
    }

    /** Beside its groove a string cannot be drawn up; graphite goes in while it lies there. */
    @Test
    void aStringLiesBesideItsGrooveForGraphiteAndNotForPitch() {
        PracticeInstrument aside = act(strung(), new TurnPeg(III, -170, false, true), new Action.SetAside(III));
        assertThat(happened).isEmpty();
        assertThat(act(aside, new Action.RubGraphite(III)).graphited()).containsExactly(III);
        assertThat(aside.cents(III)).isEmpty();
        PracticeInstrument slid = act(aside, new TurnPeg(III, 90, true, true));
        assertThat(happened).containsExactly(new Consequence.SlidOff(III));
        assertThat(slid.tensionN(III)).isZero();
    }

    @Test
    void aBridgeThatIsEasedTooFarFallsAndIsStoodUpAgainUnlessThePostFell() {
        int stoodUp = 0;
        for (long seed = 0; seed < 30; seed++) {
            happened.clear();
            PracticeInstrument fallen = PracticeInstrument.of(PracticeStart.usual(VIOLIN, SET, seed));
            for (int i = 0; i < 6 && fallen.bridgeStands(); i++) {
                fallen = act(fallen, new Action.EaseBridge(-3));
            }
            assertThat(fallen.bridgeStands()).isFalse();
            assertThat(fallen.tensionN(I)).isZero();
            assertThat(happened).contains(new Consequence.BridgeFell());
            act(fallen, new Action.HoldCard());
            assertThat(happened).contains(new NotPossible(Why.BRIDGE_IS_DOWN));
            for (Position position : VIOLIN.positions()) {
                fallen = act(fallen, new TurnPeg(position, -700, false, true));
            }
            PracticeInstrument again = act(fallen, new Action.StandBridge());
            if (again.bridgeStands()) {
                stoodUp++;
                assertThat(again.lean().degrees()).isZero();
            } else {
                assertThat(happened).contains(new Consequence.PostFell(), new NotPossible(Why.POST_IS_DOWN));
            }
        }
        assertThat(stoodUp).isBetween(5, 25);
    }

    @Test
    void allStringsOffLosesBridgeAndSoonerOrLaterThePostAndABareBallScratches() {
        int postsLost = 0;
        int scratched = 0;
        for (long seed = 0; seed < 60; seed++) {
            PracticeInstrument bare = PracticeInstrument.of(PracticeStart.usual(VIOLIN, SET, seed));
            for (Position position : List.of(II, I, IV, III)) {
                bare = act(
                        bare, new TurnPeg(position, -900, false, true), new Action.TakeOff(position, position == IV));
            }
            assertThat(bare.bridgeStands()).isFalse();
            postsLost += bare.postStands() ? 0 : 1;
            scratched += bare.scratches();
        }
        assertThat(postsLost).isBetween(15, 50);
        assertThat(scratched).isBetween(60, 120);
        PracticeInstrument careful = act(strung(), off(III));
        assertThat(careful.postStands()).isTrue();
        assertThat(careful.scratches()).isZero();
    }

    /** Drawn up in dry grooves again and again the bridge comes along until it says so. */
    @Test
    void dryGroovesDragTheBridgeIntoTheNextBand() {
        Figure all = Figure.byDefault(1, Unit.SHARE);
        PracticeInstrument now = PracticeInstrument.of(new PracticeStart(
                VIOLIN,
                SET,
                Map.of(),
                Set.of(),
                Coupling.usual(Family.VIOLIN),
                new StuckShares(all, all),
                LoadBands.USUAL,
                1));
        for (int round = 0; round < 12 && happened.isEmpty(); round++) {
            now = act(now, new TurnPeg(IV, 25, true, true), new TurnPeg(III, 25, true, true));
        }
        Consequence.Leaned leaned = happened.stream()
                .filter(Consequence.Leaned.class::isInstance)
                .map(Consequence.Leaned.class::cast)
                .findFirst()
                .orElseThrow();
        assertThat(leaned.dry()).isTrue();
        assertThat(leaned.lean().degrees()).isPositive();
        assertThat(leaned.band()).isNotEqualTo(ThrustBand.UPRIGHT);
    }

    private static List<Action> clumsy(Random random, int many) {
        return IntStream.range(0, many).mapToObj(i -> clumsy(random)).toList();
    }

    private static Action clumsy(Random random) {
        Position position = Position.ofNumber(1 + random.nextInt(4));
        return switch (random.nextInt(14)) {
            case 0, 1, 2 ->
                new TurnPeg(position, random.nextInt(700) - 400, random.nextBoolean(), random.nextBoolean());
            case 3 -> new Action.LetGo(position);
            case 4 -> new Action.Push(position);
            case 5 -> new Action.SetAside(position);
            case 6 -> new Action.LayBack(position);
            case 7 -> new Action.TakeOff(position, random.nextBoolean());
            case 8 -> new Action.Thread(position, Lock.FAR_SIDE_THEN_CROSS, random.nextInt(8));
            case 9 -> new Action.Hang(position);
            case 10 -> new Action.RubGraphite(position);
            case 11 -> new Action.EaseBridge(random.nextInt(5) - 2);
            case 12 -> random.nextBoolean() ? new Action.StandBridge() : new Action.HoldCard();
            default -> new Action.Pluck(position);
        };
    }

    /** The same start and the same actions always lead to the same end; going back leads to just before. */
    @Property(tries = 100)
    void theSameActionsLeadToTheSameEnd(@ForAll Random random) {
        PracticeLedger ledger = new PracticeLedger(START, clumsy(random, 40));
        List<PracticeLedger.Moment> one = ledger.replay();
        assertThat(one).hasSize(40);
        List<PracticeLedger.Moment> other = new PracticeLedger(START, List.copyOf(ledger.actions())).replay();
        for (int at = 0; at < one.size(); at++) {
            assertThat(other.get(at).consequences()).isEqualTo(one.get(at).consequences());
            assertThat(other.get(at).after().strings())
                    .isEqualTo(one.get(at).after().strings());
            one.get(at)
                    .after()
                    .tensionsN()
                    .values()
                    .forEach(tension -> assertThat(tension).isNotNegative().isFinite());
        }
        assertThat(ledger.back().now().strings()).isEqualTo(one.get(38).after().strings());
    }
}
