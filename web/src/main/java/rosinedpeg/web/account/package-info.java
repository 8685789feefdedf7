/** Workshops, their people, signing in and passwords. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = "platform")
package rosinedpeg.web.account;
