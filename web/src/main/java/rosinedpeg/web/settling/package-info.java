/**
 * New strings while they settle: the forecast, the readings, and when they hold. {@link rosinedpeg.web.settling.Settlings}
 * keeps until when each does, so that a page can ask for those that still do.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "instrument", "kinds", "occasions", "drawing", "working", "listen"})
@NullMarked
package rosinedpeg.web.settling;

import org.jspecify.annotations.NullMarked;
