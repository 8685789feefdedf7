package rosinedpeg.core.lesson;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How far somebody has come with the lessons.
 *
 * @param done every time each lesson was done, in order
 */
public record Course(Map<Lesson, List<Recall>> done) {

    /** Copies the times. */
    public Course {
        Map<Lesson, List<Recall>> every = new EnumMap<>(Lesson.class);
        for (Lesson lesson : Lesson.values()) {
            every.put(lesson, List.copyOf(done.getOrDefault(lesson, List.of())));
        }
        done = Collections.unmodifiableMap(every);
    }

    /** How somebody stands with a lesson. */
    public enum Standing {
        /** It was not done yet. */
        NEW,
        /** It was done, never without something going wrong on the way. */
        NOT_YET_CLEAN,
        /** It went well and is asked again later. */
        LEARNED,
        /** It was done, and is asked again now. */
        COMES_BACK
    }

    /** {@return the times a lesson was done, in order} */
    public List<Recall> times(Lesson lesson) {
        requireNonNull(lesson, "lesson");
        return done.getOrDefault(lesson, List.of());
    }

    /**
     * How somebody stands with a lesson.
     *
     * @param lesson the lesson
     * @param today the day that is asked about
     * @return how
     */
    public Standing standing(Lesson lesson, LocalDate today) {
        requireNonNull(today, "today");
        if (times(lesson).isEmpty()) {
            return Standing.NEW;
        } else if (firstClean(lesson).isEmpty()) {
            return Standing.NOT_YET_CLEAN;
        }
        return comesBack(lesson).filter(day -> !day.isAfter(today)).isPresent()
                ? Standing.COMES_BACK
                : Standing.LEARNED;
    }

    /** {@return the day a lesson is asked again; empty where it was never done} */
    public Optional<LocalDate> comesBack(Lesson lesson) {
        return Recall.next(times(lesson));
    }

    /** {@return the day on which a lesson went well first} */
    public Optional<LocalDate> firstClean(Lesson lesson) {
        return times(lesson).stream().filter(Recall::clean).map(Recall::day).findFirst();
    }

    /** {@return the day on which the last of the lessons went well first; empty as long as one has not} */
    public Optional<LocalDate> finished() {
        List<Optional<LocalDate>> firsts =
                Arrays.stream(Lesson.values()).map(this::firstClean).toList();
        return firsts.stream().allMatch(Optional::isPresent)
                ? firsts.stream().flatMap(Optional::stream).max(LocalDate::compareTo)
                : Optional.empty();
    }

    /** {@return whether somebody is ready for a real instrument: every lesson went well, and did so the last time} */
    public boolean ready() {
        return Arrays.stream(Lesson.values())
                .map(this::times)
                .allMatch(
                        times -> !times.isEmpty() && times.get(times.size() - 1).clean());
    }

    /**
     * What to do next.
     *
     * @param today the day that is asked about
     * @return what comes back first, then what never went well, in the order in which people learn; empty where nothing waits
     */
    public Optional<Lesson> next(LocalDate today) {
        requireNonNull(today, "today");
        return Stream.of(Standing.COMES_BACK, Standing.NOT_YET_CLEAN, Standing.NEW)
                .flatMap(standing ->
                        Arrays.stream(Lesson.values()).filter(lesson -> standing(lesson, today) == standing))
                .findFirst();
    }
}
