/**
 * A string: where it sits, what it is made of, how hard it pulls and how far it stretches. Begin with {@link
 * rosinedpeg.core.strings.StringSpec} and {@link rosinedpeg.core.strings.Position}.
 */
@NullMarked
package rosinedpeg.core.strings;

import org.jspecify.annotations.NullMarked;
