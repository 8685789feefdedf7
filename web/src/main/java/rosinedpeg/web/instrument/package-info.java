/**
 * The instruments: their set-up, what was measured, the strings on them and how worn they are. Everything else stands on
 * this. {@link rosinedpeg.web.instrument.Instruments} is the door: an {@link rosinedpeg.web.instrument.Instrument} is
 * everything of one, a {@link rosinedpeg.web.instrument.Standing} as much as is told of one among many, {@link
 * rosinedpeg.web.instrument.InstrumentNames} what they are called; {@link rosinedpeg.web.instrument.PastStrings} is every
 * string that was ever on one. What happens to one is told as an {@link rosinedpeg.web.instrument.InstrumentEvent}, and
 * whoever records something adds to its log by {@link rosinedpeg.web.instrument.LogSource}.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "kinds", "drawing", "occasions"})
@NullMarked
package rosinedpeg.web.instrument;

import org.jspecify.annotations.NullMarked;
