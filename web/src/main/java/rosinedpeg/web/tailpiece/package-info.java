/**
 * The tailpiece: where it hangs, what its tuners have left, and how near the top their levers come. One page; what is
 * measured is kept with the instrument.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "instrument", "drawing", "kinds"})
@NullMarked
package rosinedpeg.web.tailpiece;

import org.jspecify.annotations.NullMarked;
