/** Shows how a figure was worked out, with the numbers that went into it. Templates ask
 * {@link rosinedpeg.web.working.WorkingAddresses} where. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "instrument", "kinds"})
@NullMarked
package rosinedpeg.web.working;

import org.jspecify.annotations.NullMarked;
