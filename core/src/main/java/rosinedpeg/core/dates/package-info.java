/**
 * When to change strings. {@link rosinedpeg.core.dates.ChangeWindow} answers for one string and one performance; {@link
 * rosinedpeg.core.dates.BenchSchedule} for many instruments against the minutes of one bench, by an exact search.
 */
@NullMarked
package rosinedpeg.core.dates;

import org.jspecify.annotations.NullMarked;
