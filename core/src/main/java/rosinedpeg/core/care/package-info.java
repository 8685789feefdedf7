/**
 * The care of strings and bow between changes: so far how often rosin goes on, against how much is played, {@link
 * rosinedpeg.core.care.Rosining}.
 */
@NullMarked
package rosinedpeg.core.care;

import org.jspecify.annotations.NullMarked;
