/** The dates the strings have to be ready for. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = "platform")
package rosinedpeg.web.diary;
