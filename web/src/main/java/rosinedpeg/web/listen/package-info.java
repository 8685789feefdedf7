/**
 * The tuner: a device beside the bench that says what a string sounds like, {@link rosinedpeg.web.listen.Tuner}, and a
 * stand-in for it that ships with the demonstration.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
@NullMarked
package rosinedpeg.web.listen;

import org.jspecify.annotations.NullMarked;
