/**
 * The dates the strings have to be ready for. {@link rosinedpeg.web.diary.Diary} has those to come; each says how well a
 * string has to hold.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
@NullMarked
package rosinedpeg.web.diary;

import org.jspecify.annotations.NullMarked;
