package rosinedpeg.web.instrument;

import java.time.LocalDate;
import java.util.UUID;

/**
 * One measurement.
 *
 * @param value in the unit of its quantity
 * @param on the day
 * @param by who measured
 */
public record Measured(double value, LocalDate on, UUID by) {}
