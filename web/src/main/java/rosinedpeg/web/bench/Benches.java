package rosinedpeg.web.bench;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchLedger;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.bench.PacketUse;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.RunEntity.Outcome;
import rosinedpeg.web.bench.RunEventRepository.LastOfRun;
import rosinedpeg.web.bench.RunRepository.UpTo;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.Held;
import rosinedpeg.web.drawer.RunNeeds;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The runs of the workshop. */
@Service
@Transactional(readOnly = true)
public class Benches {

    /** A run has a hundred rows or two; of one that has more than all these nothing is kept. A row takes about 400 bytes. */
    private static final int ROWS_KEPT = 60_000;

    private static final TypeReference<Map<Position, UUID>> REPLACEMENTS = new TypeReference<>() {};

    private final RunRepository runs;
    private final RunEventRepository events;
    private final Instruments instruments;
    private final RunClosing closing;
    private final RunPlanRepository runPlans;
    private final KeptForms forms;
    private final JsonMapper json;
    private final Drawer drawer;
    private final ApplicationEventPublisher told;
    /** Plans of the runs in hand: a run's plan never changes, and reading it costs more than all else of a press. */
    private final Cache<UUID, ChangePlan> plans =
            Caffeine.newBuilder().maximumSize(200).build();
    /** How each run stood when it was looked at last: rows are only ever added, so that what was read up to one of them holds for ever. */
    private final Cache<UUID, Ledger> ledgers = Caffeine.newBuilder()
            .maximumWeight(ROWS_KEPT)
            .weigher((UUID run, Ledger ledger) -> 1 + ledger.rows().size())
            .build();

    private final Clock clock;

    Benches(
            RunRepository runs,
            RunEventRepository events,
            Instruments instruments,
            RunClosing closing,
            RunPlanRepository runPlans,
            KeptForms forms,
            JsonMapper json,
            Drawer drawer,
            ApplicationEventPublisher told,
            Clock clock) {
        this.runs = runs;
        this.events = events;
        this.instruments = instruments;
        this.closing = closing;
        this.runPlans = runPlans;
        this.forms = forms;
        this.json = json;
        this.drawer = drawer;
        this.told = told;
        this.clock = clock;
    }

    /**
     * The runs that are not over, or the part of them that fits on a page, oldest first; a few queries however many there are.
     *
     * @param from how many come before
     * @return those
     */
    OpenRuns open(int from) {
        return read(ListPage.of(runs.open(ListPage.after(from))));
    }

    /** {@return the runs of some instruments that are not over; a few queries however many there are} */
    public OpenRuns open(Collection<UUID> instrumentIds) {
        List<RunEntity> open = runs.findByInstrumentIdInAndOutcome(instrumentIds, Outcome.OPEN);
        return read(new ListPage<>(open, 0, open.size()));
    }

    /** {@return every instrument that is on the bench} */
    public Set<UUID> onBench() {
        return runs.onBench();
    }

    /** {@return those of some instruments that are on the bench} */
    public Set<UUID> onBench(Collection<UUID> instrumentIds) {
        return runs.onBench(instrumentIds.toArray(UUID[]::new));
    }

    /** {@return when some instruments were served last, of those that ever were} */
    public Map<UUID, Instant> served(Collection<UUID> instrumentIds) {
        return runs.served(instrumentIds.toArray(UUID[]::new)).stream()
                .collect(Collectors.toMap(Served::instrumentId, Served::at));
    }

    private OpenRuns read(ListPage<RunEntity> page) {
        List<RunEntity> open = page.shown();
        Map<UUID, Ledger> known = kept(open);
        Map<UUID, List<RunEventEntity>> rows = rows(open.stream()
                .map(RunEntity::id)
                .filter(id -> !known.containsKey(id))
                .toList());
        List<UUID> unknown = open.stream()
                .map(RunEntity::id)
                .filter(id -> plans.getIfPresent(id) == null)
                .toList();
        // They are found one by one below; asked for together they come in one query.
        runPlans.findAllById(unknown);
        List<Run> runs = new ArrayList<>();
        List<UnreadableRun> unreadable = new ArrayList<>();
        for (RunEntity run : open) {
            try {
                Ledger ledger = known.get(run.id());
                runs.add(view(run, ledger != null ? ledger : read(run, rows.getOrDefault(run.id(), List.of()))));
            } catch (UnreadableRunException cannotBeRead) {
                unreadable.add(cannotBeRead.run());
            }
        }
        return new OpenRuns(runs, unreadable, page.from(), page.total());
    }

