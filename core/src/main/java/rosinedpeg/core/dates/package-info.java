/**
 * When to change strings. {@link rosinedpeg.core.dates.ChangeWindow} answers for one string and one performance, {@link
 * rosinedpeg.core.dates.SafeChange} for one string and all that is played. Many instruments against the minutes of a bench are
 * {@link rosinedpeg.core.week}.
 */
@NullMarked
package rosinedpeg.core.dates;

import org.jspecify.annotations.NullMarked;
