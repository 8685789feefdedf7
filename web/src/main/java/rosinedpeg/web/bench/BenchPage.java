package rosinedpeg.web.bench;

import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.bench.PitchJudgement;
import rosinedpeg.core.causes.BreakCause;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.Reading;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.rounds.NextRound;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.aftercare.OwedWork;
import rosinedpeg.web.drawer.InDrawer;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.instrument.Stringing;

/**
 * A run at the bench.
 *
 * @param run the run
 * @param instrument what it is of
 * @param beforehand what has to be known before anybody works on it; told while it is looked over
 * @param owed what is left to do on it; told when the run is over
 * @param rest what is left of today's list; told when the run is over
 * @param tuner whether a tuner is beside the bench
 * @param heard the strings as they are heard, where pitches are read
 * @param causes what may be behind the last break, while what is left of the string is taken out
 * @param round what to touch next, where pitches are read
 * @param ahead the steps that can be shown without a connection
 * @param stepWorkings where the step's figures show how they came about
 * @param drawn the instrument with the place that is worked at, and the load on the post from step to step
 * @param packets what comes from the drawer for each place, where packets are laid out or opened
 * @param press the press of the next button
 * @param now the moment it is shown
 * @param moved whether the last press was not taken because the run had moved on
 */
record BenchPage(
        Run run,
        Stringing instrument,
        Optional<Beforehand> beforehand,
        List<OwedWork> owed,
        Optional<DayAtBench.Rest> rest,
        boolean tuner,
        Optional<View> heard,
        List<BreakCause> causes,
        Optional<Round> round,
        List<Ahead> ahead,
        Map<StepFigure, String> stepWorkings,
        BenchDrawings.Drawn drawn,
        Map<Position, InDrawer> packets,
        UUID press,
        Instant now,
        boolean moved) {

    /** {@return how the run stands} */
    public BenchState state() {
        return run.state();
    }

    /** {@return what is followed} */
    public ChangePlan plan() {
        return state().plan();
    }

    /** {@return the step that is to be done now; empty when the run is over} */
    public Optional<Step> step() {
        return state().now();
    }

    /** {@return the step after that} */
    public Optional<Step> next() {
        int after = state().reached() + (state().askedAgain() >= 0 ? 0 : 1);
        return plan().steps().stream().skip(after).findFirst();
    }

    /** {@return whether pitches are read at the step} */
    public boolean readsPitch() {
        return reads(Reading.PITCH);
    }

    /** {@return whether the bridge's lean is read at the step} */
    public boolean readsGap() {
        return reads(Reading.GAP);
    }

    private boolean reads(Reading reading) {
        return step().filter(now -> now.readings().contains(reading)).isPresent();
    }

    /** {@return how each pitch is judged that was read} */
    public Map<Position, PitchJudgement> judgements() {
        Map<Position, PitchJudgement> judgements = new EnumMap<>(Position.class);
        state().pitchCents().forEach((position, cents) -> judgements.put(position, PitchJudgement.of(cents)));
        return judgements;
    }

    /** {@return how long the rest usually takes, in minutes} */
    public double minutesToGo() {
        return step().map(now -> plan().minutesFrom(now.index())).orElse(0.0);
    }

    /** {@return what can be chosen when something went wrong} */
    public WentWrong wentWrong() {
        SetUp setUp = plan().setUp();
        return new WentWrong(
                Mishap.Kind.of(setUp), List.of(BreakPlace.values()), setUp.pegKind(), Optional.empty(), false);
    }

    /**
     * What can be chosen when something went wrong.
     *
     * @param kinds what can
     * @param places where a string can break
     * @param pegs what the strings are wound on
     * @param place where the string broke, as somebody said who is asked again
     * @param placeMissing whether nobody said where it broke
     */
    record WentWrong(
            List<Mishap.Kind> kinds,
            List<BreakPlace> places,
            PegKind pegs,
            Optional<BreakPlace> place,
            boolean placeMissing) {

        /** {@return the same to choose from, for somebody who is asked again} */
        public WentWrong again(@Nullable BreakPlace said, boolean missing) {
            return new WentWrong(kinds, places, pegs, Optional.ofNullable(said), missing);
        }

        /** {@return the key of the words for it: a machine slips or is stuck otherwise than a peg} */
        public String words(Mishap.Kind kind) {
            boolean ofPeg = kind == Mishap.Kind.PEG_SLIPS || kind == Mishap.Kind.PEG_STUCK;
            return "mishap." + kind + (ofPeg && pegs == PegKind.MACHINE_HEAD ? ".machine" : "");
        }
    }

    /**
     * What to touch next.
     *
     * @param next what, and what the others do
     * @param learnedFrom from how many readings the instrument's give is known; 0 when it is its family's usual one
     */
    record Round(NextRound next, int learnedFrom) {

        /** {@return the strings that sink audibly, with their drop in cents, most first} */
        public List<Map.Entry<Position, Double>> drops() {
            return next.audibleDrops().stream()
                    .map(drop -> Map.entry(drop.getKey(), drop.getValue().value()))
                    .toList();
        }
    }

    /**
     * A step that is shown before its turn.
     *
     * @param step the step
     * @param before the one before it, whose load is the load then
     */
    record Ahead(Step step, Step before) {}
}
