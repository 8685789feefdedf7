/** The dates the strings have to be ready for. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
package rosinedpeg.web.diary;
