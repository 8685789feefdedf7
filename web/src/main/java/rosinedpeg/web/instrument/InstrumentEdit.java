package rosinedpeg.web.instrument;

import java.util.List;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.wear.Demand;

/**
 * What can be put right of an instrument that is on record.
 *
 * @param name what it is called
 * @param size its size, of the family it has
 * @param leftHanded whether its set-up is mirrored
 * @param referenceA what it is tuned to
 * @param openStrings the pitches of its strings, I first, as many as it has
 * @param hoursPerWeek how much it is played, 0 to 168 h a week
 * @param demand how fresh its strings are wanted
 */
public record InstrumentEdit(
        String name,
        Size size,
        boolean leftHanded,
        ReferenceA referenceA,
        List<Pitch> openStrings,
        double hoursPerWeek,
        Demand demand) {

    /** {@return an instrument as it is on record} */
    public static InstrumentEdit of(Instrument instrument) {
        return new InstrumentEdit(
                instrument.name(),
                instrument.setUp().size(),
                instrument.setUp().leftHanded(),
                instrument.setUp().referenceA(),
                instrument.setUp().openStrings(),
                instrument.hoursPerWeek(),
                instrument.demand());
    }

    /** {@return whether nothing but the name and the playing differs} */
    public boolean sameSetUp(InstrumentEdit other) {
        return size.equals(other.size)
                && leftHanded == other.leftHanded
                && referenceA.equals(other.referenceA)
                && openStrings.equals(other.openStrings);
    }
}
