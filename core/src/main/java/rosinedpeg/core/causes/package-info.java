/**
 * From what is seen or heard to what is behind it, and the check that tells the causes apart. A {@link
 * rosinedpeg.core.causes.Symptom} has suspicions in the order in which they are looked for; a string that broke at one
 * {@link rosinedpeg.core.causes.BreakPlace} again accuses the instrument, {@link rosinedpeg.core.causes.Breakages}.
 */
@NullMarked
package rosinedpeg.core.causes;

import org.jspecify.annotations.NullMarked;
