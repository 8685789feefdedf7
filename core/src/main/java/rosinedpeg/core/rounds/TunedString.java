package rosinedpeg.core.rounds;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;

/**
 * A string on its way to pitch.
 *
 * @param position where it is
 * @param targetN its tension at pitch, 1 to 500 N
 * @param stiffnessNPerMm EA/S, how fast its tension rises with its length, 0.5 to 200 N/mm
 */
public record TunedString(Position position, double targetN, double stiffnessNPerMm) {

    private static final Range TARGET = new Range(1, 500, Unit.NEWTON);
    private static final Range STIFFNESS = new Range(0.5, 200, Unit.NEWTON);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public TunedString {
        requireNonNull(position, "position");
        TARGET.require("targetN", targetN);
        STIFFNESS.require("stiffnessNPerMm", stiffnessNPerMm);
    }

    /** {@return the string with that elasticity} */
    public static TunedString of(Position position, Elasticity elasticity) {
        requireNonNull(position, "position");
        return new TunedString(position, elasticity.tensionN(), elasticity.stiffnessNPerMm());
    }

    /** {@return how far from pitch it sounds at a tension, in cents; a slack string counts as five octaves flat} */
    double centsAt(double tensionN) {
        return tensionN <= 0 ? -6000 : Cents.betweenTensions(targetN, tensionN).value();
    }
}
