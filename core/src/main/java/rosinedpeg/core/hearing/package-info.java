/**
 * What a string sounds like, from the samples of a microphone. Begin with {@link rosinedpeg.core.hearing.Ear}: it takes samples as they come
 * and says which of the {@link rosinedpeg.core.hearing.Awaited} strings sounds and how far it is from its pitch, or that it is not sure,
 * {@link rosinedpeg.core.hearing.Hearing}. Nothing is kept but what the next verdict needs.
 */
@NullMarked
package rosinedpeg.core.hearing;

import org.jspecify.annotations.NullMarked;
