package rosinedpeg.web.practice;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.lesson.BestHands;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.QuickChange;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.Consequence;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.KeptNames;
import rosinedpeg.web.platform.NotFoundException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What people do to instruments that cannot be hurt. Only whoever practises sees it.
 */
@Service
@Transactional(readOnly = true)
public class Practices {

    /** So many attempts are told; older ones wait for nobody. */
    private static final Limit TOLD = Limit.of(12);
    /** The best of one's own that a time is set beside is looked for among so many. */
    private static final Limit SHADOWS = Limit.of(20);
    /** So many actions are on record of an attempt, those that were taken back too. */
    private static final int MOST_ON_RECORD = 5 * PracticeLedger.MOST;

    private final AttemptRepository attempts;
    private final ActionRepository actions;
    private final Moments moments;
    private final JsonMapper json;
    private final Clock clock;

    Practices(AttemptRepository attempts, ActionRepository actions, Moments moments, JsonMapper json, Clock clock) {
        this.attempts = attempts;
        this.actions = actions;
        this.moments = moments;
        this.json = json;
        this.clock = clock;
    }

    /**
     * An attempt, told.
     *
     * @param id its id
     * @param name what its instrument is called
     * @param task what it is for
     * @param finished whether that was reached
     * @param touchedAt when something was done last
     */
    record Told(UUID id, String name, Task task, boolean finished, Instant touchedAt) {}

    private static UUID me() {
        return CurrentWorkshop.account().orElseThrow().accountId();
    }

    /** {@return the attempts of whoever asks, the latest first} */
    List<Told> mine() {
        return attempts.findByAccountIdOrderByTouchedAtDescId(me(), TOLD).stream()
                .map(row -> new Told(
                        row.id(), row.name(), row.task(), row.finishedAt().isPresent(), row.touchedAt()))
                .toList();
    }

    /** {@return what whoever asks practised on last} */
    Optional<LastOn> last() {
        return attempts.findByAccountIdOrderByTouchedAtDescId(me(), Limit.of(1)).stream()
                .map(row -> new LastOn(
                        row.name(),
                        row.instrumentId() != null,
                        moments.start(row).setUp()))
                .findFirst();
    }

    /**
     * What somebody practised on.
     *
     * @param name what it was called
     * @param copy whether it was a copy of one of the rack
     * @param setUp the instrument
     */
    record LastOn(String name, boolean copy, SetUp setUp) {}

    /** {@return the best times of whoever asks} */
    List<BestTime> best() {
        return attempts.best(me()).stream()
                .map(best -> new BestTime(
                        KeptNames.of(Position.class, best.quickChange()),
                        best.name(),
                        Duration.ofMillis(best.totalMs())))
                .toList();
    }

    /**
     * A best time.
     *
     * @param position the string
     * @param name what the instrument is called
     * @param total how long it took, with what was owed
     */
    record BestTime(Position position, String name, Duration total) {}

    /**
     * How an attempt begins.
     *
     * @param start the instrument as it is
     * @param task what the attempt is for
     * @return its ledger; empty where that cannot be done on such an instrument
     */
    static Optional<PracticeLedger> beginning(PracticeStart start, Task task) {
        return task.lesson()
                .map(lesson -> lesson.begin(start))
                .orElseGet(() -> Optional.of(new PracticeLedger(
                        task.change().map(change -> change.start(start)).orElse(start), List.of())));
    }

    /**
     * Begins an attempt; pressed twice it is begun once.
     *
     * @param press the press that this is, which becomes its id
     * @param instrumentId what it is a copy of; null where of nothing
     * @param name what its instrument is called
     * @param ledger how it begins
     * @param task what it is for
     */
    @Transactional
    public void begin(UUID press, @Nullable UUID instrumentId, String name, PracticeLedger ledger, Task task) {
        if (attempts.existsById(press)) {
            return;
        }
        AttemptEntity row = attempts.saveAndFlush(new AttemptEntity(
                press,
                me(),
                instrumentId,
                name,
                json.writeValueAsString(KeptStart.of(ledger.start())),
                task,
                clock.instant()));
        row.isPrepared(task.lesson().isPresent() ? ledger.actions().size() : 0);
        lay(press, ledger.actions());
    }

