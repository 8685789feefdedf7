/**
 * Choosing the next strings of an instrument: the kinds that fit, side by side, ranked by a wish, and a set put together of them. {@code
 * Choices} gathers what is on record; how it is ranked is in {@link rosinedpeg.core.choosing}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "kinds", "instrument", "drawer", "sound", "drawing", "working"})
@NullMarked
package rosinedpeg.web.choosing;

import org.jspecify.annotations.NullMarked;
