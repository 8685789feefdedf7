/**
 * The week: what the bench does when. {@code BenchWork} gathers what is due, owed or asked for, {@code BenchTimes} who is at the
 * bench, {@code BenchWeek} plans the one into the other and keeps where each job stands, what is pinned and what was promised. The
 * rules are in {@link rosinedpeg.core.week}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "platform",
            "account",
            "instrument",
            "kinds",
            "occasions",
            "settling",
            "aftercare",
            "rack",
            "bench",
            "buying",
            "lend",
            "drawer",
            "pegs",
            "findings",
            "drawing"
        })
@NullMarked
package rosinedpeg.web.week;

import org.jspecify.annotations.NullMarked;