    private void lay(UUID attemptId, List<Action> all) {
        int sequence = 0;
        for (Action action : all) {
            sequence++;
            actions.save(new ActionEntity(
                    UUID.randomUUID(),
                    attemptId,
                    sequence,
                    json.writeValueAsString(KeptAction.of(action)),
                    clock.instant()));
        }
        actions.flush();
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
        Task task = row.task();
        if (task.free()) {
            PracticeInstrument.Outcome last = moments.last(row);
            return new Attempt(
                    row.id(),
                    row.name(),
                    task,
                    actions.countByAttemptIdAndUndonePressIsNull(row.id()),
                    last.after(),
                    last.consequences(),
                    Optional.empty(),
                    Optional.empty());
        }
        PracticeStart start = moments.start(row);
        List<Moments.Kept> kept = moments.kept(row);
        boolean untouched = kept.size() <= row.beforehand();
        return new Attempt(
                row.id(),
                row.name(),
                task,
                kept.size() - row.beforehand(),
                kept.isEmpty()
                        ? PracticeInstrument.of(start)
                        : kept.get(kept.size() - 1).moment().after(),
                untouched ? List.of() : kept.get(kept.size() - 1).moment().consequences(),
                task.lesson()
                        .map(lesson -> new Attempt.AtLesson(
                                lesson,
                                lesson.progress(start, Moments.plain(kept)),
                                row.clean(),
                                row.clean().isPresent()
                                        ? goodHands(lesson, start, kept.subList(0, row.beforehand()))
                                        : 0)),
                task.change().map(change -> onTheClock(row, change, start, kept)));
    }

    private static int goodHands(Lesson lesson, PracticeStart start, List<Moments.Kept> beforehand) {
        List<Action> before = Moments.plain(beforehand).stream()
                .map(PracticeLedger.Moment::action)
                .toList();
        return BestHands.of(lesson, new PracticeLedger(start, before)).size();
    }

    private Attempt.OnTheClock onTheClock(
            AttemptEntity row, QuickChange change, PracticeStart start, List<Moments.Kept> kept) {
        PracticeInstrument now = kept.isEmpty()
                ? PracticeInstrument.of(start)
                : kept.get(kept.size() - 1).moment().after();
        return new Attempt.OnTheClock(
                change,
                clocked(row, change, start, kept),
                row.finishedAt().isEmpty() && actions.first(row.id()).isPresent(),
                row.finishedAt().isPresent(),
                change.isPlayable(now),
                shadow(row, change).map(best -> clocked(best, change, start, moments.kept(best))));
    }

    private QuickChange.Clocked clocked(
            AttemptEntity row, QuickChange change, PracticeStart start, List<Moments.Kept> kept) {
        // The database keeps no finer moments.
        Instant until = row.finishedAt().orElseGet(() -> clock.instant().truncatedTo(ChronoUnit.MICROS));
        Instant first = actions.first(row.id()).orElse(until);
        return change.clocked(
                start,
                kept.stream()
                        .map(one -> new QuickChange.Timed(one.moment(), Duration.between(first, one.at())))
                        .toList(),
                Duration.between(first, until));
    }

