/** The instruments: their set-up, what was measured, the strings on them and how worn they are. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "drawer", "drawing"})
package rosinedpeg.web.instrument;
