package rosinedpeg.core.lesson;

import static java.util.Objects.requireNonNull;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import rosinedpeg.core.bridge.ThrustBand;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.Consequence;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.core.simulation.PracticeString;
import rosinedpeg.core.strings.Position;

/**
 * One string changed against the clock, as on a stage: from the first grip until one can play. What the shortest honest path leaves out is
 * owed, and counts with the minutes its step usually takes; on the practice peg the step itself takes seconds, so that leaving something
 * out is never faster.
 *
 * @param position the string
 */
public record QuickChange(Position position) {

    /** Checks that it is there. */
    public QuickChange {
        requireNonNull(position, "position");
    }

    /** What is reached on the way, in order. */
    public enum Split {
        /** The old string is off. */
        OFF,
        /** The new one is hung, through its hole and locked. */
        ON,
        /** It has come to its pitch. */
        UP,
        /** The hand is off its peg, and it stays. */
        HOLDS
    }

    /**
     * A moment with its time.
     *
     * @param moment what was done
     * @param at how long after the first grip
     */
    public record Timed(PracticeLedger.Moment moment, Duration at) {

        /** Checks the parts. */
        public Timed {
            requireNonNull(moment, "moment");
            requireNonNull(at, "at");
        }
    }

    /**
     * How it went.
     *
     * @param splits what was reached, after how long
     * @param clock how long it took
     * @param owed what was left out
     * @param spoiled whether something went wrong that no time makes up for: the post fell, the bridge fell, the top was scratched
     */
    public record Clocked(Map<Split, Duration> splits, Duration clock, List<StepKind> owed, boolean spoiled) {

        /** Copies the parts. */
        public Clocked {
            splits = Collections.unmodifiableMap(new EnumMap<>(splits));
            requireNonNull(clock, "clock");
            owed = List.copyOf(owed);
        }

        /** {@return how long it takes to make up for what was left out} */
        public Duration owedTime() {
            return owed.stream().map(QuickChange::usual).reduce(Duration.ZERO, Duration::plus);
        }

        /** {@return the clock, and what is owed} */
        public Duration total() {
            return clock.plus(owedTime());
        }
    }

    /** {@return how long a step usually takes} */
    public static Duration usual(StepKind step) {
        requireNonNull(step, "step");
        return Duration.ofSeconds(
                Math.round(step.minutes() * Duration.ofMinutes(1).toSeconds()));
    }

    /** {@return how it begins: everything at pitch, and the same luck each time} */
    public PracticeStart start(PracticeStart start) {
        requireNonNull(start, "start");
        return start.withSeed(position.ordinal() + 1);
    }

    /** {@return whether one can play: every string sounds, and the new one is at its pitch with the hand off its peg} */
    public boolean isPlayable(PracticeInstrument now) {
        requireNonNull(now, "now");
        return now.postStands()
                && now.bridgeStands()
                && holds(now)
                && now.start().setUp().positions().stream()
                        .allMatch(each -> now.cents(each).isPresent());
    }

    private boolean holds(PracticeInstrument now) {
        return now.isInTune(position)
                && (!now.start().setUp().pegKind().holdsByFriction()
                        || !position.in(now.strings()).held());
    }

    /**
     * How it goes.
     *
     * @param start how it began
     * @param moments what was done until then, with its times
     * @param until how long after the first grip it is looked at
     * @return how
     */
    public Clocked clocked(PracticeStart start, List<Timed> moments, Duration until) {
        requireNonNull(start, "start");
        requireNonNull(until, "until");
        Map<Split, Duration> splits = new EnumMap<>(Split.class);
        boolean spoiled = false;
        boolean lookedAt = false;
        boolean treated = false;
        for (Timed timed : moments) {
            PracticeInstrument after = timed.moment().after();
            Optional<PracticeString> there = Optional.ofNullable(after.strings().get(position));
            Action action = timed.moment().action();
            if (there.isEmpty()) {
                splits.putIfAbsent(Split.OFF, timed.at());
            }
            if (splits.containsKey(Split.OFF)
                    && there.filter(PracticeString::whole).isPresent()) {
                splits.putIfAbsent(Split.ON, timed.at());
            } else {
                // It came off again: what was reached with it is lost.
                splits.keySet().removeIf(split -> split != Split.OFF);
                lookedAt = false;
            }
            if (splits.containsKey(Split.ON) && after.isInTune(position)) {
                splits.putIfAbsent(Split.UP, timed.at());
            }
            if (splits.containsKey(Split.UP) && holds(after)) {
                splits.putIfAbsent(Split.HOLDS, timed.at());
            }
            lookedAt |= splits.containsKey(Split.UP) && action instanceof Action.HoldCard;
            treated |= action instanceof Action.TreatPeg treat && treat.position() == position;
            spoiled |= timed.moment().consequences().stream().anyMatch(QuickChange::spoils);
        }
        PracticeInstrument now = moments.isEmpty()
                ? PracticeInstrument.of(start)
                : moments.get(moments.size() - 1).moment().after();
        return new Clocked(splits, until, owed(now, treated, lookedAt), spoiled);
    }

    private static boolean spoils(Consequence one) {
        return one instanceof Consequence.PostFell
                || one instanceof Consequence.BridgeFell
                || one instanceof Consequence.VarnishScratched;
    }

    private List<StepKind> owed(PracticeInstrument now, boolean treated, boolean lookedAt) {
        List<StepKind> owed = new ArrayList<>();
        if (!treated && now.start().setUp().pegKind().holdsByFriction()) {
            owed.add(StepKind.CLEAN_PEG);
        }
        if (!now.graphited().contains(position)) {
            owed.add(StepKind.GRAPHITE);
        }
        if (Optional.ofNullable(now.strings().get(position))
                .filter(PracticeString::crossed)
                .isPresent()) {
            owed.add(StepKind.REWIND);
        }
        if (!now.isInTune()) {
            owed.add(StepKind.TUNING_ROUND);
        }
        if (!lookedAt) {
            owed.add(StepKind.CHECK_BRIDGE);
        }
        if (now.bridgeStands() && now.thrust().band() != ThrustBand.UPRIGHT) {
            owed.add(now.lean().degrees() > 0 ? StepKind.EASE_BRIDGE_BACK : StepKind.EASE_BRIDGE_FORWARDS);
        }
        return owed;
    }
}
