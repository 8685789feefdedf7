package rosinedpeg.core.simulation;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;

/**
 * One string of a practice instrument.
 *
 * @param string the kind of string
 * @param stretchMm how much longer it is than slack; below 0 it hangs loose by that much
 * @param aside whether it lies beside its nut groove
 * @param held whether a hand is on its peg
 * @param grip how firmly its peg sits, 0 loose to 1 pushed well in
 * @param lock how its tip is held
 * @param tipMm what stands out beyond the hole, in mm
 */
public record PracticeString(
        StringSpec string, double stretchMm, boolean aside, boolean held, double grip, Lock lock, double tipMm) {
    /** Checks the parts. */
    public PracticeString {
        requireFinite("grip", grip);
        requireFinite("stretchMm", stretchMm);
        requireNonNull(string, "string");
        requireFinite("tipMm", tipMm);
    }

    PracticeString stretched(double mm) {
        return new PracticeString(string, mm, aside, held, grip, lock, tipMm);
    }

    PracticeString laid(boolean nowAside, double mm) {
        return new PracticeString(string, mm, nowAside, held, grip, lock, tipMm);
    }

    PracticeString held(boolean now) {
        return new PracticeString(string, stretchMm, aside, now, grip, lock, tipMm);
    }

    PracticeString gripped(double now) {
        return new PracticeString(string, stretchMm, aside, held, now, lock, tipMm);
    }
}
