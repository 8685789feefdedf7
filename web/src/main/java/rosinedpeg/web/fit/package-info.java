/**
 * Whether a string fits an instrument, before anybody opens the packet: any kind of string laid along it. One page; the
 * judgement is the core's.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "instrument", "kinds", "findings", "drawing"})
@NullMarked
package rosinedpeg.web.fit;

import org.jspecify.annotations.NullMarked;
