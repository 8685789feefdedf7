package rosinedpeg.web.bench;

import static java.util.Objects.requireNonNull;

import java.time.Clock;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.bench.Learned;
import rosinedpeg.core.causes.BreakCause;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.Reading;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.working.TuningGrounds;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.InDrawer;
import rosinedpeg.web.drawing.HeardDrawing;
import rosinedpeg.web.findings.Inspections;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Stringing;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.listen.PitchFrom;
import rosinedpeg.web.listen.PitchSources;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.working.StepWorkings;

/** Puts together what the bench shows of a run. */
@Component
class BenchPages {

    /** How many steps a device can go on without a connection. */
    private static final int AHEAD = 20;

    private final Benches benches;
    private final Instruments instruments;
    private final Aftercare aftercare;
    private final Inspections inspections;
    private final StringKinds kinds;
    private final Drawer drawer;
    private final BenchDrawings drawings;
    private final PitchSources sources;
    private final DayAtBench day;
    private final Clock clock;
    /** Each question by itself would be a transaction by itself, and take twice as many messages to the database. */
    private final TransactionTemplate reading;

    BenchPages(
            Benches benches,
            Instruments instruments,
            Aftercare aftercare,
            Inspections inspections,
            StringKinds kinds,
            Drawer drawer,
            BenchDrawings drawings,
            PitchSources sources,
            DayAtBench day,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.benches = benches;
        this.instruments = instruments;
        this.aftercare = aftercare;
        this.inspections = inspections;
        this.kinds = kinds;
        this.drawer = drawer;
        this.drawings = drawings;
        this.sources = sources;
        this.day = day;
        this.clock = clock;
        this.reading = new TransactionTemplate(transactions);
        reading.setReadOnly(true);
    }

    /**
     * A run as it stands.
     *
     * @param id the run
     * @param moved whether a press was not taken because the run had moved on
     * @return its page
     * @throws NotFoundException when this workshop has none with that id
     * @throws UnreadableRunException when it cannot be read
     */
    BenchPage of(UUID id, boolean moved) {
        Optional<BenchPage> underWay = requireNonNull(reading.execute(read ->
                Optional.of(benches.get(id)).filter(run -> !run.state().over()).map(run -> of(run, moved))));
        // What is left of the day may have to be planned anew, which is more than reading.
        return underWay.orElseGet(() -> of(benches.get(id), moved));
    }

    private BenchPage of(Run run, boolean moved) {
        BenchState state = run.state();
        Optional<Step> step = state.now();
        // Only whoever looks an instrument over asks how worn it is.
        Optional<Instrument> lookedOver =
                step.filter(now -> now.kind() == StepKind.LOOK_OVER).map(now -> instruments.get(run.instrumentId()));
        Stringing instrument =
                lookedOver.map(Instrument::stringing).orElseGet(() -> instruments.stringing(run.instrumentId()));
        Map<Position, StringKind> goingOn = goingOn(run, instrument);
        return new BenchPage(
                run,
                instrument,
                lookedOver.map(inspections::beforehand),
                state.over() ? aftercare.owed(run.instrumentId()) : List.of(),
                state.over() ? day.rest() : Optional.empty(),
                sources.there(PitchFrom.DEVICE),
                step.filter(now -> now.readings().contains(Reading.PITCH))
                        .map(now -> HeardDrawing.of(
                                tuned(run, now, instrument, goingOn).grounds().strings())),
                causes(state),
                step.flatMap(now -> round(run, now, instrument, goingOn)),
                ahead(state),
                step.map(now -> StepWorkings.of(instrument, state.plan(), goingOn)
                                .of(now))
                        .orElse(Map.of()),
                drawings.of(run, instrument, goingOn),
                step.map(now -> packets(run, now)).orElse(Map.of()),
                UUID.randomUUID(),
                clock.instant(),
                moved);
    }

    /** {@return what comes from the drawer for each place, where packets are laid out or opened} */
    Map<Position, InDrawer> packets(Run run, Step step) {
        boolean laysOut = step.kind() == StepKind.LAY_OUT_KIT;
        if (!laysOut && !step.kind().beginsWithString()) {
            return Map.of();
        }
        Map<Position, InDrawer> inHand = new EnumMap<>(Position.class);
        inHand.putAll(drawer.inHand(run.id()));
        inHand.keySet().removeIf(position -> !laysOut && position != step.position());
        return inHand;
    }

