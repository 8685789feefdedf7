package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.lesson.BestHands;
import rosinedpeg.core.lesson.Course;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.QuickChange;
import rosinedpeg.core.lesson.Recall;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
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
        PracticeLedger begun = lesson.begin(start(family, seed)).orElseThrow();
        assertThat(begun.now().postStands()).isTrue();
        assertThat(lesson.progress(begun).reached()).as("begun").isFalse();
        Lesson.Progress done = lesson.progress(plus(begun, BestHands.of(lesson, begun)));
        assertThat(done.reached()).as("reached").isTrue();
        assertThat(done.wrong()).as("what went wrong").isEmpty();
        assertThat(done.clean()).isTrue();
    }

    /** Whatever was done before, if only the post stands: a bridge is stood up again, a string that is off goes on. */
    @Property(tries = 150)
    void goodHandsGetThereFromAnywhere(@ForAll Lesson lesson, @ForAll Family family, @ForAll int seed) {
        // Its load may never have been below the line.
        Assume.that(lesson != Lesson.WHOLE_SET);
        Assume.that(lesson.suits(Examples.instrument(family)));
        PracticeLedger begun = lesson.begin(start(family, seed)).orElseThrow();
        PracticeLedger clumsy = plus(
                begun,
                List.of(
                        new Action.TurnPeg(Position.II, -1080, false, true),
                        new Action.TakeOff(Position.II, true),
                        new Action.Hang(Position.II),
                        new Action.TurnPeg(Position.III, -90, false, false),
                        new Action.EaseBridge(3),
                        new Action.EaseBridge(3),
                        new Action.EaseBridge(3),
                        new Action.EaseBridge(3)));
        PracticeLedger after = plus(clumsy, BestHands.of(lesson, clumsy));
        Assume.that(after.now().postStands());
        assertThat(lesson.progress(after).reached()).isTrue();
    }

    /** Where the bridge would go over before anybody begins, nobody is set to ease it. */
    @Test
    void doesNotBeginWhereGoodHandsCouldNotDoIt() {
        SetUp leans = Examples.VIOLIN.measured(Map.of(Measurable.of(Quantity.BRIDGE_GAP), 2.2));
        PracticeStart start = PracticeStart.usual(leans, Examples.set(leans), 1);
        assertThat(Lesson.EASE_THE_BRIDGE.begin(start)).isEmpty();
    }

    /** Whoever does nothing, or something else, is not done; what went wrong is told by its moment. */
    @Property(tries = 60)
    void nothingElseWillDo(@ForAll Lesson lesson, @ForAll int seed) {
        PracticeLedger begun = lesson.begin(start(Family.VIOLIN, seed)).orElseThrow();
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

    @Test
    void aCourseIsFinishedWhenEachWentWellAndReadyWhenItDidTheLastTime() {
        LocalDate day = LocalDate.of(2026, 9, 1);
        Map<Lesson, List<Recall>> done = new EnumMap<>(Lesson.class);
        assertThat(new Course(done).next(day)).contains(Lesson.TURN_AND_PUSH);
        for (Lesson lesson : Lesson.values()) {
            assertThat(new Course(done).finished()).isEmpty();
            done.put(lesson, List.of(new Recall(day.plusDays(lesson.ordinal()), true)));
        }
        Course course = new Course(done);
        assertThat(course.finished()).contains(day.plusDays(Lesson.values().length - 1L));
        assertThat(course.ready()).isTrue();
        assertThat(course.standing(Lesson.TURN_AND_PUSH, day)).isEqualTo(Course.Standing.LEARNED);
        assertThat(course.next(day)).isEmpty();
        assertThat(course.standing(Lesson.TURN_AND_PUSH, day.plusDays(1))).isEqualTo(Course.Standing.COMES_BACK);
        assertThat(course.next(day.plusDays(1))).contains(Lesson.TURN_AND_PUSH);
        done.put(Lesson.WIND, List.of(new Recall(day, true), new Recall(day, false)));
        assertThat(new Course(done).finished()).isPresent();
        assertThat(new Course(done).ready()).isFalse();
        done.put(Lesson.WIND, List.of(new Recall(day, false)));
        assertThat(new Course(done).finished()).isEmpty();
        assertThat(new Course(done).standing(Lesson.WIND, day.plusDays(9))).isEqualTo(Course.Standing.NOT_YET_CLEAN);
    }

    private static List<QuickChange.Timed> timed(PracticeLedger ledger, Duration each) {
        List<QuickChange.Timed> timed = new ArrayList<>();
        for (PracticeLedger.Moment moment : ledger.replay()) {
            timed.add(new QuickChange.Timed(moment, each.multipliedBy(timed.size())));
        }
        return timed;
    }

    /** The same change, once with all that belongs to it and once without: a slower hand that does it all is sooner through. */
    @ParameterizedTest
    @EnumSource(Position.class)
    void whatIsLeftOutIsNeverFaster(Position position) {
        PracticeStart usual = start(Family.VIOLIN, 5);
        Assumptions.assumeTrue(usual.setUp().positions().contains(position));
        QuickChange change = new QuickChange(position);
        PracticeStart start = change.start(usual);
        PracticeLedger honest = new PracticeLedger(start, BestHands.of(change, start));
        assertThat(change.isPlayable(honest.now())).isTrue();
        Duration each = Duration.ofSeconds(3);
        QuickChange.Clocked whole = change.clocked(
                start, timed(honest, each), each.multipliedBy(honest.actions().size()));
        assertThat(whole.spoiled()).isFalse();
        assertThat(whole.owed()).isEmpty();
        assertThat(whole.splits().keySet()).containsExactly(QuickChange.Split.values());
        assertThat(List.copyOf(whole.splits().values())).isSorted();
        PracticeLedger careless = new PracticeLedger(
                start,
                honest.actions().stream()
                        .filter(action -> !(action instanceof Action.TreatPeg
                                || action instanceof Action.RubGraphite
                                || action instanceof Action.HoldCard))
                        .toList());
        QuickChange.Clocked fast = change.clocked(
                start,
                timed(careless, each),
                each.multipliedBy(careless.actions().size()));
        assertThat(fast.owed()).contains(StepKind.CLEAN_PEG, StepKind.GRAPHITE, StepKind.CHECK_BRIDGE);
        assertThat(fast.clock()).isLessThan(whole.clock());
        assertThat(fast.total()).isGreaterThan(whole.total());
    }

    /** Before it is off, while it lies in the hand, and with a hand on its peg nobody can play. */
    @Test
    void oneCanPlayOnlyWhenItHolds() {
        QuickChange change = new QuickChange(Position.II);
        PracticeStart start = change.start(start(Family.VIOLIN, 5));
        List<Action> all = BestHands.of(change, start);
        int off = 0;
        for (int done = 1; done < all.size(); done++) {
            PracticeLedger until = new PracticeLedger(start, all.subList(0, done));
            QuickChange.Clocked now =
                    change.clocked(start, timed(until, Duration.ofSeconds(1)), Duration.ofSeconds(done));
            if (!now.splits().containsKey(QuickChange.Split.HOLDS)
                    && now.splits().containsKey(QuickChange.Split.OFF)) {
                off++;
                assertThat(change.isPlayable(until.now())).isFalse();
            }
        }
        assertThat(off).isPositive();
    }
}
