package rosinedpeg.web.bench;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.drawing.LoadTrack;
import rosinedpeg.web.drawing.PegboxDrawing;
import rosinedpeg.web.drawing.StringState;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Stringing;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.platform.Fragments;

/**
 * Draws an instrument as it stands in a run, what the feet of its bridge carry, and the load from step to step; kept beside the plan,
 * since a run is looked at oftener than it moves.
 */
@Component
class BenchDrawings {

    /** As many plans as are in hand at a time. */
    private static final int PLANS = 200;

    private final Fragments fragments;

    /** What was drawn last of each plan: by the very plan, not by what is in it. */
    private final Cache<ChangePlan, Kept> kept =
            Caffeine.newBuilder().weakKeys().maximumSize(PLANS).build();

    BenchDrawings(Fragments fragments) {
        this.fragments = fragments;
    }

    /**
     * What is drawn, as HTML.
     *
     * @param instrument the instrument, with the place that is worked at; with the pegbox from above while a string is wound
     * @param winds whether that is so
     * @param load what the feet of the bridge carry, and what that means
     * @param track the load on the post from step to step, for a desk and for a phone
     */
    record Drawn(String instrument, boolean winds, String load, String track) {}

    /** All that a drawing depends on beside the plan. */
    private record Look(
            Optional<Integer> step,
            Map<Position, Double> tensionsN,
            Map<Position, StringSpec> on,
            Map<Position, StringSpec> then,
            String instrument,
            Locale locale) {}

    private record Kept(Look look, Drawn drawn) {}

    /**
     * A run as it stands.
     *
     * @param run the run
     * @param instrument what it is of
     * @param goingOn the kinds that it puts on
     * @return that
     */
    Drawn of(Run run, Stringing instrument, Map<Position, StringKind> goingOn) {
        BenchState state = run.state();
        Map<Position, StringSpec> then = new EnumMap<>(instrument.specs());
        goingOn.forEach((position, kind) -> then.put(position, kind.spec()));
        Look look = new Look(
                state.now().map(Step::index),
                state.tensionsN(),
                instrument.specs(),
                then,
                instrument.name(),
                LocaleContextHolder.getLocale());
        Kept last = kept.getIfPresent(state.plan());
        if (last != null && last.look().equals(look)) {
            return last.drawn();
        }
        Drawn drawn = draw(run, look);
        kept.put(state.plan(), new Kept(look, drawn));
        return drawn;
    }

    private Drawn draw(Run run, Look look) {
        BenchState state = run.state();
        ChangePlan plan = state.plan();
        Optional<View> pegbox =
                state.now().filter(step -> step.kind().winds()).map(step -> pegbox(plan, step, look.then()));
        Map<String, Object> shown = new HashMap<>(
                Map.of("drawing", drawing(state, look.on()), "instrument", look.instrument(), "off", run.off()));
        state.now().ifPresent(step -> shown.put("step", step));
        pegbox.ifPresent(view -> shown.put("pegbox", view));
        int reached = look.step().orElse(run.steps());
        return new Drawn(
                fragments.layOut("bench/drawing", shown),
                pegbox.isPresent(),
                fragments.layOut("bench/load", Map.of("plan", plan, "state", state, "instrument", run.instrumentId())),
                fragments.layOut(
                        "bench/track",
                        Map.of(
                                "plan",
                                plan,
                                "track",
                                LoadTrack.of(plan, reached, 960, 124),
                                "narrowTrack",
                                LoadTrack.of(plan, reached, 370, 140))));
    }

    /** The pegbox from above while a string is locked and wound: as it will be when the strings are on. */
    private static View pegbox(ChangePlan plan, Step step, Map<Position, StringSpec> specs) {
        Map<Position, WindingChoice> choices = new EnumMap<>(Position.class);
        specs.keySet().forEach(position -> choices.put(position, plan.windingOf(position)));
        StrungPegbox pegbox = new StrungPegbox(plan.setUp(), specs, choices);
        return PegboxDrawing.of(pegbox, specs.values(), List.of(), step.position())
                .above();
    }

    private static InstrumentDrawing drawing(BenchState state, Map<Position, StringSpec> on) {
        Optional<Step> step = state.now();
        Map<Position, Double> diameters = new EnumMap<>(Position.class);
        on.forEach((position, spec) -> diameters.put(position, spec.diameterMm()));
        Map<Position, StringState> states = new EnumMap<>(Position.class);
        for (Position position : state.plan().setUp().positions()) {
            double tensionN = state.tensionsN().getOrDefault(position, 0.0);
            double full = state.plan().tensionsBeforeN().getOrDefault(position, tensionN);
            boolean worked = step.filter(now -> now.position() == position).isPresent();
            StringState drawn = tensionN == 0
                    ? StringState.OFF
                    : InstrumentLoad.isAside(tensionN, full) ? StringState.SET_ASIDE : StringState.ON;
            states.put(position, drawn == StringState.ON && worked ? StringState.WORKED_ON : drawn);
        }
        return InstrumentDrawing.of(
                state.plan().setUp(),
                diameters,
                states,
                step.map(now -> now.kind().place()).orElse(Place.WHOLE),
                step.map(Step::position).orElse(null));
    }
}
