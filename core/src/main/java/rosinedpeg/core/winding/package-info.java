/**
 * How a string winds on its peg: how many turns on which side of the hole, how far from the wall, how its end is locked.
 * Begin with {@link rosinedpeg.core.winding.WindingPlan}, which winds by a {@link rosinedpeg.core.winding.WindingChoice}.
 */
@NullMarked
package rosinedpeg.core.winding;

import org.jspecify.annotations.NullMarked;
