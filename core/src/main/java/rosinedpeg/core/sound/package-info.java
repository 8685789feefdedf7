/**
 * How strings sound, as players say it: words of the trade on {@link rosinedpeg.core.sound.SoundScale opposed scales}. {@link
 * rosinedpeg.core.sound.SoundPlaces} works out of what was said where kinds of string stand against one another on an instrument;
 * {@link rosinedpeg.core.sound.SoundAsked} when it is time to ask.
 */
@NullMarked
package rosinedpeg.core.sound;

import org.jspecify.annotations.NullMarked;
