/**
 * What strings are usually like, for those nobody knows and for the first shelf of a workshop: {@link
 * rosinedpeg.core.usual.UsualString}.
 */
@NullMarked
package rosinedpeg.core.usual;

import org.jspecify.annotations.NullMarked;
