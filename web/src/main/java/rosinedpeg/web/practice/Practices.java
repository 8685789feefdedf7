package rosinedpeg.web.practice;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What people do to instruments that cannot be hurt. Only whoever practises sees it. What an action came to follows from those before it,
 * which never change, so that it is remembered and worked out again only where nobody remembers it.
 */
@Service
@Transactional(readOnly = true)
class Practices {

    /** So many attempts are told; older ones wait for nobody. */
    private static final Limit TOLD = Limit.of(12);
    /** So many moments are remembered. */
    private static final int REMEMBERED = 2000;
    /** So many actions are on record of an attempt, those that were taken back too. */
    private static final int MOST_ON_RECORD = 5 * PracticeLedger.MOST;

    private final AttemptRepository attempts;
    private final ActionRepository actions;
    private final JsonMapper json;
    private final Clock clock;
    private final Cache<Key, PracticeInstrument.Outcome> moments =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    Practices(AttemptRepository attempts, ActionRepository actions, JsonMapper json, Clock clock) {
        this.attempts = attempts;
        this.actions = actions;
        this.json = json;
        this.clock = clock;
    }

    private record Key(UUID attemptId, int sequence) {}

    /**
     * An attempt, told.
     *
     * @param id its id
     * @param name what it is called
     * @param touchedAt when something was done last
     */
    record Told(UUID id, String name, Instant touchedAt) {}

    private static UUID me() {
        return CurrentWorkshop.account().orElseThrow().accountId();
    }

    /** {@return the attempts of whoever asks, the latest first} */
    List<Told> mine() {
        return attempts.findByAccountIdOrderByTouchedAtDescId(me(), TOLD).stream()
                .map(row -> new Told(row.id(), row.name(), row.touchedAt()))
                .toList();
    }

    /**
     * Begins an attempt; pressed twice it is begun once.
     *
     * @param press the press that this is, which becomes its id
     * @param instrumentId what it is a copy of; null where of nothing
     * @param name what it is called
     * @param start how it is before anything is done
     */
    @Transactional
    void begin(UUID press, @Nullable UUID instrumentId, String name, PracticeStart start) {
        if (!attempts.existsById(press)) {
            attempts.saveAndFlush(new AttemptEntity(
                    press, me(), instrumentId, name, json.writeValueAsString(KeptStart.of(start)), clock.instant()));
        }
    }

    /**
     * An attempt as it stands.
     *
     * @throws NotFoundException when it is not one of whoever asks
     */
    Attempt get(UUID id) {
        return view(mine(id));
    }

    private AttemptEntity mine(UUID id) {
        return attempts.findByIdAndAccountId(id, me()).orElseThrow(() -> new NotFoundException("attempt " + id));
    }

    private Attempt view(AttemptEntity row) {
        PracticeInstrument.Outcome last = last(row);
        return new Attempt(
                row.id(),
                row.name(),
                actions.countByAttemptIdAndUndonePressIsNull(row.id()),
                last.after(),
                last.consequences());
    }

    private PracticeInstrument.Outcome last(AttemptEntity row) {
        Optional<ActionEntity> done = actions.findFirstByAttemptIdAndUndonePressIsNullOrderBySequenceDesc(row.id());
        return done.map(last -> {
                    PracticeInstrument.Outcome known = moments.getIfPresent(new Key(row.id(), last.sequence()));
                    return known == null ? replayed(row) : known;
                })
                .orElseGet(() -> new PracticeInstrument.Outcome(PracticeInstrument.of(start(row)), List.of()));
    }

    private PracticeInstrument.Outcome replayed(AttemptEntity row) {
        PracticeInstrument.Outcome outcome =
                new PracticeInstrument.Outcome(PracticeInstrument.of(start(row)), List.of());
        for (ActionEntity one : actions.findByAttemptIdAndUndonePressIsNullOrderBySequence(row.id())) {
            outcome = outcome.after().act(read(one));
            moments.put(new Key(row.id(), one.sequence()), outcome);
        }
        return outcome;
    }

    private PracticeStart start(AttemptEntity row) {
        return json.readValue(row.start(), KeptStart.class).start();
    }

    private Action read(ActionEntity row) {
        return json.readValue(row.action(), KeptAction.class).action();
    }

    /** {@return whether nothing more can be done in an attempt} */
    boolean isFull(UUID id) {
        return actions.countByAttemptIdAndUndonePressIsNull(id) >= PracticeLedger.MOST
                || actions.last(id) >= MOST_ON_RECORD;
    }