    /** {@return the run that is open for an instrument} */
    public Optional<UUID> openFor(UUID instrumentId) {
        return runs.findByInstrumentIdAndOutcome(instrumentId, Outcome.OPEN).map(RunEntity::id);
    }

    /**
     * One run.
     *
     * @throws NotFoundException when this workshop has none with that id
     * @throws UnreadableRunException when it cannot be read
     */
    public Run get(UUID id) {
        UpTo found = runs.upTo(id).orElseThrow(() -> new NotFoundException("run " + id));
        return view(found.run(), ledger(found.run(), Optional.ofNullable(found.lastEvent())));
    }

    /**
     * The number of the last event of a run, 0 before the first.
     *
     * @throws NotFoundException when this workshop has no run with that id
     */
    public long lastSequence(UUID id) {
        return runs.lastSequence(id).orElseThrow(() -> new NotFoundException("run " + id));
    }

    /** {@return the number of the last event of the open runs of some instruments, by the instrument; of those that have one} */
    public Map<UUID, Long> lastSequences(Collection<UUID> instrumentIds) {
        return instrumentIds.isEmpty()
                ? Map.of()
                : runs.lastSequences(instrumentIds.toArray(UUID[]::new)).stream()
                        .collect(Collectors.toMap(AtSequence::instrumentId, AtSequence::sequence));
    }

    /** Begins a run that takes whatever comes first in the drawer. */
    @Transactional
    public UUID start(
            UUID instrumentId, ChangePlan plan, Map<Position, UUID> replacements, Reason reason, boolean keepOld) {
        return start(instrumentId, plan, Schools.usual(plan.setUp().family()), replacements, reason, keepOld, Map.of());
    }

    /**
     * Begins a run. If the instrument already has an open one, that is the run.
     *
     * @param instrumentId the instrument
     * @param plan what is to be followed; not a refused one
     * @param schools how whoever begins it likes to work
     * @param replacements the kinds of string that go on
     * @param reason why
     * @param keepOld whether old strings are kept as spares
     * @param chosen strings of the drawer that were chosen for some places; for the others it is whichever comes first
     * @return the id of the run
     */
    @Transactional
    public UUID start(
            UUID instrumentId,
            ChangePlan plan,
            Schools schools,
            Map<Position, UUID> replacements,
            Reason reason,
            boolean keepOld,
            Map<Position, UUID> chosen) {
        if (plan.refused()) {
            throw new IllegalArgumentException("plan is refused: " + plan.refusals());
        }
        instruments.get(instrumentId);
        Optional<UUID> open = openFor(instrumentId);
        if (open.isPresent()) {
            return open.get();
        }
        RunEntity run = new RunEntity(
                instrumentId,
                reason,
                json.writeValueAsString(replacements),
                keepOld,
                json.writeValueAsString(schools),
                clock.instant(),
                CurrentWorkshop.person());
        runs.saveAndFlush(run);
        runPlans.saveAndFlush(new RunPlanEntity(run.id(), forms.write(plan)));
        drawer.supply(run.id(), needs(instrumentId, plan, replacements), PacketUse.of(plan), chosen);
        told.publishEvent(new RunBegun(instrumentId, run.id()));
        return run.id();
    }

    private RunNeeds needs(UUID instrumentId, ChangePlan plan, Map<Position, UUID> replacements) {
        return new RunNeeds(instrumentId, plan.kind() == PlanKind.EMERGENCY, kinds(instrumentId, replacements));
    }

