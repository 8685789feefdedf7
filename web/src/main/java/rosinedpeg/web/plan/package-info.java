/**
 * Planning a change, or other work: which strings, by which schools, what it takes, and what is left on the post. {@code
 * PlanController} and {@code WorkController} lead to one {@code Course} on the page, {@code BenchCard} puts it on paper,
 * {@code RunStart} takes it to the bench.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "platform",
            "instrument",
            "kinds",
            "drawer",
            "bench",
            "occasions",
            "drawing",
            "pegs",
            "findings",
            "working"
        })
@NullMarked
package rosinedpeg.web.plan;

import org.jspecify.annotations.NullMarked;
