package rosinedpeg.web.practice;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.QuickChange;
import rosinedpeg.core.simulation.Consequence;
import rosinedpeg.core.simulation.PracticeInstrument;

/**
 * An attempt as it stands.
 *
 * @param id its id
 * @param name what its instrument is called
 * @param task what it is for
 * @param done how much was done, what was taken back left out
 * @param now the instrument as it is
 * @param happened what came of what was done last
 * @param lesson how its lesson goes, if it is one
 * @param clock how it goes against the clock, if it does
 */
public record Attempt(
        UUID id,
        String name,
        Task task,
        long done,
        PracticeInstrument now,
        List<Consequence> happened,
        Optional<AtLesson> lesson,
        Optional<OnTheClock> clock) {

    /** {@return whether nothing more is done in it} */
    public boolean over() {
        return clock.filter(OnTheClock::stopped).isPresent();
    }

    /**
     * A lesson, under way or done.
     *
     * @param lesson which
     * @param progress how it goes
     * @param done whether it went well; empty until it is done
     * @param goodHands how many things good hands do in it; 0 until it is done
     */
    public record AtLesson(Lesson lesson, Lesson.Progress progress, Optional<Boolean> done, int goodHands) {}

    /**
     * A string against the clock.
     *
     * @param change which
     * @param clocked how it goes
     * @param running whether the clock runs
     * @param stopped whether it was stopped
     * @param playable whether one could play now
     * @param shadow one's own best before; empty where there is none
     */
    public record OnTheClock(
            QuickChange change,
            QuickChange.Clocked clocked,
            boolean running,
            boolean stopped,
            boolean playable,
            Optional<QuickChange.Clocked> shadow) {

        /** {@return how much faster it was than the best before, below zero where slower; empty where there is none} */
        public Optional<Duration> faster() {
            return shadow.map(best -> best.total().minus(clocked.total()));
        }
    }
}
