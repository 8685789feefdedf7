/**
 * Workshops, their people, signing in and passwords. Begin with {@link rosinedpeg.web.account.Accounts}.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "drawing"})
@NullMarked
package rosinedpeg.web.account;

import org.jspecify.annotations.NullMarked;
