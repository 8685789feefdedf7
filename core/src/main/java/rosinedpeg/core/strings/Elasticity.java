package rosinedpeg.core.strings;

import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Cents;

/**
 * How a string answers to being drawn longer, by Hooke's law.
 *
 * @param tensionN T, 0.1 to 1000 N
 * @param axialStiffnessN EA, 500 to 80 000 N
 * @param freeLengthMm S, from tail anchor to peg tangent, 150 to 2000 mm
 */
public record Elasticity(double tensionN, double axialStiffnessN, double freeLengthMm) {

    private static final Range FORCE = new Range(0.1, 1000, Unit.NEWTON);
    private static final Range FREE_LENGTH = new Range(150, 2000, Unit.MILLIMETRE);
    private static final Range DRAWN_IN = new Range(0, 50, Unit.MILLIMETRE);
    private static final Range SHAFT = new Range(3, 30, Unit.MILLIMETRE);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public Elasticity {
        FORCE.require("tensionN", tensionN);
        StringSpec.AXIAL_STIFFNESS.require("axialStiffnessN", axialStiffnessN);
        FREE_LENGTH.require("freeLengthMm", freeLengthMm);
    }

    /** {@return by how many N its tension rises for each mm it is drawn longer: {@code EA/S}} */
    public double stiffnessNPerMm() {
        return axialStiffnessN / freeLengthMm;
    }

    /** {@return how much longer the string is at pitch than slack, in mm: {@code T·S/EA}} */
    public double stretchMm() {
        return tensionN * freeLengthMm / axialStiffnessN;
    }

    /**
     * How far the pitch rises when a length is drawn in at either end: {@code 600·log2((T + x·EA/S)/T)}.
     *
     * @param drawnInMm x, 0 to 50 mm
     * @return cents
     * @throws rosinedpeg.core.figure.OutOfRangeException when the length is outside its range
     */
    public double centsForMm(double drawnInMm) {
        DRAWN_IN.require("drawnInMm", drawnInMm);
        return Cents.betweenTensions(tensionN, tensionN + drawnInMm * stiffnessNPerMm())
                .value();
    }

    /**
     * How much string a shaft draws in: {@code π/180·degrees·(D + d)/2}.
     *
     * @param degrees how far it is turned, below 0 to let out
     * @param shaftDiameterMm D, 3 to 30 mm
     * @param stringDiameterMm d, 0.15 to 4 mm
     * @return mm
     * @throws rosinedpeg.core.figure.OutOfRangeException when a diameter is outside its range
     */
    public static double drawnInMm(double degrees, double shaftDiameterMm, double stringDiameterMm) {
        requireFinite("degrees", degrees);
        SHAFT.require("shaftDiameterMm", shaftDiameterMm);
        StringSpec.DIAMETER.require("stringDiameterMm", stringDiameterMm);
        return Math.toRadians(degrees) * (shaftDiameterMm + stringDiameterMm) / 2;
    }

    /**
     * How far the pitch rises for half a turn of the peg, which draws in {@code π·(D + d)/2} mm.
     *
     * @param shaftDiameterMm D, 3 to 30 mm
     * @param stringDiameterMm d, 0.15 to 4 mm
     * @return cents
     * @throws rosinedpeg.core.figure.OutOfRangeException when an argument is outside its range
     */
    public double centsPerHalfTurn(double shaftDiameterMm, double stringDiameterMm) {
        return centsForMm(drawnInMm(180, shaftDiameterMm, stringDiameterMm));
    }

    /**
     * How far the pitch rises for one degree of peg, which draws in {@code π/180·(D + d)/2} mm.
     *
     * @param shaftDiameterMm D, 3 to 30 mm
     * @param stringDiameterMm d, 0.15 to 4 mm
     * @return cents
     * @throws rosinedpeg.core.figure.OutOfRangeException when an argument is outside its range
     */
    public double centsPerPegDegree(double shaftDiameterMm, double stringDiameterMm) {
        return centsForMm(drawnInMm(1, shaftDiameterMm, stringDiameterMm));
    }
}