    /**
     * Does something; pressed twice it is done once.
     *
     * @param id the attempt
     * @param press the press that this is
     * @param action what
     * @return the attempt afterwards
     * @throws NotFoundException when it is not one of whoever asks
     * @throws IllegalArgumentException when the instrument has no such string
     */
    @Transactional
    Attempt act(UUID id, UUID press, Action action) {
        AttemptEntity row = locked(id);
        if (!actions.existsById(press)) {
            PracticeInstrument.Outcome outcome = last(row).after().act(action);
            int sequence = actions.last(id) + 1;
            actions.saveAndFlush(new ActionEntity(
                    press, id, sequence, json.writeValueAsString(KeptAction.of(action)), clock.instant()));
            row.touch(clock.instant());
            moments.put(new Key(id, sequence), outcome);
        }
        return view(row);
    }

    private AttemptEntity locked(UUID id) {
        return attempts.locked(id, me()).orElseThrow(() -> new NotFoundException("attempt " + id));
    }

    /**
     * Goes back to just before what was done last; pressed twice, once.
     *
     * @param id the attempt
     * @param press the press that this is
     * @return the attempt as it was
     * @throws NotFoundException when it is not one of whoever asks
     */
    @Transactional
    Attempt back(UUID id, UUID press) {
        return back(
                id,
                press,
                () -> actions.findFirstByAttemptIdAndUndonePressIsNullOrderBySequenceDesc(id).stream()
                        .toList());
    }

    /**
     * Goes back to a moment; pressed twice, once.
     *
     * @param id the attempt
     * @param press the press that this is
     * @param done how much was done by then
     * @throws NotFoundException when it is not one of whoever asks
     */
    @Transactional
    void backTo(UUID id, UUID press, int done) {
        back(
                id,
                press,
                () -> actions.findByAttemptIdAndUndonePressIsNullOrderBySequence(id).stream()
                        .skip(done)
                        .toList());
    }

    private Attempt back(UUID id, UUID press, Supplier<List<ActionEntity>> which) {
        AttemptEntity row = locked(id);
        if (!actions.existsByAttemptIdAndUndonePress(id, press)) {
            which.get().forEach(one -> one.takeBack(press));
            actions.flush();
            row.touch(clock.instant());
        }
        return view(row);
    }

    /**
     * An attempt, moment by moment.
     *
     * @throws NotFoundException when it is not one of whoever asks
     */
    List<PracticeLedger.Moment> moments(UUID id) {
        return ledger(mine(id)).replay();
    }

    private PracticeLedger ledger(AttemptEntity row) {
        return new PracticeLedger(
                start(row),
                actions.findByAttemptIdAndUndonePressIsNullOrderBySequence(row.id()).stream()
                        .map(this::read)
                        .toList());
    }

    /**
     * Begins again with what an attempt began with, luck included; pressed twice it is begun once.
     *
     * @param id the attempt
     * @param press the press that this is, which becomes the id of the new one
     * @throws NotFoundException when it is not one of whoever asks
     */
    @Transactional
    void again(UUID id, UUID press) {
        AttemptEntity row = mine(id);
        begin(press, row.instrumentId(), row.name(), start(row));
    }

    /** {@return an attempt as a file: how it began, and what was done} */
    byte[] file(UUID id) {
        AttemptEntity row = mine(id);
        return json.writerWithDefaultPrettyPrinter()
                .writeValueAsBytes(new KeptAttempt(
                        KeptAttempt.KIND,
                        row.name(),
                        json.readValue(row.start(), KeptStart.class),
                        actions.findByAttemptIdAndUndonePressIsNullOrderBySequence(id).stream()
                                .map(one -> json.readValue(one.action(), KeptAction.class))
                                .toList()));
    }

    /**
     * Reads an attempt from a file.
     *
     * @param press the press that this is, which becomes its id
     * @param file the file
     * @throws IllegalArgumentException when it is none, or something in it cannot be
     */
    @Transactional
    void read(UUID press, byte[] file) {
        KeptAttempt kept = json.readValue(file, KeptAttempt.class);
        PracticeLedger ledger = kept.ledger();
        ledger.now();
        if (attempts.existsById(press)) {
            return;
        }
        begin(press, null, kept.name(), ledger.start());
        int sequence = 0;
        for (Action action : ledger.actions()) {
            sequence++;
            actions.save(new ActionEntity(
                    UUID.randomUUID(),
                    press,
                    sequence,
                    json.writeValueAsString(KeptAction.of(action)),
                    clock.instant()));
        }
        actions.flush();
    }
}