    /** {@return the kinds that a run puts on; those that are on the instrument already are known with it} */
    private Map<Position, StringKind> goingOn(Run run, Stringing instrument) {
        Map<UUID, StringKind> known = new HashMap<>();
        instrument.strings().forEach(on -> known.put(on.kind().id(), on.kind()));
        known.putAll(kinds.some(run.replacements().values().stream()
                .filter(kind -> !known.containsKey(kind))
                .collect(Collectors.toSet())));
        Map<Position, StringKind> goingOn = new EnumMap<>(Position.class);
        run.replacements().forEach((position, kind) -> goingOn.put(position, requireNonNull(known.get(kind))));
        return goingOn;
    }

    /** What may be behind the last break, while what is left of the string is taken out. */
    private static List<BreakCause> causes(BenchState state) {
        return state.now()
                .filter(step -> step.kind() == StepKind.TAKE_OUT_REMAINS)
                .flatMap(step -> state.mishaps().stream()
                        .filter(mishap ->
                                mishap.kind() == Mishap.Kind.STRING_BROKE && mishap.position() == step.position())
                        .reduce((earlier, later) -> later))
                .map(broke -> BreakCause.of(
                        state.plan().setUp(), requireNonNull(broke.position()), requireNonNull(broke.place())))
                .orElse(List.of());
    }

    /** The strings of the instrument, those at some positions replaced by what the run puts on. */
    private static Map<Position, StringSpec> strings(
            Stringing instrument, Map<Position, StringKind> goingOn, Collection<Position> replaced) {
        Map<Position, StringSpec> specs = new EnumMap<>(instrument.specs());
        replaced.forEach(position ->
                specs.put(position, requireNonNull(goingOn.get(position)).spec()));
        return specs;
    }

    /** What to touch next, and how far the others sink with it, where pitches are read. */
    private static Optional<BenchPage.Round> round(
            Run run, Step step, Stringing instrument, Map<Position, StringKind> goingOn) {
        if (!step.readings().contains(Reading.PITCH)) {
            return Optional.empty();
        }
        Tuned tuned = tuned(run, step, instrument, goingOn);
        return tuned.grounds().next().map(next -> new BenchPage.Round(next, tuned.learnedFrom()));
    }

    /** {@return what tuning at a step rests on} */
    TuningGrounds tuning(Run run, Step step) {
        return tuning(run, step, instruments.stringing(run.instrumentId()));
    }

    /** {@return the same, where the instrument is known} */
    TuningGrounds tuning(Run run, Step step, Stringing instrument) {
        return tuned(run, step, instrument, goingOn(run, instrument)).grounds();
    }

    private static Tuned tuned(Run run, Step step, Stringing instrument, Map<Position, StringKind> goingOn) {
        BenchState state = run.state();
        Set<Position> replaced = EnumSet.noneOf(Position.class);
        replaced.addAll(state.changed());
        Position raised = step.kind().raisesTension() ? step.position() : null;
        if (raised != null && run.replacements().containsKey(raised)) {
            replaced.add(raised);
        }
        SetUp setUp = state.plan().setUp();
        Map<Position, StringSpec> specs = strings(instrument, goingOn, replaced);
        Evidence evidence = Coupling.add(instrument.coupling(), Learned.sinkings(setUp, specs, run.events()));
        return new Tuned(
                new TuningGrounds(
                        setUp,
                        specs,
                        state.tensionsN(),
                        Coupling.figure(setUp.family(), evidence),
                        Optional.ofNullable(raised),
                        Optional.empty()),
                evidence.readings());
    }

    /**
     * What tuning at a step rests on.
     *
     * @param grounds that
     * @param learnedFrom from how many readings the instrument's give is known
     */
    private record Tuned(TuningGrounds grounds, int learnedFrom) {}

    /** Steps that can be shown without a connection: the next ones, as far as nothing is asked for in between. */
    private static List<BenchPage.Ahead> ahead(BenchState state) {
        List<Step> steps = state.plan().steps();
        if (state.over() || state.askedAgain() >= 0 || state.heldByBridge()) {
            return List.of();
        }
        Set<Position> dry = state.owed().stream()
                .map(steps::get)
                .filter(step -> step.kind() == StepKind.GRAPHITE)
                .map(Step::position)
                .collect(Collectors.toSet());
        return IntStream.range(state.reached() + 1, Math.min(steps.size(), state.reached() + 1 + AHEAD))
                .takeWhile(index -> !steps.get(index).kind().raisesTension()
                        || !dry.contains(steps.get(index).position()))
                .takeWhile(index -> !state.heldByBridgeAt(steps.get(index)))
                .mapToObj(index -> new BenchPage.Ahead(steps.get(index), steps.get(index - 1)))
                .toList();
    }
}
