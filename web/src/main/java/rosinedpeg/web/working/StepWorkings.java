package rosinedpeg.web.working;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.core.working.InstrumentGrounds;
import rosinedpeg.web.instrument.Stringing;
import rosinedpeg.web.kinds.StringKind;

/**
 * Where the figures of a plan's steps show how they came about.
 *
 * <p>A step keeps its figures, not what they were worked out of; each is worked out once more from the instrument, its strings
 * and how they are wound, and only what comes to the same leads anywhere. A figure that rests on more than these is left as it
 * stands.
 */
public final class StepWorkings {

    /** Two ways to one figure differ by no more, in the figure's own unit. */
    private static final double SAME = 1e-6;

    private final UUID instrument;
    private final ChangePlan plan;
    private final Map<Position, StringSpec> strings;
    private final Map<Position, UUID> newKinds;
    private final InstrumentGrounds grounds;

    private StepWorkings(Stringing instrument, ChangePlan plan, Map<Position, StringKind> newStrings) {
        this.instrument = instrument.id();
        this.plan = plan;
        this.strings = new EnumMap<>(Position.class);
        this.strings.putAll(instrument.specs());
        this.newKinds = new EnumMap<>(Position.class);
        newStrings.forEach((position, kind) -> {
            strings.put(position, kind.spec());
            newKinds.put(position, kind.id());
        });
        this.grounds = InstrumentGrounds.of(plan.setUp(), instrument.specs()).sticking(instrument.stuck());
    }

    /**
     * Those of a plan.
     *
     * @param instrument what it is worked on
     * @param plan the plan
     * @param newStrings what it puts on, by where
     * @return where its steps' figures show how they came about
     */
    public static StepWorkings of(Stringing instrument, ChangePlan plan, Map<Position, StringKind> newStrings) {
        return new StepWorkings(instrument, plan, newStrings);
    }

    /**
     * The addresses of one step's figures.
     *
     * @param step a step of the plan
     * @return the address for each of its figures that can show how it came about
     */
    public Map<StepFigure, String> of(Step step) {
        Map<StepFigure, String> addresses = new EnumMap<>(StepFigure.class);
        Position position = step.position();
        if (step.figures().isEmpty() || position != null && !strings.containsKey(position)) {
            return addresses;
        }
        Optional<Double> raisedTo = Optional.ofNullable(step.figures().get(StepFigure.TENSION_SHARE))
                .map(Figure::value);
        InstrumentGrounds whole = raisedTo.map(grounds::raisedTo).orElse(grounds);
        InstrumentGrounds trimmed = whole;
        Optional<WindingChoice> winding = Optional.ofNullable(position).map(plan::windingOf);
        if (position != null && winding.isPresent()) {
            StringSpec string = position.in(strings);
            double trimMm = WindingPlan.of(plan.setUp(), string, winding.get()).trimMm();
            trimmed = whole.about(string.shortenedBy(trimMm), winding.get());
            whole = whole.about(string, winding.get());
        }
        for (Map.Entry<StepFigure, Figure> shown : step.figures().entrySet()) {
            InstrumentFigure figure = InstrumentFigure.of(step.kind(), shown.getKey());
            boolean ofWhole = is(shown.getValue(), figure, whole);
            if (ofWhole || is(shown.getValue(), figure, trimmed)) {
                addresses.put(
                        shown.getKey(),
                        WorkingAddresses.ofStep(
                                instrument, figure, position, newKinds.get(position), winding, !ofWhole, raisedTo));
            }
        }
        return addresses;
    }

    private static boolean is(Figure shown, InstrumentFigure worked, InstrumentGrounds grounds) {
        return Math.abs(worked.value(grounds) - shown.value()) < SAME;
    }
}
