/**
 * The diary: week by week what is played, and between that what follows from it. {@code Weeks} puts it together,
 * {@code CalendarFile} reads and writes it for calendar programs, {@code DiaryFeeds} hands it to them by a secret address.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "platform",
            "occasions",
            "instrument",
            "kinds",
            "drawing",
            "settling",
            "aftercare",
            "rack",
            "working"
        })
@NullMarked
package rosinedpeg.web.diary;

import org.jspecify.annotations.NullMarked;
