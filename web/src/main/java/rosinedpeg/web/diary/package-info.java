/**
 * The dates the strings have to be ready for. {@link rosinedpeg.web.diary.Diary} has those to come; each says how well a
 * string has to hold.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
package rosinedpeg.web.diary;
