/** What is wrong with instruments: what an inspection finds, what somebody noticed, what a repairer has to see to, and what is
 * behind a symptom. Begin with {@link rosinedpeg.web.findings.Inspections} and {@link rosinedpeg.web.findings.Notes}. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "instrument", "pegs", "aftercare", "drawing"})
@NullMarked
package rosinedpeg.web.findings;

import org.jspecify.annotations.NullMarked;
