package rosinedpeg.core.pace;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * Work that was done.
 *
 * @param work what it was
 * @param usualMinutes how long it usually takes, by {@link rosinedpeg.core.plan.ChangePlan#minutes()}: 0.1 to 1440
 * @param takenMinutes how long it took, by {@link HandsOn}: 0 to 14 400
 */
public record FinishedWork(Work work, double usualMinutes, double takenMinutes) {

    /** How long work usually takes. */
    public static final Range USUAL = new Range(0.1, 1440, Unit.MINUTE);

    /** How long work can have taken. */
    public static final Range TAKEN = new Range(0, 14_400, Unit.MINUTE);

    /** Who was quicker than that pressed through the plan without doing it, who was slower did something else beside it. */
    private static final double FARTHEST = 5;

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public FinishedWork {
        requireNonNull(work, "work");
        USUAL.require("usualMinutes", usualMinutes);
        TAKEN.require("takenMinutes", takenMinutes);
    }

    /** {@return whether it says how quickly somebody works: it took a fifth to five times of what is usual} */
    public boolean counts() {
        return takenMinutes * FARTHEST >= usualMinutes && takenMinutes <= usualMinutes * FARTHEST;
    }

    /** {@return how many times the usual it took, as a logarithm} */
    double lnRatio() {
        return Math.log(takenMinutes / usualMinutes);
    }
}
