package rosinedpeg.core.tailpiece;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;

/**
 * What is left of a fine tuner's travel.
 *
 * @param screwOutMm how far the screw can still go in, which raises the pitch, 0 to 20 mm
 * @param screwInMm how far it is already in, which is what it can lower, 0 to 20 mm
 * @param leverRatio how far the lever draws the string, and nears the top, for each mm of screw, 0.2 to 3
 * @param threadPitchMm how far one turn moves the screw, 0.2 to 2 mm
 * @param leverClearanceMm between lever and top as the screw stands now, 0 to 30 mm
 */
public record FineTuner(
        double screwOutMm, double screwInMm, double leverRatio, double threadPitchMm, double leverClearanceMm) {

    /** Less than this and the lever can touch the top when the screw goes in. */
    public static final double LEAST_CLEARANCE_MM = 1.5;

    /** A usual screw, M3; a default of our own. */
    public static final double USUAL_THREAD_PITCH_MM = 0.5;

    private static final Range TRAVEL = new Range(0, 20, Unit.MILLIMETRE);
    private static final Range LEVER = new Range(0.2, 3, Unit.SHARE);
    private static final Range THREAD = new Range(0.2, 2, Unit.MILLIMETRE);
    private static final Range CLEARANCE = new Range(0, 30, Unit.MILLIMETRE);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public FineTuner {
        TRAVEL.require("screwOutMm", screwOutMm);
        TRAVEL.require("screwInMm", screwInMm);
        LEVER.require("leverRatio", leverRatio);
        THREAD.require("threadPitchMm", threadPitchMm);
        CLEARANCE.require("leverClearanceMm", leverClearanceMm);
    }

    /** {@return the fine tuner of a string, with a usual thread} */
    public static FineTuner of(SetUp setUp, Position position) {
        return new FineTuner(
                setUp.value(Quantity.TUNER_SCREW_LEFT, position),
                setUp.value(Quantity.TUNER_SCREW_IN, position),
                setUp.value(Quantity.TUNER_LEVER_RATIO, position),
                USUAL_THREAD_PITCH_MM,
                setUp.value(Quantity.LEVER_TO_TOP, position));
    }

    /** {@return how far it can still raise the string, in cents} */
    public double centsUp(Elasticity string) {
        return string.centsForMm(screwOutMm * leverRatio);
    }

    /** {@return how far it can still lower the string, in cents, as a positive number} */
    public double centsDown(Elasticity string) {
        double slackened = string.tensionN() - screwInMm * leverRatio * string.stiffnessNPerMm();
        return slackened <= 0
                ? Double.POSITIVE_INFINITY
                : Cents.betweenTensions(slackened, string.tensionN()).value();
    }

    /** {@return how far one turn of the screw moves the pitch, in cents} */
    public double centsPerTurn(Elasticity string) {
        return string.centsForMm(threadPitchMm * leverRatio);
    }

    /**
     * What stays between lever and top when the travel that is left is used.
     *
     * @return mm; below 0 the lever would dig in before the screw is at its end
     */
    public double clearanceAtEndMm() {
        return leverClearanceMm - screwOutMm * leverRatio;
    }

    /** {@return what its travel and its lever ask for, the lever judged with the travel still to be used} */
    public Judgement judge() {
        if (clearanceAtEndMm() < LEAST_CLEARANCE_MM) {
            return Judgement.LEVER_NEAR_TOP;
        }
        if (screwOutMm < threadPitchMm) {
            return Judgement.NO_TRAVEL_UP;
        }
        return screwInMm < threadPitchMm ? Judgement.RATTLES : Judgement.GOOD;
    }

    /** What a fine tuner asks for. */
    public enum Judgement {
        GOOD,
        /** All the way out: it rattles, and cannot lower the string. */
        RATTLES,
        /** All the way in: let the string down at the peg and back it out. */
        NO_TRAVEL_UP,
        /** Its lever can dig into the top, now or when its screw goes in. */
        LEVER_NEAR_TOP
    }
}
