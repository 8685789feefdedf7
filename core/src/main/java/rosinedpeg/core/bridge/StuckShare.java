package rosinedpeg.core.bridge;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Collection;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * The part of a string that sticks in its bridge groove while it is raised, learned from how far the bridge was seen to
 * lean.
 *
 * <p>Every reading gives a pair: the lean there would be if all of the string stuck, and the lean that was seen. Least
 * squares through the origin, in which the default counts like one reading of a quarter of a degree: so that a first,
 * rough reading moves the figure but does not make it.
 */
public final class StuckShare {

    private static final double PRIOR_DEGREES = 0.25;
    private static final Range SHARE = new Range(0, 1, Unit.SHARE);
    private static final Range FULL_DRAG = new Range(0, 20, Unit.DEGREE);

    private StuckShare() {}

    /** {@return what was seen before, and this: the lean that was seen by the lean there would be if all stuck} */
    public static Evidence add(Evidence before, Collection<Observation> observations) {
        Evidence evidence = before;
        for (Observation observation : observations) {
            evidence = evidence.plus(observation.fullDrag().degrees(), observation.seenDegrees());
        }
        return evidence;
    }

    /**
     * The share that was seen.
     *
     * @param assumed the default to begin with, {@link Drag#DRY} or {@link Drag#GRAPHITED}, 0 to 1
     * @param evidence what was seen on this instrument with grooves of that kind
     * @return the share, learned when anything was seen
     * @throws rosinedpeg.core.figure.OutOfRangeException when the default is outside 0 to 1
     */
    public static Figure learned(double assumed, Evidence evidence) {
        SHARE.require("assumed", assumed);
        double xx = evidence.xx() + PRIOR_DEGREES * PRIOR_DEGREES;
        double xy = evidence.xy() + assumed * PRIOR_DEGREES * PRIOR_DEGREES;
        return new Figure(SHARE.clamp(xy / xx), Unit.SHARE, evidence.readings() == 0 ? Origin.DEFAULT : Origin.LEARNED);
    }

    /**
     * One string was raised and the bridge looked at before and after.
     *
     * @param fullDrag the lean it would add if all of it stuck, by {@link Drag#lean} with a stuck share of 1; 0 to 20°
     * @param seenDegrees the lean it did add, towards the fingerboard
     */
    public record Observation(Lean fullDrag, double seenDegrees) {

        /**
         * Checks the figures.
         *
         * @throws rosinedpeg.core.figure.OutOfRangeException when the full drag is below 0° or above 20°
         */
        public Observation {
            requireFinite("seenDegrees", seenDegrees);
            requireNonNull(fullDrag, "fullDrag");
            FULL_DRAG.require("fullDrag", fullDrag.degrees());
        }
    }
}
