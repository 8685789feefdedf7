package rosinedpeg.web.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.instrument.Instrument;

/**
 * The page a change is planned on.
 *
 * @param instrument the instrument
 * @param beforehand what has to be known before anybody works on it
 * @param choices what can be chosen
 * @param usual the usual choice of each school
 * @param cardAddress where the plan's bench card is
 * @param fits how each chosen string fits
 * @param together what the chosen strings come to together; empty where that is nothing to speak of, or there is only one
 * @param fromDrawer what the drawer has of each chosen string; nothing where the workshop keeps none
 * @param course the plan; empty while something is missing
 * @param comparison what the other ways of working come to; empty for one string
 * @param advice until when the change has to be done for what is in the diary
 */
record PlanPage(
        Instrument instrument,
        Beforehand beforehand,
        PlanChoices choices,
        Set<Enum<?>> usual,
        String cardAddress,
        Map<Position, List<Finding>> fits,
        Optional<Finding> together,
        Map<Position, FromDrawer> fromDrawer,
        Optional<Course> course,
        Optional<Comparison> comparison,
        List<OccasionAdvice> advice) {

    /** {@return whether every chosen string fits} */
    boolean allFit() {
        return fits.values().stream().flatMap(List::stream).noneMatch(Finding::stops);
    }

    /**
     * What the ways of working come to for a change.
     *
     * @param ways each of them
     * @param picture the least load of each, drawn
     */
    record Comparison(List<Compared> ways, View picture) {}
}
