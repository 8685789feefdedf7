/**
 * Whether strings keep clear of each other and of everything else in the pegbox: strings as segments, shafts and turns as
 * cylinders, walls and floor as planes. Begin with {@link rosinedpeg.core.clearance.StrungPegbox}, which gives every {@link
 * rosinedpeg.core.clearance.Clearance}, what lies over which peg, and for each {@link rosinedpeg.core.clearance.Touch} what
 * cures it.
 */
@NullMarked
package rosinedpeg.core.clearance;

import org.jspecify.annotations.NullMarked;
