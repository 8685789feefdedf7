/** Workshops, their people, signing in and passwords. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "drawing"})
package rosinedpeg.web.account;
