/** The kinds of string the workshop works with. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = "platform")
package rosinedpeg.web.drawer;
