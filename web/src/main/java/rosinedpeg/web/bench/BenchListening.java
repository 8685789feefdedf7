package rosinedpeg.web.bench;

import static java.util.Objects.requireNonNull;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.hearing.HandsFree.Notice;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.plan.Reading;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.rounds.NextRound;
import rosinedpeg.core.rounds.PegTurn;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.working.TuningGrounds;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Stringing;
import rosinedpeg.web.listen.HearingWords;
import rosinedpeg.web.listen.Listened;
import rosinedpeg.web.listen.Listener;
import rosinedpeg.web.platform.Words;

/** Listens at the bench: a pluck is a reading of the run, and a string that holds its pitch moves it on, where somebody wants that. */
@Component
class BenchListening implements Listened {

    /** Steps in which strings come up together, each only part of its way. */
    private static final Set<StepKind> PART_OF_THE_WAY =
            Set.of(StepKind.RAISE_ALL, StepKind.RAISE_INNER_PAIR, StepKind.RAISE_OUTER_PAIR);

    private final Benches benches;
    private final BenchPages pages;
    private final Instruments instruments;
    private final HearingWords says;
    private final StepWords steps;
    private final Words words;

    BenchListening(
            Benches benches,
            BenchPages pages,
            Instruments instruments,
            HearingWords says,
            StepWords steps,
            Words words) {
        this.benches = benches;
        this.pages = pages;
        this.instruments = instruments;
        this.says = says;
        this.steps = steps;
        this.words = words;
    }

    @Override
    public String kind() {
        return "bench";
    }

    @Override
    public Listener begin(String id, Map<String, String> asked) {
        UUID run = UUID.fromString(id);
        benches.lastSequence(run);
        return new AtRun(run);
    }

