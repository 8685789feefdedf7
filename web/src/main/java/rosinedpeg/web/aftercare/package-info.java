/** What is left to do on instruments after work on them, and the care of strings and bows between. Begin with {@link rosinedpeg.web.aftercare.Aftercare}. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "instrument"})
@NullMarked
package rosinedpeg.web.aftercare;

import org.jspecify.annotations.NullMarked;
