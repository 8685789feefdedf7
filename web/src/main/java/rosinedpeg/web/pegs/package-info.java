/** The pegs and the pegbox: what was seen of each peg, how its collar wears its way in, and how the strings wind on them.
 * Begin with {@link rosinedpeg.web.pegs.PegLooks}. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "instrument", "drawing"})
@NullMarked
package rosinedpeg.web.pegs;

import org.jspecify.annotations.NullMarked;
