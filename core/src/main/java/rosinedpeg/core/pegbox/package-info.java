/**
 * The inside of the pegbox as a place with coordinates: its walls and floor, its shafts and their holes, and where strings
 * go in, {@link rosinedpeg.core.pegbox.Pegbox}.
 */
@NullMarked
package rosinedpeg.core.pegbox;

import org.jspecify.annotations.NullMarked;
