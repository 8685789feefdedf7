/** Planning a change: which strings, by which schools, what it takes, and what is left on the post. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "instrument", "drawer", "bench", "diary", "drawing", "pegs", "findings"})
package rosinedpeg.web.plan;