    /**
     * Adds to the ledger of a run.
     *
     * @param id the run
     * @param press the press that this is
     * @param entry what happened
     * @return what became of it
     */
    @Transactional
    public Taken record(UUID id, Press press, BenchEntry entry) {
        RunEntity run = runs.lock(id).orElseThrow(() -> new NotFoundException("run " + id));
        Ledger ledger = ledger(run);
        BenchState before = ledger.state();
        if (ledger.rows().stream().anyMatch(row -> row.press().equals(press.id()))) {
            return Taken.REPEATED;
        }
        if (before.over() || (entry.movesTheRun() && isBehind(press, ledger))) {
            return Taken.MOVED_ON;
        }
        BenchEvent event = entry.event(before.lastSequence() + 1, at(press, run, ledger), before);
        if (event == null) {
            return Taken.MOVED_ON;
        }
        RunEventEntity row = events.save(new RunEventEntity(id, press.id(), event, forms, CurrentWorkshop.person()));
        ledger = keep(run, and(ledger.rows(), row), and(ledger.events(), row.event(forms)));
        BenchState after = ledger.state();
        Map<Position, PacketUse> uses = PacketUse.of(after.plan());
        if (!uses.equals(PacketUse.of(before.plan()))) {
            drawer.supply(id, needs(run.instrumentId(), after.plan(), replacements(run)), uses, Map.of());
        }
        if (after.over()) {
            closing.close(run, view(run, ledger), after.finished() ? Outcome.FINISHED : Outcome.ENDED);
            told.publishEvent(new RunFinished(
                    run.instrumentId(), id, Optional.of(after.plan().kind()).filter(kind -> after.finished())));
        }
        return Taken.RECORDED;
    }

    /**
     * Holds a packet against what a run needs; no press of the same run comes in between.
     *
     * @param id the run
     * @param code what is on the packet, typed or scanned
     * @return whether it is the right one; empty when the run is over
     * @throws NotFoundException when this workshop has no run with that id
     */
    @Transactional
    Optional<Held> hold(UUID id, String code) {
        RunEntity run = runs.lock(id).orElseThrow(() -> new NotFoundException("run " + id));
        return run.endedAt() == null ? Optional.of(drawer.hold(id, code)) : Optional.empty();
    }

    /**
     * Gives up a run that cannot be read, so that its instrument is free again. Its plan and its ledger stay.
     *
     * @param id the run
     * @return the instrument
     * @throws NotFoundException when this workshop has no run with that id
     */
    @Transactional
    public UUID giveUp(UUID id) {
        RunEntity run = runs.lock(id).orElseThrow(() -> new NotFoundException("run " + id));
        if (run.endedAt() == null) {
            try {
                ledger(run);
                throw new IllegalArgumentException("run " + id + " can be read; it is ended at the bench");
            } catch (UnreadableRunException cannotBeRead) {
                run.close(Outcome.ENDED, clock.instant());
                drawer.close(id, Set.of());
                told.publishEvent(new RunFinished(run.instrumentId(), id, Optional.empty()));
            }
        }
        return run.instrumentId();
    }

    /** {@return the kind of string each place takes: what goes on, and where nothing else does what is on already} */
    private Map<Position, UUID> kinds(UUID instrumentId, Map<Position, UUID> replacements) {
        Map<Position, UUID> kinds = new EnumMap<>(Position.class);
        instruments
                .stringing(instrumentId)
                .strings()
                .forEach(string -> kinds.put(string.position(), string.kind().id()));
        kinds.putAll(replacements);
        return kinds;
    }

    /** Whether the run has moved since the page of a press; readings and notes move nothing. */
    private static boolean isBehind(Press press, Ledger ledger) {
        return ledger.rows().stream()
                .filter(RunEventEntity::moves)
                .reduce((earlier, later) -> later)
                .filter(last -> last.sequence() > press.seen() && !last.press().equals(press.after()))
                .isPresent();
    }

    /** When it was pressed, as exactly as it is kept: never before what is in the ledger already. */
    private Instant at(Press press, RunEntity run, Ledger ledger) {
        Instant pressed = clock.instant().minus(press.ago()).truncatedTo(ChronoUnit.MICROS);
        Instant earliest = ledger.events().stream()
                .map(BenchEvent::at)
                .reduce((earlier, later) -> later)
                .orElse(run.startedAt());
        return pressed.isBefore(earliest) ? earliest : pressed;
    }

