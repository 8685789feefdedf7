/**
 * Listening. A pitch is typed, heard or said by a device: {@link rosinedpeg.web.listen.PitchSources}. {@code HearingSocket} takes the sound of
 * a device's microphone, {@code HearingSession} has it heard by the core's ear, and a {@link rosinedpeg.web.listen.Listener} of another
 * module knows what may sound and what is to be done with what was heard. Sound is never kept.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "instrument", "drawing"})
@NullMarked
package rosinedpeg.web.listen;

import org.jspecify.annotations.NullMarked;
