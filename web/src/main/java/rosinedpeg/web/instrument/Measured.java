package rosinedpeg.web.instrument;

import java.time.LocalDate;

/**
 * One measurement.
 *
 * @param value in the unit of its quantity
 * @param on the day
 * @param by who measured
 */
public record Measured(double value, LocalDate on, String by) {}
