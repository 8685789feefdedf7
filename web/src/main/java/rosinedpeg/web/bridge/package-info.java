/** The bridge and the sound post under it: how the bridge stands, its pictures, its grooves, and the load the post wants. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "instrument", "drawing"})
package rosinedpeg.web.bridge;
