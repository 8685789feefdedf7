package rosinedpeg.web.instrument;

import java.util.List;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.wear.Demand;

/**
 * An instrument to put on the rack.
 *
 * @param name what it is called
 * @param size family and size
 * @param leftHanded whether its set-up is mirrored
 * @param referenceA what it is tuned to
 * @param openStrings the pitches of its strings, I first, four or five
 * @param tailEnds what each string is hung on, I first
 * @param tunersBuiltIn whether fine tuners are part of the tailpiece
 * @param pegKind what its strings are wound on
 * @param hoursPerWeek how much it is played, 0 to 168 h a week
 * @param demand how fresh its strings are wanted
 */
public record NewInstrument(
        String name,
        Size size,
        boolean leftHanded,
        ReferenceA referenceA,
        List<Pitch> openStrings,
        List<TailEnd> tailEnds,
        boolean tunersBuiltIn,
        PegKind pegKind,
        double hoursPerWeek,
        Demand demand) {}
