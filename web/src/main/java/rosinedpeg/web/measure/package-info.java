/**
 * The guided sitting in which an instrument is measured, area by area, {@link rosinedpeg.web.measure.MeasuredArea}. What
 * comes of it is kept with the instrument.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "instrument", "drawing"})
@NullMarked
package rosinedpeg.web.measure;

import org.jspecify.annotations.NullMarked;
