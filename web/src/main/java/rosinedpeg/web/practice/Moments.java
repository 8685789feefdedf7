package rosinedpeg.web.practice;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the actions of an attempt came to. That follows from how it began and what was done before, which never change, so that it is
 * remembered and worked out again only where nobody remembers it.
 */
@Component
class Moments {

    /** So many moments are remembered. */
    private static final int REMEMBERED = 2000;

    private final ActionRepository actions;
    private final JsonMapper json;
    private final Cache<Key, PracticeLedger.Moment> remembered =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    Moments(ActionRepository actions, JsonMapper json) {
        this.actions = actions;
        this.json = json;
    }

    private record Key(UUID attemptId, int sequence) {}

    /**
     * Something that counts, as it was done.
     *
     * @param moment what it came to
     * @param at when
     */
    record Kept(PracticeLedger.Moment moment, Instant at) {}

    /** {@return how an attempt began} */
    PracticeStart start(AttemptEntity row) {
        return json.readValue(row.start(), KeptStart.class).start();
    }

    /** {@return how an attempt stands, and what came of what was done last} */
    PracticeInstrument.Outcome last(AttemptEntity row) {
        return actions.findFirstByAttemptIdAndUndonePressIsNullOrderBySequenceDesc(row.id())
                .map(last -> known(row, last).orElseGet(() -> {
                    List<Kept> kept = kept(row);
                    return kept.get(kept.size() - 1).moment();
                }))
                .map(moment -> new PracticeInstrument.Outcome(moment.after(), moment.consequences()))
                .orElseGet(() -> new PracticeInstrument.Outcome(PracticeInstrument.of(start(row)), List.of()));
    }

    /** Everything that counts, in order. What nobody remembers any more is worked out again. */
    List<Kept> kept(AttemptEntity row) {
        List<Kept> kept = new ArrayList<>();
        PracticeInstrument now = null;
        for (ActionEntity one : actions.findByAttemptIdAndUndonePressIsNullOrderBySequence(row.id())) {
            Optional<PracticeLedger.Moment> known = known(row, one);
            PracticeLedger.Moment moment;
            if (known.isPresent()) {
                moment = known.get();
            } else {
                moment = PracticeLedger.Moment.of(now == null ? PracticeInstrument.of(start(row)) : now, read(one));
                remembered.put(new Key(row.id(), one.sequence()), moment);
            }
            now = moment.after();
            kept.add(new Kept(moment, one.doneAt()));
        }
        return kept;
    }

    /** Remembers what something that was done just now came to. */
    void remember(UUID attemptId, int sequence, PracticeLedger.Moment moment) {
        remembered.put(new Key(attemptId, sequence), moment);
    }

    /** What is remembered of something that was done; not what was meant to be done in its place and never came to be on record. */
    private Optional<PracticeLedger.Moment> known(AttemptEntity row, ActionEntity one) {
        return Optional.ofNullable(remembered.getIfPresent(new Key(row.id(), one.sequence())))
                .filter(moment -> moment.action().equals(read(one)));
    }

    private Action read(ActionEntity row) {
        return json.readValue(row.action(), KeptAction.class).action();
    }

    /** {@return the same without the time of day} */
    static List<PracticeLedger.Moment> plain(List<Kept> kept) {
        return kept.stream().map(Kept::moment).toList();
    }
}
