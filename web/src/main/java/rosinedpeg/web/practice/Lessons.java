package rosinedpeg.web.practice;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.lesson.Course;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.Recall;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.KeptNames;

/** How far people have come with the lessons, and which ones a keeper has set them. */
@Service
@Transactional(readOnly = true)
class Lessons {

    private final AttemptRepository attempts;
    private final SetLessonRepository set;
    private final Clock clock;

    Lessons(AttemptRepository attempts, SetLessonRepository set, Clock clock) {
        this.attempts = attempts;
        this.set = set;
        this.clock = clock;
    }

    /**
     * How far somebody has come.
     *
     * @param course what they did
     * @param set the lessons that are set them and not done since, with the day they are set for, if any
     */
    record Learner(Course course, Map<Lesson, Optional<LocalDate>> set) {

        /** Copies the lessons. */
        Learner {
            set = set.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(set));
        }

        /** {@return how many lessons went well at least once} */
        public long well() {
            return Arrays.stream(Lesson.values())
                    .filter(lesson -> course.firstClean(lesson).isPresent())
                    .count();
        }

        /** {@return how many of those that are set should have been done before a day} */
        public long overdue(LocalDate today) {
            return set.values().stream()
                    .flatMap(Optional::stream)
                    .filter(day -> day.isBefore(today))
                    .count();
        }

        /** {@return what to do next: what is set, else what comes next in the course} */
        Optional<Lesson> next(LocalDate today) {
            return set.keySet().stream().findFirst().or(() -> course.next(today));
        }
    }

    /** {@return how far somebody has come} */
    Learner of(UUID accountId) {
        return of(List.of(accountId)).getOrDefault(accountId, new Learner(new Course(Map.of()), Map.of()));
    }

    /** {@return how far each of some people has come} */
    Map<UUID, Learner> of(Collection<UUID> accountIds) {
        ZoneId zone = CurrentWorkshop.zone();
        Map<UUID, Map<Lesson, List<Recall>>> done = new HashMap<>();
        Map<UUID, Map<Lesson, Instant>> well = new HashMap<>();
        for (AttemptRepository.DoneLesson one : attempts.lessonsDone(accountIds)) {
            Lesson lesson = KeptNames.of(Lesson.class, one.lesson());
            done.computeIfAbsent(one.accountId(), id -> new EnumMap<>(Lesson.class))
                    .computeIfAbsent(lesson, key -> new ArrayList<>())
                    .add(new Recall(one.finishedAt().atZone(zone).toLocalDate(), one.clean()));
            if (one.clean()) {
                well.computeIfAbsent(one.accountId(), id -> new EnumMap<>(Lesson.class))
                        .put(lesson, one.finishedAt());
            }
        }
        Map<UUID, Map<Lesson, Optional<LocalDate>>> waiting = new HashMap<>();
        for (SetLessonEntity row : set.findByAccountIdIn(accountIds)) {
            Instant since = well.getOrDefault(row.accountId(), Map.of()).get(row.lesson());
            if (since == null || since.isBefore(row.setAt())) {
                waiting.computeIfAbsent(row.accountId(), id -> new EnumMap<>(Lesson.class))
                        .put(row.lesson(), row.untilDay());
            }
        }
        Map<UUID, Learner> learners = new HashMap<>();
        accountIds.forEach(id -> learners.put(
                id, new Learner(new Course(done.getOrDefault(id, Map.of())), waiting.getOrDefault(id, Map.of()))));
        return learners;
    }

    /**
     * Sets somebody lessons; what was set before and is not among them is set no longer.
     *
     * @param accountId whom
     * @param lessons which
     * @param until the day they are to be done by; empty where there is none
     */
    @Transactional
    void set(UUID accountId, Set<Lesson> lessons, Optional<LocalDate> until) {
        Set<Lesson> missing = EnumSet.noneOf(Lesson.class);
        missing.addAll(lessons);
        for (SetLessonEntity row : set.findByAccountIdIn(List.of(accountId))) {
            if (missing.remove(row.lesson())) {
                row.again(until.orElse(null), clock.instant(), CurrentWorkshop.person());
            } else {
                set.delete(row);
            }
        }
        missing.forEach(lesson -> set.save(
                new SetLessonEntity(accountId, lesson, until.orElse(null), clock.instant(), CurrentWorkshop.person())));
        set.flush();
    }
}
