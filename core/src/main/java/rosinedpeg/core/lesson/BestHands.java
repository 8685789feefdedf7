package rosinedpeg.core.lesson;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.List;
import rosinedpeg.core.bridge.ThrustBand;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.rounds.TuningRounds;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.Consequence;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.core.simulation.PracticeString;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.Lock;

/**
 * How good hands do what a lesson asks: to be shown beside what somebody did. They see what a hand feels (how far a string is from its
 * pitch) and turn by the arithmetic; what follows comes of the practice instrument like any other action.
 */
public final class BestHands {

    private static final double MOST_DEGREES = 360;
    private static final double A_LITTLE = 30;
    private static final int MOST_TURNS = 40;
    private static final int MOST_ROUNDS = 12;
    private static final double HARDLY = 0.02;

    private final List<Action> done = new ArrayList<>();
    private PracticeInstrument now;

    private BestHands(PracticeInstrument now) {
        this.now = now;
    }

    /**
     * What good hands do from here on.
     *
     * @param lesson the lesson
     * @param ledger an attempt at it
     * @return the actions that reach what is asked
     */
    public static List<Action> of(Lesson lesson, PracticeLedger ledger) {
        requireNonNull(lesson, "lesson");
        requireNonNull(ledger, "ledger");
        BestHands hands = new BestHands(ledger.now());
        Position string = lesson.string(ledger.start()).orElse(Position.I);
        if (lesson != Lesson.BRIDGE_DOWN && !hands.now.bridgeStands()) {
            hands.standUp();
        }
        switch (lesson) {
            case TURN_AND_PUSH -> hands.bringUp(string);
            case LISTEN -> {
                hands.bringUp(string);
                hands.act(new Action.Pluck(string));
            }
            case TAKE_OFF -> takeOff(string).forEach(hands::act);
            case WIND -> hands.putOn(string);
            case EASE_THE_BRIDGE -> hands.ease();
            case GRAPHITE -> hands.graphite(string);
            case MAKE_WAY -> hands.makeWay(string);
            case PEG_THAT_STICKS, PEG_THAT_SLIPS -> hands.treat(string);
            case ROUNDS -> hands.rounds();
            case WHOLE_SET -> hands.wholeSet();
            case BRIDGE_DOWN -> hands.standUp();
        }
        return List.copyOf(hands.done);
    }

    /**
     * How good hands change one string on a stage, and look after everything that belongs to it.
     *
     * @param change which string
     * @param start the instrument before it
     * @return the actions after which one can play and owes nothing
     */
    public static List<Action> of(QuickChange change, PracticeStart start) {
        requireNonNull(change, "change");
        BestHands hands = new BestHands(PracticeInstrument.of(start));
        Position string = change.position();
        takeOff(string).forEach(hands::act);
        hands.act(new Action.TreatPeg(string, PegTreatment.PEG_COMPOUND));
        hands.putOn(string);
        hands.rounds();
        hands.ease();
        hands.rounds();
        return List.copyOf(hands.done);
    }

    /** What cannot be done here, because it is done already, is left out. */
    private void act(Action action) {
        PracticeInstrument.Outcome outcome = now.act(action);
        if (outcome.consequences().stream().noneMatch(Consequence.NotPossible.class::isInstance)) {
            done.add(action);
            now = outcome.after();
        }
    }

    /** Slack, then off, with a cloth under its ball. */
    static List<Action> takeOff(Position position) {
        return List.of(
                new Action.TurnPeg(position, Action.TURN.low(), false, true),
                new Action.TurnPeg(position, Action.TURN.low(), false, true),
                new Action.TakeOff(position, true));
    }

    private void letDown(Position position) {
        act(new Action.TurnPeg(position, Action.TURN.low(), false, true));
    }

    /** How far a peg is turned until its string has such a share of its tension. */
    private double degreesTo(Position position, double share) {
        SetUp setUp = now.start().setUp();
        PracticeString there = position.in(now.strings());
        double mm = share * setUp.elasticity(there.string()).stretchMm() - there.stretchMm();
        return mm
                / Elasticity.drawnInMm(
                        1, setUp.value(Quantity.SHAFT_DIAMETER), there.string().diameterMm());
    }

