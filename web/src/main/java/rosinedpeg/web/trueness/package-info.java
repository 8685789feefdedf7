/**
 * Whether a string has become false: what is heard of its octave and of its partials on some days, judged against the first of them. {@link
 * rosinedpeg.web.trueness.TruenessReadings} keeps them; {@code TruenessListening} hears one after the other what a reading is made of.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "instrument", "drawing", "listen"})
@NullMarked
package rosinedpeg.web.trueness;

import org.jspecify.annotations.NullMarked;
