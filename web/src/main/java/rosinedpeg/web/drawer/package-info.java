/** The kinds of string the workshop works with. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
package rosinedpeg.web.drawer;
