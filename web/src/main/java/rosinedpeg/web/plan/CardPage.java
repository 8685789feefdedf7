package rosinedpeg.web.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.working.StepWorkings;

/**
 * A plan on one sheet of paper.
 *
 * @param instrument the instrument
 * @param beforehand what has to be known before anybody works on it
 * @param course the plan; empty while something is missing
 * @param stepWorkings where the figures of each step show how they came about, by its index
 * @param back where it was planned
 * @param pdf where the same is as a PDF
 * @param now the moment it is made
 */
record CardPage(
        Instrument instrument,
        Beforehand beforehand,
        Optional<Course> course,
        List<Map<StepFigure, String>> stepWorkings,
        String back,
        String pdf,
        Instant now) {

    static CardPage of(
            Instrument instrument,
            Beforehand beforehand,
            Optional<Course> course,
            HttpServletRequest request,
            Instant now) {
        String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
        String card = request.getRequestURI();
        return new CardPage(
                instrument,
                beforehand,
                course,
                course.map(there -> workings(instrument, there)).orElse(List.of()),
                card.replaceFirst("/card(\\.pdf)?$", ""),
                card + ".pdf" + query,
                now);
    }

    private static List<Map<StepFigure, String>> workings(Instrument instrument, Course course) {
        StepWorkings workings = StepWorkings.of(instrument.stringing(), course.plan(), course.newStrings());
        return course.plan().steps().stream().map(workings::of).toList();
    }
}
