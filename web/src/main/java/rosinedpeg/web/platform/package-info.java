/** What every other module stands on: the workshop in force, sign-in, forms, errors, and how figures are written. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
package rosinedpeg.web.platform;
