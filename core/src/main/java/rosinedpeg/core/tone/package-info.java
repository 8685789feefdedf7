/** What a plucked string sounds like, worked out from what it is. */
@NullMarked
package rosinedpeg.core.tone;

import org.jspecify.annotations.NullMarked;
