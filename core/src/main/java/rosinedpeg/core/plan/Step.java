package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.strings.Position;

/**
 * One step of a plan.
 *
 * @param index its place in the plan, from 0
 * @param kind what is done
 * @param position the string it is done for, none when it is for the whole instrument
 * @param materials what is used
 * @param cautions what to take care of
 * @param figures what the step needs to know
 * @param tensionsAfterN tension of each string once it is done, in N
 * @param sharesAfter load left on the feet once it is done
 * @param bandAfter what that means for the post
 */
public record Step(
        int index,
        StepKind kind,
        @Nullable Position position,
        List<Material> materials,
        List<Caution> cautions,
        Map<StepFigure, Figure> figures,
        Map<Position, Double> tensionsAfterN,
        LoadShares sharesAfter,
        LoadBand bandAfter) {

    /** Copies the collections. */
    public Step {
        requireFinite("tensionsAfterN", tensionsAfterN);
        requireNonNull(kind, "kind");
        requireNonNull(sharesAfter, "sharesAfter");
        requireNonNull(bandAfter, "bandAfter");
        materials = List.copyOf(materials);
        cautions = List.copyOf(cautions);
        figures = figures.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(figures));
        tensionsAfterN = Position.inOrder(tensionsAfterN);
    }

    /** {@return what can be read at it; a bridge that no string holds cannot lean} */
    public Set<Reading> readings() {
        boolean held = tensionsAfterN.values().stream().anyMatch(tensionN -> tensionN > 0);
        return kind == StepKind.GRAPHITE && !held ? Set.of() : kind.readings();
    }

    /** {@return the same step at another place of a plan} */
    Step at(int otherIndex) {
        return new Step(
                otherIndex, kind, position, materials, cautions, figures, tensionsAfterN, sharesAfter, bandAfter);
    }

    /** {@return whether the post stays held and both feet stay down} */
    public boolean holds() {
        return bandAfter != LoadBand.UNHELD && !sharesAfter.bassFootLifts();
    }
}