    /** One's own best of the same string on the same instrument, before this attempt began. */
    private Optional<AttemptEntity> shadow(AttemptEntity row, QuickChange change) {
        KeptStart start = json.readValue(row.start(), KeptStart.class);
        return attempts
                .findByAccountIdAndQuickChangeAndNameAndCleanTrueAndBegunAtBeforeOrderByTotalMs(
                        me(), change.position().name(), row.name(), row.begunAt(), SHADOWS)
                .stream()
                .filter(best -> json.readValue(best.start(), KeptStart.class).equals(start))
                .findFirst();
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
    public Attempt act(UUID id, UUID press, Action action) {
        AttemptEntity row = locked(id);
        if (!actions.existsById(press) && !isStopped(row)) {
            PracticeLedger.Moment moment =
                    PracticeLedger.Moment.of(moments.last(row).after(), action);
            int sequence = actions.last(id) + 1;
            actions.saveAndFlush(new ActionEntity(
                    press, id, sequence, json.writeValueAsString(KeptAction.of(action)), clock.instant()));
            moments.remember(id, sequence, moment);
            row.touch(clock.instant());
            if (moment.consequences().stream().anyMatch(Consequence::harms)) {
                row.wentWrong();
            }
        }
        return noticed(row);
    }

    /** A lesson is done as soon as what it asks is there. */
    private Attempt noticed(AttemptEntity row) {
        Attempt attempt = view(row);
        Optional<Attempt.AtLesson> reached = attempt.lesson()
                .filter(lesson -> lesson.done().isEmpty() && lesson.progress().reached());
        reached.ifPresent(
                lesson -> row.finish(clock.instant(), lesson.progress().clean() && row.harms() == 0));
        return reached.isPresent() ? view(row) : attempt;
    }

    private static boolean isStopped(AttemptEntity row) {
        return row.task().change().isPresent() && row.finishedAt().isPresent();
    }

    /**
     * Stops the clock, if one can play.
     *
     * @param id the attempt
     * @return the attempt afterwards; its clock runs on where one cannot play yet
     * @throws NotFoundException when it is not one of whoever asks, or has no clock
     */
    @Transactional
    Attempt stop(UUID id) {
        AttemptEntity row = locked(id);
        Attempt.OnTheClock now = view(row).clock().orElseThrow(() -> new NotFoundException("clock of attempt " + id));
        if (!now.stopped() && now.playable()) {
            // Of that very moment: a later one, after all was worked out, would be shown a second longer than what is
            // kept.
            Instant first = actions.first(id).orElseThrow();
            row.finish(first.plus(now.clocked().clock()), now.clocked());
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
    public Attempt back(UUID id, UUID press) {
        return back(
                id,
                press,
                row -> actions
                        .findFirstByAttemptIdAndUndonePressIsNullOrderBySequenceDesc(id)
                        .filter(one -> one.sequence() > row.beforehand())
                        .stream()
                        .toList());
    }

    /**
     * Goes back to a moment; pressed twice, once.
     *
     * @param id the attempt
     * @param press the press that this is
     * @param done how much was done by then, beforehand too
     * @throws NotFoundException when it is not one of whoever asks
     */
    @Transactional
    void backTo(UUID id, UUID press, int done) {
        back(
                id,
                press,
                row -> actions.findByAttemptIdAndUndonePressIsNullOrderBySequence(id).stream()
                        .skip(Math.max(done, row.beforehand()))
                        .toList());
    }

    private Attempt back(UUID id, UUID press, Function<AttemptEntity, List<ActionEntity>> which) {
        AttemptEntity row = locked(id);
        if (!actions.existsByAttemptIdAndUndonePress(id, press) && !isStopped(row)) {
            which.apply(row).forEach(one -> one.takeBack(press));
            actions.flush();
            row.touch(clock.instant());
        }
        return noticed(row);
    }

    /**
     * An attempt, moment by moment.
     *
     * @throws NotFoundException when it is not one of whoever asks
     */
    List<PracticeLedger.Moment> moments(UUID id) {
        return Moments.plain(moments.kept(mine(id)));
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
        List<Action> beforehand = moments.kept(row).stream()
                .limit(row.beforehand())
                .map(one -> one.moment().action())
                .toList();
        begin(press, row.instrumentId(), row.name(), new PracticeLedger(moments.start(row), beforehand), row.task());
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
        begin(press, null, kept.name(), ledger, Task.FREE);
    }
}
