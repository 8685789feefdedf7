package rosinedpeg.web.diary;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import rosinedpeg.web.occasions.Occasion;

/**
 * A day of the diary.
 *
 * @param day which
 * @param played what is played on it, the earliest first
 * @param told what follows for it
 */
record Day(LocalDate day, List<Occasion> played, Map<Told.Kind, List<Told>> told) {

    /** {@return whether nothing is on it} */
    boolean isEmpty() {
        return played.isEmpty() && told.isEmpty();
    }
}