    /**
     * How it stands at a step at which pitches are read.
     *
     * @param run the run
     * @param step the step
     * @param grounds what tuning rests on
     * @param ways how much of its tension each string has when the step is done, as a share
     * @param only the string that is meant, if it is one
     * @param slack whether the strings that come up stay so slack that no pitch of theirs can be read
     */
    private record AtStep(
            Run run,
            Step step,
            TuningGrounds grounds,
            Map<Position, Double> ways,
            Optional<Position> only,
            boolean slack) {

        static AtStep of(Run run, Step step, TuningGrounds grounds) {
            BenchState state = run.state();
            Map<Position, Double> ways = new EnumMap<>(Position.class);
            List<Position> raised = PART_OF_THE_WAY.contains(step.kind()) ? raised(state, step) : List.of();
            grounds.strings()
                    .keySet()
                    .forEach(position -> ways.put(
                            position,
                            raised.contains(position)
                                    ? position.in(step.tensionsAfterN())
                                            / position.in(state.plan().tensionsAfterN())
                                    : 1));
            List<Position> readable = raised.stream()
                    .filter(position -> BenchEvent.PITCH_READING.contains(
                            Cents.ofTensionFraction(position.in(ways)).value()))
                    .toList();
            Optional<Position> unread = readable.stream()
                    .filter(position -> !state.pitchCents().containsKey(position))
                    .findFirst();
            return new AtStep(
                    run,
                    step,
                    grounds,
                    ways,
                    Optional.ofNullable(step.position()).or(() -> unread),
                    readable.isEmpty() && !raised.isEmpty());
        }

        private static List<Position> raised(BenchState state, Step step) {
            Map<Position, Double> before = step.index() == 0
                    ? state.plan().tensionsAtStartN()
                    : state.plan().steps().get(step.index() - 1).tensionsAfterN();
            return state.plan().setUp().positions().stream()
                    .filter(position -> position.in(step.tensionsAfterN()) > before.getOrDefault(position, 0.0))
                    .toList();
        }

        /** Another step, another number; so has one that is come to again after something went wrong. */
        long number() {
            long mishaps = run.state().mishaps().size();
            return (mishaps * StepKind.values().length * run.steps() + step.index()) * (Position.values().length + 1)
                    + only.map(Position::number).orElse(0);
        }

        /** Whether the step is about the bridge too, and nobody has read yet how it stands. */
        boolean wantsGap() {
            return step.readings().contains(Reading.GAP)
                    && run.state().looks().stream().noneMatch(look -> look.step() == step.index());
        }

        double openHz(Position position) {
            SetUp setUp = grounds.setUp();
            return setUp.openString(position).frequencyHz(setUp.referenceA());
        }

        /** What a string should sound when the step is done; with one in hand the others, what they are taken to sound. */
        Map<Position, Double> hertz() {
            Map<Position, Double> hertz = new EnumMap<>(Position.class);
            grounds.strings().forEach((position, string) -> {
                double fullN = grounds.setUp().tensionN(string);
                double presentN = grounds.tensionsN().getOrDefault(position, 0.0);
                boolean meant = only.isEmpty() || only.get() == position;
                double share = meant ? position.in(ways) : presentN / fullN;
                double sounds = openHz(position) * Math.sqrt(share);
                if ((presentN > 0 || only.filter(position::equals).isPresent()) && Awaited.HERTZ.contains(sounds)) {
                    hertz.put(position, sounds);
                }
            });
            return hertz;
        }

        Listener.Stage stage() {
            Map<Position, Double> hertz = run.state().heldByBridge() || slack ? Map.of() : hertz();
            Optional<Position> inHand = only.filter(hertz::containsKey);
            boolean any = only.isEmpty() ? !hertz.isEmpty() : inHand.isPresent();
            Map<Position, Double> breaksCents = new EnumMap<>(Position.class);
            grounds.strings()
                    .forEach((position, string) -> breaksCents.put(
                            position, string.centsToBreaking(grounds.setUp().tensionN(string) * position.in(ways))));
            return new Listener.Stage(
                    number(), any ? Optional.of(new Awaited(hertz, inHand)) : Optional.empty(), only, breaksCents);
        }

        Optional<PegTurn> turn(Position position, Cents cents) {
            StringSpec string = grounds.strings().get(position);
            if (string == null) {
                return Optional.empty();
            }
            double targetN = grounds.setUp().tensionN(string) * position.in(ways);
            return Optional.of(PegTurn.of(
                    grounds.setUp(), string, new Coupling(grounds.coupling().value()), cents, targetN));
        }

        /** What a reading is from the pitch the string will have in the end. */
        Cents fromPitch(Position position, Cents cents) {
            return Cents.between(openHz(position), cents.above(openHz(position) * Math.sqrt(position.in(ways))));
        }
    }

    /** At one run. */
    private final class AtRun implements Listener {

        private final UUID run;
        private long seen = -1;
        private @Nullable Run now;
        private @Nullable Stringing instrument;
        private @Nullable AtStep atStep;
        /** Heard at the step in hand: what nobody has plucked in this round may have sunk unheard. */
        private final Set<Position> plucked = EnumSet.noneOf(Position.class);

        AtRun(UUID run) {
            this.run = run;
        }

        @Override
        public Optional<UUID> alone() {
            return Optional.of(run);
        }

        @Override
        public Optional<Stage> stage() {
            look();
            Run looked = requireNonNull(now);
            if (looked.state().over()) {
                return Optional.empty();
            }
            return Optional.of(
                    atStep != null ? atStep.stage() : new Stage(-1, Optional.empty(), Optional.empty(), Map.of()));
        }

        /** Reads the run where something has been recorded since the last look. */
        private void look() {
            long last = benches.lastSequence(run);
            if (last == seen) {
                return;
            }
            Run read = benches.get(run);
            if (instrument == null
                    || now == null
                    || !read.state().now().equals(now.state().now())) {
                plucked.clear();
                // At one step it stays as it is, however often a string is plucked.
                instrument = instruments.stringing(read.instrumentId());
            }
            Stringing known = instrument;
            // What was taken back was not heard.
            plucked.retainAll(read.state().pitchCents().keySet());
            now = read;
            seen = last;
            atStep = read.state()
                    .now()
                    .filter(step -> step.readings().contains(Reading.PITCH))
                    .map(step -> AtStep.of(read, step, pages.tuning(read, step, known)))
                    .orElse(null);
        }

