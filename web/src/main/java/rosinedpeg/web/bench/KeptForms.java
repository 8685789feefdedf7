package rosinedpeg.web.bench;

import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.plan.Amendment;
import rosinedpeg.core.plan.Caution;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.KeptPlan.Bands;
import rosinedpeg.web.bench.KeptPlan.KeptAmendment;
import rosinedpeg.web.bench.KeptPlan.KeptStep;
import rosinedpeg.web.platform.KeptFigure;
import rosinedpeg.web.platform.KeptNames;
import rosinedpeg.web.platform.KeptSetUp;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes plans in the form they are kept in, and reads whatever form was ever written. */
@Component
class KeptForms {

    private final JsonMapper json;

    KeptForms(JsonMapper json) {
        this.json = json;
    }

    /** {@return a plan as it is kept, in version {@link KeptPlan#VERSION}} */
    String write(ChangePlan plan) {
        return json.writeValueAsString(new KeptPlan(
                plan.kind().name(),
                KeptSetUp.of(plan.setUp()),
                names(plan.order()),
                byName(plan.tensionsBeforeN(), tension -> tension),
                byName(plan.tensionsAtStartN(), tension -> tension),
                byName(plan.tensionsAfterN(), tension -> tension),
                new Bands(
                        plan.bands().heldFrom(),
                        plan.bands().lightFrom(),
                        plan.bands().thinFrom()),
                plan.steps().stream().map(KeptForms::kept).toList(),
                names(plan.owed())));
    }

    /** {@return what was told after a mishap as it is kept, in version {@link KeptPlan#VERSION}} */
    String write(Amendment told) {
        return json.writeValueAsString(
                new KeptAmendment(told.steps().stream().map(KeptForms::kept).toList(), told.then()));
    }

    /**
     * Reads a plan.
     *
     * @param version in which version it was written
     * @param form the form
     * @return the plan
     * @throws UnreadablePlanException when it cannot be read
     */
    ChangePlan readPlan(int version, String form) {
        return read(version, () -> {
            JsonNode tree = json.readTree(form);
            return plan(json.treeToValue(version == 0 ? fromVersion0((ObjectNode) tree) : tree, KeptPlan.class));
        });
    }

    /**
     * Reads what was told after a mishap.
     *
     * @param version in which version it was written
     * @param form the form
     * @return what was told
     * @throws UnreadablePlanException when it cannot be read
     */
    Amendment readTold(int version, String form) {
        return read(version, () -> {
            KeptAmendment told = json.readValue(form, KeptAmendment.class);
            return new Amendment(steps(told.steps()), told.then());
        });
    }

    private static <T> T read(int version, Supplier<T> reader) {
        if (version > KeptPlan.VERSION) {
            throw new UnreadablePlanException("it is of version " + version + ", written by a later release", null);
        }
        try {
            return reader.get();
        } catch (RuntimeException unreadable) {
            throw new UnreadablePlanException(unreadable.getMessage(), unreadable);
        }
    }

    /** Before there were versions, the core's own record was kept. */
    private ObjectNode fromVersion0(ObjectNode old) {
        ObjectNode setUp = (ObjectNode) old.get("setUp");
        setUp.set("family", setUp.get("size").get("family"));
        setUp.set("size", setUp.get("size").get("code"));
        setUp.set("referenceAHz", setUp.remove("referenceA").get("hertz"));
        ArrayNode openStrings = json.createArrayNode();
        setUp.get("openStrings")
                .forEach(pitch -> openStrings.add(new Pitch(pitch.get("midi").asInt()).spelling()));
        setUp.set("openStrings", openStrings);
        setUp.set("measured", setUp.remove("figures"));
        setUp.set("pegs", setUp.remove("pegKind"));
        ObjectNode bands = (ObjectNode) old.get("bands");
        bands.set("held", bands.remove("heldFrom"));
        bands.set("light", bands.remove("lightFrom"));
        bands.set("thin", bands.remove("thinFrom"));
        old.set("before", old.remove("tensionsBeforeN"));
        old.set("atStart", old.remove("tensionsAtStartN"));
        old.set("after", old.remove("tensionsAfterN"));
        old.remove("refusals");
        old.get("steps").forEach(one -> {
            ObjectNode step = (ObjectNode) one;
            step.remove("index");
            step.set("after", step.remove("tensionsAfterN"));
            JsonNode shares = step.remove("sharesAfter");
            step.set("bass", shares.get("bass"));
            step.set("treble", shares.get("treble"));
            step.set("band", step.remove("bandAfter"));
        });
        return old;
    }

    // --- into the form -----------------------------------------------------------------------------------------------

    private static KeptStep kept(Step step) {
        return new KeptStep(
                step.kind().name(),
                step.position() == null ? null : step.position().name(),
                names(step.materials()),
                names(step.cautions()),
                byName(step.figures(), KeptFigure::of),
                byName(step.tensionsAfterN(), tension -> tension),
                step.sharesAfter().bass(),
                step.sharesAfter().treble(),
                step.bandAfter().name());
    }

    private static List<String> names(Collection<? extends Enum<?>> many) {
        return many.stream().map(Enum::name).toList();
    }

    private static <V, K> Map<String, K> byName(Map<? extends Enum<?>, V> map, Function<V, K> value) {
        Map<String, K> named = new LinkedHashMap<>();
        map.forEach((key, of) -> named.put(key.name(), value.apply(of)));
        return named;
    }

    // --- out of the form ---------------------------------------------------------------------------------------------

    private static ChangePlan plan(KeptPlan kept) {
        Map<Position, Double> before = byPosition(kept.before(), tension -> tension);
        return new ChangePlan(
                kept.kind() == null ? PlanKind.CHANGE : KeptNames.of(PlanKind.class, kept.kind()),
                kept.setUp().setUp(),
                ofNames(Position.class, kept.order()),
                before,
                kept.atStart() == null ? before : byPosition(kept.atStart(), tension -> tension),
                byPosition(kept.after(), tension -> tension),
                new LoadBands(
                        kept.bands().held(), kept.bands().light(), kept.bands().thin()),
                steps(kept.steps()),
                kept.owed() == null ? List.of() : ofNames(StepKind.class, kept.owed()),
                List.of());
    }

    private static List<Step> steps(List<KeptStep> kept) {
        return IntStream.range(0, kept.size())
                .mapToObj(index -> step(index, kept.get(index)))
                .toList();
    }

    private static Step step(int index, KeptStep kept) {
        Map<StepFigure, Figure> figures = new EnumMap<>(StepFigure.class);
        kept.figures().forEach((name, figure) -> figures.put(KeptNames.of(StepFigure.class, name), figure.figure()));
        return new Step(
                index,
                KeptNames.of(StepKind.class, kept.kind()),
                kept.position() == null ? null : KeptNames.of(Position.class, kept.position()),
                ofNames(Material.class, kept.materials()),
                ofNames(Caution.class, kept.cautions()),
                figures,
                byPosition(kept.after(), tension -> tension),
                new LoadShares(kept.bass(), kept.treble()),
                KeptNames.of(LoadBand.class, kept.band()));
    }

    private static <E extends Enum<E>> List<E> ofNames(Class<E> type, List<String> names) {
        return names.stream().map(name -> KeptNames.of(type, name)).toList();
    }

    private static <V, K> Map<Position, V> byPosition(Map<String, K> kept, Function<K, V> value) {
        Map<Position, V> map = new EnumMap<>(Position.class);
        kept.forEach((name, of) -> map.put(KeptNames.of(Position.class, name), value.apply(of)));
        return map;
    }
}
