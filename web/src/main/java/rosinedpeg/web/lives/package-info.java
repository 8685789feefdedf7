/**
 * How long strings last, by the workshop's own. {@link rosinedpeg.web.lives.Lives} learns it anew whenever one comes off, {@code
 * LivesController} shows it. The fit is {@link rosinedpeg.core.wear.LearnedLife}; what was learned is kept with the kind, so that
 * wear and due dates rest on it.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "kinds", "instrument", "drawing"})
@NullMarked
package rosinedpeg.web.lives;

import org.jspecify.annotations.NullMarked;
