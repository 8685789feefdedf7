/** Drawings worked out to scale from the core's geometry. Templates only put them into SVG. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = "platform")
package rosinedpeg.web.drawing;
