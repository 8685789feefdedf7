package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.lesson.BestHands;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.Recall;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.core.strings.Position;

/** Lessons: none is done when it begins, good hands do all of them on every family without anything going wrong. */
class LessonTest {

    private static PracticeStart start(Family family, long seed) {
        SetUp setUp = Examples.instrument(family);
        return PracticeStart.usual(setUp, Examples.set(setUp), seed);
    }

    private static PracticeLedger plus(PracticeLedger ledger, List<Action> actions) {
        List<Action> all = new ArrayList<>(ledger.actions());
        all.addAll(actions);
        return new PracticeLedger(ledger.start(), all);
    }

    @Property(tries = 150)
    void goodHandsDoThemCleanly(@ForAll Lesson lesson, @ForAll Family family, @ForAll int seed) {
        Assume.that(lesson.suits(Examples.instrument(family)));
        PracticeLedger begun = lesson.begin(start(family, seed));
        assertThat(begun.now().postStands()).isTrue();
        assertThat(lesson.progress(begun).reached()).as("begun").isFalse();
        Lesson.Progress done = lesson.progress(plus(begun, BestHands.of(lesson, begun)));
        assertThat(done.reached()).as("reached").isTrue();
        assertThat(done.wrong()).as("what went wrong").isEmpty();
        assertThat(done.clean()).isTrue();
    }

    /** Whoever does nothing, or something else, is not done; what went wrong is told by its moment. */
    @Property(tries = 60)
    void nothingElseWillDo(@ForAll Lesson lesson, @ForAll int seed) {
        PracticeLedger begun = lesson.begin(start(Family.VIOLIN, seed));
        PracticeLedger plucked = plus(begun, List.of(new Action.Pluck(Position.I), new Action.Pluck(Position.II)));
        assertThat(lesson.progress(plucked).reached()).isFalse();
        PracticeLedger broken =
                plus(begun, List.of(new Action.Pluck(Position.I), new Action.TurnPeg(Position.I, 1080, true, true)));
        if (broken.now().broken().contains(Position.I)) {
            assertThat(lesson.progress(broken).wrong()).hasValue(begun.actions().size() + 2);
            assertThat(lesson.progress(plus(broken, BestHands.of(Lesson.TAKE_OFF, broken)))
                            .reached())
                    .as("not with a broken string")
                    .isFalse();
        }
    }

    @Test
    void comesBackLaterEachTimeItGoesWell() {
        LocalDate day = LocalDate.of(2026, 9, 1);
        assertThat(Recall.next(List.of())).isEmpty();
        List<Recall> done = new ArrayList<>();
        for (int days : Recall.DAYS) {
            done.add(new Recall(day, true));
            done.add(new Recall(day, true));
            assertThat(Recall.next(done)).contains(day.plusDays(days));
            day = day.plusDays(days);
        }
        done.add(new Recall(day, false));
        assertThat(Recall.next(done)).contains(day.plusDays(1));
        assertThat(Recall.inARow(done)).isZero();
    }
}
