package rosinedpeg.core.simulation;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Everything that was done to a practice instrument, in order. What it came to follows from this alone, so that an attempt is resumed,
 * played again and gone back in by its ledger.
 *
 * @param start how it was before anything was done
 * @param actions what was done, {@value #MOST} at most
 */
public record PracticeLedger(PracticeStart start, List<Action> actions) {

    /** An attempt has no more actions. */
    public static final int MOST = 4000;

    /**
     * Copies the actions.
     *
     * @throws IllegalArgumentException when there are more than {@value #MOST}
     */
    public PracticeLedger {
        requireNonNull(start, "start");
        actions = List.copyOf(actions);
        if (actions.size() > MOST) {
            throw new IllegalArgumentException("actions are " + actions.size() + "; there may be " + MOST);
        }
    }

    /**
     * One moment of an attempt.
     *
     * @param action what was done
     * @param after the instrument afterwards
     * @param consequences what came of it, in order
     */
    public record Moment(Action action, PracticeInstrument after, List<Consequence> consequences) {

        /** Checks the parts and copies them. */
        public Moment {
            requireNonNull(action, "action");
            requireNonNull(after, "after");
            consequences = List.copyOf(consequences);
        }

        /** {@return what comes of something that is done to an instrument} */
        public static Moment of(PracticeInstrument before, Action action) {
            PracticeInstrument.Outcome outcome =
                    requireNonNull(before, "before").act(action);
            return new Moment(action, outcome.after(), outcome.consequences());
        }

        /** {@return whether something went wrong that is not undone by itself} */
        public boolean harmed() {
            return consequences.stream().anyMatch(Consequence::harms);
        }
    }

    /** {@return the attempt, moment by moment} */
    public List<Moment> replay() {
        List<Moment> moments = new ArrayList<>();
        PracticeInstrument now = PracticeInstrument.of(start);
        for (Action action : actions) {
            Moment moment = Moment.of(now, action);
            now = moment.after();
            moments.add(moment);
        }
        return Collections.unmodifiableList(moments);
    }

    /** {@return the instrument as it is after all of it} */
    public PracticeInstrument now() {
        PracticeInstrument now = PracticeInstrument.of(start);
        for (Action action : actions) {
            now = now.act(action).after();
        }
        return now;
    }

    /** {@return the ledger as it was before what was done last} */
    public PracticeLedger back() {
        return actions.isEmpty() ? this : new PracticeLedger(start, actions.subList(0, actions.size() - 1));
    }
}
