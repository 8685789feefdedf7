/**
 * Drawings worked out to scale from the core's geometry; templates only put them into SVG. A {@link
 * rosinedpeg.web.drawing.View} is a list of marks on paper in mm, and {@link rosinedpeg.web.drawing.DrawingFile} makes a
 * file of one. The instrument itself, its strands and the charts are records of their own.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = "platform")
@NullMarked
package rosinedpeg.web.drawing;

import org.jspecify.annotations.NullMarked;