        @Override
        public Optional<PegTurn> turn(Position position, Cents cents) {
            return Optional.ofNullable(atStep).flatMap(at -> at.turn(position, cents));
        }

        @Override
        public Said take(Notice notice, boolean goesOn) {
            AtStep at = atStep;
            if (at == null) {
                return Said.NOTHING;
            }
            if (notice instanceof Notice.Read read) {
                return read(at, read);
            }
            if (notice instanceof Notice.WrongString wrong) {
                return at.only()
                        .map(meant -> new Said(says.wrong(wrong.string(), meant), false))
                        .orElse(Said.NOTHING);
            }
            return goesOn && notice instanceof Notice.Holds holds ? holds(holds.string()) : Said.NOTHING;
        }

        private Said read(AtStep at, Notice.Read read) {
            Cents cents = at.fromPitch(read.string(), read.cents());
            if (!BenchEvent.PITCH_READING.contains(cents.value())) {
                return Said.NOTHING;
            }
            if (benches.record(run, press(), new BenchEntry.Pitch(read.string(), cents.value()))
                    != Benches.Taken.RECORDED) {
                return Said.NOTHING;
            }
            look();
            plucked.add(read.string());
            String note = says.read(read.string(), read.cents());
            return new Said(next().map(next -> note + " " + next).orElse(note), true);
        }

        private Press press() {
            return Press.now(UUID.randomUUID(), seen);
        }

        /** What to touch next, where several strings are tuned together, and by how much. */
        private Optional<String> next() {
            AtStep at = atStep;
            if (at == null || at.step().position() != null) {
                return Optional.empty();
            }
            if (at.only().isPresent()) {
                return at.only().map(position -> words.say("listen.next", position.name()));
            }
            Optional<Position> unheard = unheard(at);
            Optional<Position> next = at.grounds().next().map(NextRound::next);
            if (next.isEmpty()) {
                return Optional.of(unheard.map(position -> words.say("listen.next", position.name()))
                        .orElseGet(() -> words.say("listen.allInTune")));
            }
            Position position = next.get();
            Double read = at.run().state().pitchCents().get(position);
            return Optional.of(
                    read == null
                            ? words.say("listen.next", position.name())
                            : words.say(
                                    "listen.next.turn",
                                    position.name(),
                                    says.part(at.turn(position, new Cents(read)).orElseThrow())));
        }

        private Optional<Position> unheard(AtStep at) {
            return at.hertz().keySet().stream()
                    .filter(position -> !plucked.contains(position))
                    .findFirst();
        }

        /** One string that was brought up, or all of them in tune: that is what the step was for. */
        private Said holds(Position string) {
            look();
            AtStep at = atStep;
            if (at == null
                    || at.run().state().heldByBridge()
                    || PART_OF_THE_WAY.contains(at.step().kind())) {
                return Said.NOTHING;
            }
            boolean done = at.step().position() == null
                    ? at.grounds().next().isEmpty() && unheard(at).isEmpty()
                    : at.step().position() == string;
            if (done && at.wantsGap()) {
                return new Said(words.say("listen.gapFirst"), false);
            }
            if (!done
                    || benches.record(
                                    run, press(), new BenchEntry.Done(at.step().index()))
                            != Benches.Taken.RECORDED) {
                return Said.NOTHING;
            }
            look();
            Run after = requireNonNull(now);
            return new Said(
                    after.state()
                            .now()
                            .map(step -> words.say(
                                    "listen.goesOn",
                                    string.name(),
                                    steps.title(step, after.state().plan())))
                            .orElseGet(() -> words.say("listen.over", string.name())),
                    true);
        }
    }
}
