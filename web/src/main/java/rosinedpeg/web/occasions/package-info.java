/**
 * The dates the workshop keeps: what the strings have to be ready for, terms and holidays.
 * {@link rosinedpeg.web.occasions.Occasions} has them; the diary shows them with what follows from them.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform"})
@NullMarked
package rosinedpeg.web.occasions;

import org.jspecify.annotations.NullMarked;
