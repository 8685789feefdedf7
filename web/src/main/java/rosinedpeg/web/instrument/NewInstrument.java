package rosinedpeg.web.instrument;

import java.util.List;
import rosinedpeg.core.pitch.ReferenceA;
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
 * @param tailEnds what each string is hung on, I first
 * @param hoursPerWeek how much it is played, 0 to 168 h a week
 * @param demand how fresh its strings are wanted
 */
public record NewInstrument(
        String name,
        Size size,
        boolean leftHanded,
        ReferenceA referenceA,
        List<TailEnd> tailEnds,
        double hoursPerWeek,
        Demand demand) {}
