package rosinedpeg.web.demonstration;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import rosinedpeg.core.lesson.BestHands;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.practice.Practices;
import rosinedpeg.web.practice.Task;

/** Somebody of the village who begins to learn it, on a copy of a lending violin: five lessons, one of which did not go well. */
final class Learners {

    private static final List<Lesson> WELL = List.of(Lesson.TURN_AND_PUSH, Lesson.LISTEN, Lesson.TAKE_OFF, Lesson.WIND);
    private static final long LUCK = 11;
    private static final Action FURTHER = new Action.EaseBridge(-3);
    private static final int MOST_TIMES = 10;

    private final Practices practices;
    private final Instrument copied;

    /**
     * The learners.
     *
     * @param practices where they practise
     * @param copied what they learn on, every string on it
     */
    Learners(Practices practices, Instrument copied) {
        this.practices = practices;
        this.copied = copied;
    }

    /** Learns, signed in as somebody. */
    void learns(SignedIn person) {
        SecurityContextHolder.setContext(new SecurityContextImpl(
                UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities())));
        try {
            WELL.forEach(lesson -> {
                PracticeLedger ledger = beginning(lesson);
                goesOn(lesson, begun(lesson, ledger), ledger);
            });
            bridgeFalls();
        } finally {
            SecurityContextHolder.clearContext();
        }
    }

    /** Eased further and further until it lies, gone back from, and done as it should be. */
    private void bridgeFalls() {
        PracticeLedger ledger = beginning(Lesson.EASE_THE_BRIDGE);
        UUID id = begun(Lesson.EASE_THE_BRIDGE, ledger);
        List<Action> done = new ArrayList<>(ledger.actions());
        for (int times = 0; times < MOST_TIMES && eases(id); times++) {
            done.add(FURTHER);
        }
        practices.back(id, UUID.randomUUID());
        goesOn(Lesson.EASE_THE_BRIDGE, id, new PracticeLedger(ledger.start(), done));
    }

    /** {@return whether the bridge still stands} */
    private boolean eases(UUID id) {
        return practices.act(id, UUID.randomUUID(), FURTHER).now().bridgeStands();
    }

    private PracticeLedger beginning(Lesson lesson) {
        return lesson.begin(PracticeStart.usual(copied.setUp(), copied.specs(), LUCK))
                .orElseThrow();
    }

    private UUID begun(Lesson lesson, PracticeLedger ledger) {
        UUID id = UUID.randomUUID();
        practices.begin(id, copied.id(), copied.name(), ledger, new Task(Optional.of(lesson), Optional.empty()));
        return id;
    }

    private void goesOn(Lesson lesson, UUID id, PracticeLedger until) {
        BestHands.of(lesson, until).forEach(action -> practices.act(id, UUID.randomUUID(), action));
    }
}