    /** In turns of a wrist, pushing. What has gone wrong is left to the lesson to tell. */
    private void turnTo(Position position, double share) {
        for (int turns = 0;
                turns < MOST_TURNS
                        && now.strings().containsKey(position)
                        && Math.abs(degreesTo(position, share)) > HARDLY;
                turns++) {
            double degrees = Math.max(-MOST_DEGREES, Math.min(MOST_DEGREES, degreesTo(position, share)));
            act(new Action.TurnPeg(position, degrees, true, true));
        }
    }

    /** To its pitch; then the hand goes off. Where no string can sound, a new one goes on first. */
    private void bringUp(Position position) {
        if (!now.strings().containsKey(position) || !position.in(now.strings()).whole()) {
            takeOff(position).forEach(this::act);
            hangAndThread(position);
        }
        act(new Action.LayBack(position));
        turnTo(position, 1);
        act(new Action.Push(position));
        act(new Action.Push(position));
        act(new Action.Push(position));
        act(new Action.LetGo(position));
    }

    /** Far enough to lift it out of its nut groove. */
    private void layAside(Position position) {
        for (int turns = 0;
                turns < MOST_TURNS && !InstrumentLoad.isAside(now.tensionN(position), position.in(now.atPitchN()));
                turns++) {
            act(new Action.TurnPeg(position, -A_LITTLE, false, true));
        }
        act(new Action.SetAside(position));
    }

    private void putOn(Position position) {
        hangAndThread(position);
        bringUp(position);
    }

    private void hangAndThread(Position position) {
        SetUp setUp = now.start().setUp();
        act(new Action.RubGraphite(position));
        act(new Action.Hang(position));
        act(new Action.Thread(
                position,
                Lock.FAR_SIDE_THEN_CROSS,
                Lock.FAR_SIDE_THEN_CROSS.tipMm(
                        setUp.family(),
                        setUp.value(Quantity.SHAFT_DIAMETER),
                        position.in(now.start().strings()).diameterMm())));
        act(new Action.LayBack(position));
    }

    private void graphite(Position position) {
        layAside(position);
        act(new Action.RubGraphite(position));
        act(new Action.LayBack(position));
        bringUp(position);
    }

    private void makeWay(Position covered) {
        for (Position over : Lesson.covering(now.start(), covered)) {
            layAside(over);
        }
        takeOff(covered).forEach(this::act);
    }

    private void treat(Position position) {
        takeOff(position).forEach(this::act);
        act(new Action.TreatPeg(position, PegTreatment.PEG_COMPOUND));
        putOn(position);
    }

    private void ease() {
        act(new Action.HoldCard());
        for (int times = 0; times < MOST_ROUNDS && now.thrust().band() != ThrustBand.UPRIGHT; times++) {
            act(new Action.EaseBridge(Action.EASE.clamp(now.lean().degrees())));
            act(new Action.HoldCard());
        }
    }

    /** The stiffest last: it leaves the least to redo. */
    private void rounds() {
        for (int round = 0; round < MOST_ROUNDS && !now.isInTune(); round++) {
            now.start().setUp().positions().stream()
                    .sorted((one, other) -> Double.compare(
                            one.in(now.start().strings()).axialStiffnessN(),
                            other.in(now.start().strings()).axialStiffnessN()))
                    .forEach(this::bringUp);
        }
    }

    private void wholeSet() {
        for (Position position : now.start().setUp().positions()) {
            takeOff(position).forEach(this::act);
            putOn(position);
        }
        rounds();
    }

    /** Slack, stood up, then all of them in rounds that are the same for each. */
    private void standUp() {
        now.start().setUp().positions().forEach(this::letDown);
        act(new Action.StandBridge());
        for (double share : TuningRounds.FROM_SLACK) {
            now.start().setUp().positions().forEach(position -> turnTo(position, share));
        }
        rounds();
    }
}
