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
 * @param turnedDegrees how far the shaft is turned since its tip was locked, 0° or more
 * @param hung whether its tail end hangs
 * @param threaded whether its tip is locked in its hole
 * @param aside whether it lies beside its grooves
 * @param held whether a hand is on its peg
 * @param crossed whether a turn lies over another one
 * @param grip how firmly its peg sits, 0 loose to 1 pushed well in
 * @param lock how its tip is held
 * @param tipMm what stands out beyond the hole, in mm
 */
public record PracticeString(
        StringSpec string,
        double stretchMm,
        double turnedDegrees,
        boolean hung,
        boolean threaded,
        boolean aside,
        boolean held,
        boolean crossed,
        double grip,
        Lock lock,
        double tipMm) {

    /** Checks the parts. */
    public PracticeString {
        requireNonNull(string, "string");
        requireNonNull(lock, "lock");
        requireFinite("stretchMm", stretchMm);
        requireFinite("turnedDegrees", turnedDegrees);
        requireFinite("grip", grip);
        requireFinite("tipMm", tipMm);
    }

    /** {@return whether it is held at both ends} */
    public boolean whole() {
        return hung && threaded;
    }

    PracticeString stretched(double mm) {
        return new PracticeString(string, mm, turnedDegrees, hung, threaded, aside, held, crossed, grip, lock, tipMm);
    }

    PracticeString turned(double degrees) {
        return new PracticeString(string, stretchMm, degrees, hung, threaded, aside, held, crossed, grip, lock, tipMm);
    }

    PracticeString laid(boolean nowAside) {
        return new PracticeString(
                string, stretchMm, turnedDegrees, hung, threaded, nowAside, held, crossed, grip, lock, tipMm);
    }

    PracticeString held(boolean now) {
        return new PracticeString(
                string, stretchMm, turnedDegrees, hung, threaded, aside, now, crossed, grip, lock, tipMm);
    }

    PracticeString crossed(boolean now) {
        return new PracticeString(
                string, stretchMm, turnedDegrees, hung, threaded, aside, held, now, grip, lock, tipMm);
    }

    PracticeString gripped(double now) {
        return new PracticeString(
                string, stretchMm, turnedDegrees, hung, threaded, aside, held, crossed, now, lock, tipMm);
    }

    PracticeString hungAt(double mm) {
        return new PracticeString(string, mm, turnedDegrees, true, threaded, aside, held, crossed, grip, lock, tipMm);
    }

    PracticeString lockedIn(Lock how, double outMm, double mm) {
        return new PracticeString(string, mm, 0, hung, true, aside, held, false, 0, how, outMm);
    }
}
