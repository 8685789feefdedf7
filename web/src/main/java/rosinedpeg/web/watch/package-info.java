/**
 * How the application itself does: figures for programs that watch it, on a port of their own ({@code FiguresPort}), the same in words
 * for the keeper ({@code HowItRuns}), and what it is made of ({@code Parts}). What whoever runs it needs stands in
 * {@code docs/serving.md}.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "account"})
@NullMarked
package rosinedpeg.web.watch;

import org.jspecify.annotations.NullMarked;
