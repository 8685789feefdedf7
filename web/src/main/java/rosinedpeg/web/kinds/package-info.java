/**
 * The kinds of string the workshop works with, as their makers describe them: {@link rosinedpeg.web.kinds.StringKinds}. A
 * string on an instrument is of a kind, and is not one. {@code TypedPacket} makes a kind of what was typed, {@code KindTable} of a
 * row of a table.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "drawing"})
@NullMarked
package rosinedpeg.web.kinds;

import org.jspecify.annotations.NullMarked;
