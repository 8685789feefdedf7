/**
 * How the bridge stands, where the push of the strings meets its feet, and how far a stuck string drags it. A bridge stands
 * as long as that push falls within its feet, so that everything here leads to one point: {@link
 * rosinedpeg.core.bridge.Thrust}, from the {@link rosinedpeg.core.bridge.Lean} it is read by. Curve, place and easing stand
 * beside it.
 */
@NullMarked
package rosinedpeg.core.bridge;

import org.jspecify.annotations.NullMarked;
