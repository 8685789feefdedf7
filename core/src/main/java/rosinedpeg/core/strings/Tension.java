package rosinedpeg.core.strings;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * Tension of a vibrating string: {@code T = μ·(2·L·f)²}, the standard equation of the ideal string. On a shorter
 * instrument tension falls with the square of the length.
 */
public final class Tension {

    private static final Range MASS = new Range(1e-5, 0.2, Unit.KILOGRAM_PER_METRE);
    private static final Range LENGTH = new Range(100, 1500, Unit.MILLIMETRE);
    private static final Range FREQUENCY = new Range(15, 2000, Unit.HERTZ);
    private static final Range FORCE = new Range(0.1, 1000, Unit.NEWTON);

    private Tension() {}

    /**
     * Tension at a frequency.
     *
     * @param massPerLengthKgM μ, 0.00001 to 0.2 kg/m
     * @param vibratingLengthMm L, 100 to 1500 mm
     * @param frequencyHz f, 15 to 2000 Hz
     * @return T in N
     * @throws rosinedpeg.core.figure.OutOfRangeException when an argument is outside its range
     */
    public static double tensionN(double massPerLengthKgM, double vibratingLengthMm, double frequencyHz) {
        MASS.require("massPerLengthKgM", massPerLengthKgM);
        double speed = waveSpeedMS(vibratingLengthMm, frequencyHz);
        return massPerLengthKgM * speed * speed;
    }

    /**
     * Mass per length of a string whose tension is known at a frequency.
     *
     * @param tensionN T, 0.1 to 1000 N
     * @param vibratingLengthMm L, 100 to 1500 mm
     * @param frequencyHz f, 15 to 2000 Hz
     * @return μ in kg/m
     * @throws rosinedpeg.core.figure.OutOfRangeException when an argument is outside its range
     */
    public static double massPerLengthKgM(double tensionN, double vibratingLengthMm, double frequencyHz) {
        FORCE.require("tensionN", tensionN);
        double speed = waveSpeedMS(vibratingLengthMm, frequencyHz);
        return tensionN / (speed * speed);
    }

    private static double waveSpeedMS(double vibratingLengthMm, double frequencyHz) {
        LENGTH.require("vibratingLengthMm", vibratingLengthMm);
        FREQUENCY.require("frequencyHz", frequencyHz);
        return 2 * vibratingLengthMm / 1000 * frequencyHz;
    }
}
