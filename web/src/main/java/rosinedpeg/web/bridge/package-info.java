/**
 * The bridge and the sound post under it: how the bridge stands, its pictures, its grooves, and the load the post wants. Two
 * pages, {@code BridgeController} and {@code PostController}; what is measured here is kept with the instrument.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "instrument", "drawing"})
@NullMarked
package rosinedpeg.web.bridge;

import org.jspecify.annotations.NullMarked;
