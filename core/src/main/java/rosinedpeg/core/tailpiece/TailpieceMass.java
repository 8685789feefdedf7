package rosinedpeg.core.tailpiece;

import static java.util.Objects.requireNonNull;

import java.util.Optional;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.TailEnd;

/**
 * What hangs between the strings and the tail cord. A heavy tailpiece dulls the sound: four tuners added to one weigh more
 * than one that has them built in.
 *
 * @param family which family
 * @param tailpieceG the tailpiece with what is built into it, 1 to 2000 g
 * @param addedTuners tuners that are added to it, 0 to 5
 * @param tunerG each of them, 0 to 200 g
 */
public record TailpieceMass(Family family, double tailpieceG, int addedTuners, double tunerG) {

    private static final Range AFTERLENGTH_TAKEN = new Range(5, 8, Unit.MILLIMETRE);

    private static final double HEAVY = 1.3;
    private static final Range TAILPIECE = new Range(1, 2000, Unit.GRAM);
    private static final Range TUNERS = new Range(0, 5, Unit.RATIO);
    private static final Range TUNER = new Range(0, 200, Unit.GRAM);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public TailpieceMass {
        requireNonNull(family, "family");
        TAILPIECE.require("tailpieceG", tailpieceG);
        TUNERS.require("addedTuners", addedTuners);
        TUNER.require("tunerG", tunerG);
    }

    /** {@return about how much of its string's afterlength an added tuner takes; nothing known of cellos and basses} */
    public static Optional<Range> afterlengthTaken(Family family) {
        requireNonNull(family, "family");
        return family == Family.VIOLIN || family == Family.VIOLA ? Optional.of(AFTERLENGTH_TAKEN) : Optional.empty();
    }

    /** {@return a usual tailpiece with so many usual tuners added; defaults of our own} */
    public static TailpieceMass usual(Family family, int addedTuners) {
        return switch (family) {
            case VIOLIN -> new TailpieceMass(family, 18, addedTuners, 5);
            case VIOLA -> new TailpieceMass(family, 25, addedTuners, 6);
            case CELLO -> new TailpieceMass(family, 75, addedTuners, 14);
            case BASS -> new TailpieceMass(family, 280, addedTuners, 25);
        };
    }

    /** {@return what an instrument's tailpiece weighs; tuners that are built into it are part of it} */
    public static TailpieceMass of(SetUp setUp, boolean tunersBuiltIn) {
        long tuners =
                setUp.tailEnds().values().stream().filter(TailEnd::hasFineTuner).count();
        return new TailpieceMass(
                setUp.family(),
                setUp.value(Quantity.TAILPIECE_MASS),
                tunersBuiltIn ? 0 : (int) tuners,
                setUp.value(Quantity.ADDED_TUNER_MASS));
    }

    /** {@return all of it, in g: {@code tailpiece + tuners · each}} */
    public double totalG() {
        return tailpieceG + addedTuners * tunerG;
    }

    /** {@return whether it is more than 1.3 times the usual tailpiece with one tuner added} */
    public boolean heavy() {
        return totalG() > HEAVY * usual(family, 1).totalG();
    }
}