    /**
     * What was recorded of a run, up to one row, and where that leaves it.
     *
     * @param rows as it is kept
     * @param events the same for the core
     * @param state where the run stands
     */
    private record Ledger(List<RunEventEntity> rows, List<BenchEvent> events, BenchState state) {

        static Optional<UUID> last(List<RunEventEntity> rows) {
            return rows.isEmpty()
                    ? Optional.empty()
                    : Optional.of(rows.get(rows.size() - 1).getId());
        }
    }

    /** The ledger of a run as it is now. */
    private Ledger ledger(RunEntity run) {
        return ledger(run, events.last(run.id()));
    }

    private Ledger ledger(RunEntity run, Optional<UUID> last) {
        return kept(run, last).orElseGet(() -> read(run, events.findByRunIdInOrderBySequence(List.of(run.id()))));
    }

    /** What is kept of a run, if it ends where the run does: a press may have come by another way, or to nothing after all. */
    private Optional<Ledger> kept(RunEntity run, Optional<UUID> last) {
        return Optional.ofNullable(ledgers.getIfPresent(run.id()))
                .filter(ledger -> Ledger.last(ledger.rows()).equals(last));
    }

    private Map<UUID, List<RunEventEntity>> rows(List<UUID> ids) {
        return ids.isEmpty()
                ? Map.of()
                : events.findByRunIdInOrderBySequence(ids).stream()
                        .collect(Collectors.groupingBy(RunEventEntity::runId));
    }

    private Map<UUID, Ledger> kept(List<RunEntity> some) {
        if (some.isEmpty()) {
            return Map.of();
        }
        Map<UUID, UUID> last = events.last(some.stream().map(RunEntity::id).toList()).stream()
                .collect(Collectors.toMap(LastOfRun::runId, LastOfRun::id));
        Map<UUID, Ledger> kept = new HashMap<>();
        some.forEach(run ->
                kept(run, Optional.ofNullable(last.get(run.id()))).ifPresent(ledger -> kept.put(run.id(), ledger)));
        return kept;
    }

    private Ledger read(RunEntity run, List<RunEventEntity> rows) {
        try {
            return keep(run, rows, rows.stream().map(row -> row.event(forms)).toList());
        } catch (UnreadablePlanException unreadable) {
            throw new UnreadableRunException(
                    new UnreadableRun(
                            run.id(), run.instrumentId(), run.startedAt(), run.startedBy(), unreadable.getMessage()),
                    unreadable);
        }
    }

    private Ledger keep(RunEntity run, List<RunEventEntity> rows, List<BenchEvent> told) {
        ChangePlan plan = plans.get(run.id(), this::readPlan);
        Ledger ledger = new Ledger(rows, told, BenchLedger.fold(plan, told));
        ledgers.put(run.id(), ledger);
        return ledger;
    }

    private static <T> List<T> and(List<T> some, T one) {
        return Stream.concat(some.stream(), Stream.of(one)).toList();
    }

    private Run view(RunEntity run, Ledger ledger) {
        return new Run(
                run.id(),
                run.instrumentId(),
                run.reason(),
                run.startedAt(),
                run.startedBy(),
                run.endedAt(),
                replacements(run),
                ledger.state(),
                ledger.events());
    }

    private Map<Position, UUID> replacements(RunEntity run) {
        return json.readValue(run.replacements(), REPLACEMENTS);
    }

    private ChangePlan readPlan(UUID id) {
        RunPlanEntity kept =
                runPlans.findById(id).orElseThrow(() -> new UnreadablePlanException("it has no plan", null));
        return forms.readPlan(kept.version(), kept.form());
    }

    /** What became of an entry. */
    public enum Taken {
        RECORDED,
        /** It had been recorded before. */
        REPEATED,
        /** The run had moved on from the page it was made on, and it was not recorded. */
        MOVED_ON
    }
}
