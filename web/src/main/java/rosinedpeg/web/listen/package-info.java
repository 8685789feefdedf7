/** The tuner: a device beside the bench that says what a string sounds like, and a stand-in for it. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
package rosinedpeg.web.listen;
