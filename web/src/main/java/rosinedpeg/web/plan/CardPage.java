package rosinedpeg.web.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.Optional;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.instrument.Instrument;

/**
 * A plan on one sheet of paper.
 *
 * @param instrument the instrument
 * @param beforehand what has to be known before anybody works on it
 * @param course the plan; empty while something is missing
 * @param back where it was planned
 * @param pdf where the same is as a PDF
 * @param now the moment it is made
 */
record CardPage(
        Instrument instrument, Beforehand beforehand, Optional<Course> course, String back, String pdf, Instant now) {

    static CardPage of(
            Instrument instrument,
            Beforehand beforehand,
            Optional<Course> course,
            HttpServletRequest request,
            Instant now) {
        String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
        String card = request.getRequestURI();
        return new CardPage(
                instrument, beforehand, course, card.replaceFirst("/card(\\.pdf)?$", ""), card + ".pdf" + query, now);
    }
}
