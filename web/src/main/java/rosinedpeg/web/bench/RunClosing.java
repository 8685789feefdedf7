package rosinedpeg.web.bench;

import static java.util.Objects.requireNonNull;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.bench.Learned;
import rosinedpeg.core.bench.OwedAfter;
import rosinedpeg.core.bench.PacketUse;
import rosinedpeg.core.causes.Breakages;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.MishapPlanner;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.bench.RunEntity.Outcome;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.InDrawer;
import rosinedpeg.web.findings.Note;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Off;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;

/** What a run that is over makes of the instrument's record: strings, notes, what is owed, what was learned. */
@Component
class RunClosing {

    private final RunEventRepository events;
    private final Instruments instruments;
    private final Notes notes;
    private final Aftercare aftercare;
    private final StringKinds kinds;
    private final Drawer drawer;
    private final Pace pace;
    private final Clock clock;

    RunClosing(
            RunEventRepository events,
            Instruments instruments,
            Notes notes,
            Aftercare aftercare,
            StringKinds kinds,
            Drawer drawer,
            Pace pace,
            Clock clock) {
        this.events = events;
        this.instruments = instruments;
        this.notes = notes;
        this.aftercare = aftercare;
        this.kinds = kinds;
        this.drawer = drawer;
        this.pace = pace;
        this.clock = clock;
    }

    /** Makes what the ledger says part of the instrument's record. */
    void close(RunEntity run, Run finished, Outcome outcome) {
        run.close(outcome, clock.instant());
        if (outcome == Outcome.FINISHED) {
            pace.note(run, finished);
        }
        learn(run, finished);
        finished.notes().forEach(note -> notes.write(run.instrumentId(), new Note.Written(note.text()), false));
        if (outcome == Outcome.FINISHED && finished.state().plan().order().isEmpty()) {
            notes.write(
                    run.instrumentId(),
                    new Note.WorkDone(finished.state().plan().kind()),
                    false);
        }
        owe(run.instrumentId(), finished.state());
        Map<Position, InDrawer> inHand = drawer.inHand(run.id());
        drawer.close(run.id(), staysOn(finished.state()));
        mishaps(run, finished.state());
        measureBridge(run, finished.state());
        finished.state()
                .missing()
                .forEach(position -> instruments.takeOff(
                        run.instrumentId(), position, keeps(run, finished, position), off(run, finished, position)));
        for (Position position : finished.state().changed()) {
            Optional<OldString> before = Optional.ofNullable(inHand.get(position))
                    .map(string -> drawer.were(List.of(string)).get(string.id()));
            instruments.fit(
                    run.instrumentId(),
                    position,
                    position.in(finished.replacements()),
                    cameToPitch(finished, position),
                    before.map(Before::of).orElse(Before.NOTHING),
                    keeps(run, finished, position),
                    off(run, finished, position));
        }
    }

    /** {@return the places on which what was taken from the drawer stays} */
    private static Set<Position> staysOn(BenchState state) {
        Set<Position> stays = EnumSet.noneOf(Position.class);
        stays.addAll(state.changed());
        PacketUse.of(state.plan()).forEach((position, use) -> {
            if (use.taken() > use.broken()
                    && !state.missing().contains(position)
                    && !state.plan().order().contains(position)) {
                stays.add(position);
            }
        });
        return stays;
    }

    /** What the readings show of how much the instrument gives, and sticks; with the new strings, which most of them are of. */
    private void learn(RunEntity run, Run finished) {
        Map<UUID, StringKind> known = kinds.all();
        Map<Position, StringSpec> strings =
                new EnumMap<>(instruments.get(run.instrumentId()).specs());
        finished.state()
                .changed()
                .forEach(position -> strings.put(
                        position,
                        requireNonNull(known.get(position.in(finished.replacements())))
                                .spec()));
        instruments.learn(
                run.instrumentId(),
                Learned.sinkings(finished.state().plan().setUp(), strings, finished.events()),
                Learned.leans(finished.state(), strings));
    }

    /** The last look at the bridge counts as a measurement of it. */
    private void measureBridge(RunEntity run, BenchState state) {
        if (state.gapMm() != null) {
            Measurable gap = Measurable.of(Quantity.BRIDGE_GAP);
            instruments.measure(
                    run.instrumentId(),
                    Map.of(gap, state.plan().setUp().rangeOf(gap).clamp(state.gapMm())),
                    CurrentWorkshop.today(clock),
                    run.id());
        }
    }

    /** What went wrong is noted; some of it is a repairer's work. A string that broke was replaced by one of its kind. */
    private void mishaps(RunEntity run, BenchState state) {
        Breakages breakages = new Breakages(events.breaks(run.instrumentId()).stream()
                .map(RunEventEntity::breakage)
                .toList());
        List<Mishap> before = new ArrayList<>();
        for (Mishap mishap : state.mishaps()) {
            boolean refer = MishapPlanner.refers(state.plan(), mishap, Collections.frequency(before, mishap));
            boolean atFault = mishap.kind() == Mishap.Kind.STRING_BROKE
                    && breakages.instrumentAtFault(requireNonNull(mishap.position()), requireNonNull(mishap.place()));
            before.add(mishap);
            notes.write(run.instrumentId(), new Note.WentWrong(mishap, atFault), refer || atFault);
            if (mishap.kind() == Mishap.Kind.STRING_BROKE && !state.changed().contains(mishap.position())) {
                instruments.replaceBroken(
                        run.instrumentId(), requireNonNull(mishap.position()), requireNonNull(mishap.place()));
            }
        }
    }

    /** What is left to be made up for is not to be forgotten. */
    private void owe(UUID instrumentId, BenchState state) {
        OwedAfter owed = OwedAfter.of(state);
        if (owed.tubeOn()) {
            instruments.guard(instrumentId, false, true);
        }
        owed.work().forEach((kind, strings) -> aftercare.owe(instrumentId, kind, strings));
        if (!owed.used().isEmpty()) {
            aftercare.restock(instrumentId, owed.used(), owed.materials());
        }
    }

    /** A broken string is no spare. */
    private static boolean keeps(RunEntity run, Run finished, Position position) {
        return run.keepOld() && off(run, finished, position).why() != CameOff.BROKE;
    }

    /** Why the string that was on came off. What broke of the strings that went on after it is another matter. */
    private static Off off(RunEntity run, Run finished, Position position) {
        boolean broke = finished.state().plan().steps().stream()
                .filter(step -> step.position() == position)
                .map(Step::kind)
                .filter(kind -> kind == StepKind.TAKE_OUT_REMAINS || kind == StepKind.FREE_TAIL_END)
                .findFirst()
                .filter(kind -> kind == StepKind.TAKE_OUT_REMAINS)
                .isPresent();
        if (!broke) {
            return new Off(run.reason() == Reason.WORN ? CameOff.WORN : CameOff.STILL_GOOD, null);
        }
        return new Off(
                CameOff.BROKE,
                finished.state().mishaps().stream()
                        .filter(mishap -> mishap.kind() == Mishap.Kind.STRING_BROKE && mishap.position() == position)
                        .map(Mishap::place)
                        .findFirst()
                        .orElse(null));
    }

    private static Instant cameToPitch(Run run, Position position) {
        int bringUp = run.state().plan().steps().stream()
                .filter(step -> step.kind() == StepKind.BRING_UP && step.position() == position)
                .findFirst()
                .orElseThrow()
                .index();
        return run.events().stream()
                .filter(event -> event instanceof BenchEvent.StepDone done && done.step() == bringUp)
                .map(BenchEvent::at)
                .reduce((earlier, later) -> later)
                .orElseThrow();
    }
}
