package rosinedpeg.web.practice;

import java.util.Optional;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.QuickChange;

/**
 * What an attempt is for: a lesson, a string against the clock, or whatever one likes.
 *
 * @param lesson the lesson, if it is one
 * @param change the string against the clock, if it is one
 */
public record Task(Optional<Lesson> lesson, Optional<QuickChange> change) {

    /** Whatever one likes. */
    public static final Task FREE = new Task(Optional.empty(), Optional.empty());

    /** {@return whether nothing in particular is asked} */
    public boolean free() {
        return lesson.isEmpty() && change.isEmpty();
    }
}
