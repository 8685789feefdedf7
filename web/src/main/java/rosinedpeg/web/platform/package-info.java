/**
 * What every other module stands on: the workshop in force, sign-in, roles, forms, pages, and how figures are written.
 * {@link rosinedpeg.web.platform.CurrentWorkshop} says whose data it is, {@link rosinedpeg.web.platform.OpenTo} who may,
 * {@link rosinedpeg.web.platform.Entry} reads what was typed, {@link rosinedpeg.web.platform.Page} lays out what is shown,
 * {@link rosinedpeg.web.platform.AsShown} and {@link rosinedpeg.web.platform.Change} see that nothing is overwritten unseen,
 * {@link rosinedpeg.web.platform.Say} and {@link rosinedpeg.web.platform.Words} put it into words.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
@NullMarked
package rosinedpeg.web.platform;

import org.jspecify.annotations.NullMarked;
