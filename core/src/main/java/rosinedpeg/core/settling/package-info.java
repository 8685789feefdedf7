/**
 * How far a new string sinks after it is on, and when it holds. {@link rosinedpeg.core.settling.SettlingForecast} is the law
 * of it, {@link rosinedpeg.core.settling.SettlingFit} corrects it by readings, says how sure it is, and tells a slipping peg
 * from settling.
 */
@NullMarked
package rosinedpeg.core.settling;

import org.jspecify.annotations.NullMarked;
