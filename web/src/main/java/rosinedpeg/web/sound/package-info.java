/**
 * How strings sound: players are asked once a string has settled and once it has come off, and what they say stays findable. {@code
 * Sounds} keeps it; what follows for kinds of string is {@link rosinedpeg.core.sound.SoundPlaces}.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "kinds", "instrument", "settling"})
@NullMarked
package rosinedpeg.web.sound;

import org.jspecify.annotations.NullMarked;
