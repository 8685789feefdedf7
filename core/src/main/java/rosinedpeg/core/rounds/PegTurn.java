package rosinedpeg.core.rounds;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Arrays;
import java.util.Comparator;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.StringSpec;

/**
 * By how much a knob has to be turned to bring a string from one tension to another: the shaft draws in {@code π/180·(D + d)/2} mm with each
 * degree, of which the body gives {@code c} mm for each newton and the string the rest, {@code S/EA}. With gears the hand turns so many
 * times as far.
 *
 * @param degrees of the knob or crank, below 0 to let down
 */
public record PegTurn(double degrees) {

    private static final double WHOLE = 360;

    /** Checks the figure. */
    public PegTurn {
        requireFinite("degrees", degrees);
    }

    /** Parts of a turn that a hand can judge. */
    public enum Part {
        WHOLE(1),
        THREE_QUARTERS(0.75),
        HALF(0.5),
        THIRD(1 / 3.0),
        QUARTER(0.25),
        SIXTH(1 / 6.0),
        EIGHTH(0.125),
        TWELFTH(1 / 12.0),
        TWENTY_FOURTH(1 / 24.0),
        /** Less than any hand can name. */
        HAIR(1 / 72.0);

        private final double turns;

        Part(double turns) {
            this.turns = turns;
        }
    }

    /**
     * The turn that brings a string to a tension.
     *
     * @param setUp the instrument
     * @param string the string
     * @param coupling how much the instrument gives
     * @param presentN what it carries, in N, 0 or more
     * @param targetN what it is to carry, in N
     * @return that turn
     */
    public static PegTurn of(SetUp setUp, StringSpec string, Coupling coupling, double presentN, double targetN) {
        requireFinite("presentN", presentN);
        requireFinite("targetN", targetN);
        double mmPerNewton = 1 / setUp.elasticity(string).stiffnessNPerMm() + coupling.mmPerN();
        double mmPerDegree = Elasticity.drawnInMm(1, setUp.value(Quantity.SHAFT_DIAMETER), string.diameterMm());
        double ratio = setUp.pegKind().holdsByFriction() ? 1 : setUp.value(Quantity.GEAR_RATIO);
        return new PegTurn((targetN - presentN) * mmPerNewton / mmPerDegree * ratio);
    }

    /**
     * The turn that brings a string to a pitch.
     *
     * @param setUp the instrument
     * @param string the string
     * @param coupling how much the instrument gives
     * @param off how far it is from that pitch
     * @param targetN what it carries there, in N
     * @return that turn
     */
    public static PegTurn of(SetUp setUp, StringSpec string, Coupling coupling, Cents off, double targetN) {
        requireFinite("targetN", targetN);
        return of(setUp, string, coupling, targetN * off.toTensionFraction(), targetN);
    }

    /** {@return whether the string is raised} */
    public boolean up() {
        return degrees > 0;
    }

    /** {@return how many turns, whichever way} */
    public double turns() {
        return Math.abs(degrees) / WHOLE;
    }

    /** {@return the part of a turn that comes nearest, as a ratio; {@link Part#WHOLE} for more than that too} */
    public Part part() {
        double turns = Math.max(turns(), Part.HAIR.turns);
        return Arrays.stream(Part.values())
                .min(Comparator.comparingDouble(part -> Math.abs(Math.log(part.turns / turns))))
                .orElseThrow();
    }
}
