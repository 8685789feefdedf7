package rosinedpeg.web.bridge;

import java.util.List;
import java.util.Optional;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.grooves.Groove;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instrument;

/**
 * The bridge from the side, from the tailpiece and groove by groove.
 *
 * @param instrument the instrument
 * @param stance how the bridge stands
 * @param thrust where the strings press with that
 * @param side the bridge from the side
 * @param sideTold what is to be seen there
 * @param front the bridge from the tailpiece
 * @param frontTold what is to be seen there
 * @param middles the middle strings on its curve
 * @param evening what would even the curve out
 * @param prouder the string that stands too proud
 * @param cuts every groove, of the bridge and of the nut
 * @param drags how far each string leans the bridge on its way to pitch
 * @param pictures the pictures that were kept, the latest first
 */
record BridgePage(
        Instrument instrument,
        Stance stance,
        Thrust thrust,
        View side,
        String sideTold,
        View front,
        String frontTold,
        List<Middle> middles,
        BridgeCurve.Evening evening,
        Optional<Position> prouder,
        List<Cut> cuts,
        List<StringDrag> drags,
        List<BridgePictureRepository.Kept> pictures) {

    /** {@return the gap that was read just now, within what can be recorded, in mm} */
    public Optional<Double> gapMm() {
        SetUp setUp = instrument.setUp();
        return stance.read()
                ? Optional.of(gapRange().clamp(stance.lean().gapMm(setUp.value(Quantity.BRIDGE_HEIGHT))))
                : Optional.empty();
    }

    /** {@return what a gap can be} */
    public Range gapRange() {
        return instrument.setUp().rangeOf(Quantity.BRIDGE_GAP);
    }

    /** {@return how deep its foot is, in mm} */
    public double footMm() {
        return instrument.setUp().value(Quantity.FOOT_DEPTH);
    }

    /** {@return how well the curve is known} */
    public Origin curveOrigin() {
        SetUp setUp = instrument.setUp();
        return setUp.weakestOrigin(setUp.positions().stream()
                .map(position -> Measurable.of(Quantity.STRING_HEIGHT, position))
                .toList());
    }

    /** {@return how well the rest is known that the thrust is worked out of} */
    public Origin origin() {
        return instrument
                .setUp()
                .weakestOrigin(
                        Quantity.BRIDGE_HEIGHT,
                        Quantity.FOOT_DEPTH,
                        Quantity.TOP_THICKNESS,
                        Quantity.FRONT_ANGLE,
                        Quantity.BACK_ANGLE);
    }

    /**
     * How the bridge stands.
     *
     * @param lean its lean
     * @param read whether that was read just now, from a card or a picture
     * @param lines the lines of the picture
     * @param origin whether it was measured at all
     */
    record Stance(Lean lean, boolean read, Optional<PictureLines> lines, Origin origin) {}

    /**
     * A middle string on the curve of the bridge.
     *
     * @param position the string
     * @param proudMm how far it stands over the line past it
     * @param bowingDeg the room to bow it alone
     * @param radiusMm of the circle through it and its neighbours
     */
    record Middle(Position position, double proudMm, double bowingDeg, double radiusMm) {}

    /**
     * A groove cut across.
     *
     * @param position its string
     * @param ofBridge whether it is in the bridge, rather than in the nut
     * @param groove its figures
     * @param drawing of it
     * @param origin whether its depth was measured
     * @param desc what is to be seen
     */
    record Cut(Position position, boolean ofBridge, Groove groove, View drawing, Origin origin, String desc) {}

    /**
     * How far one string leans the bridge on its way from slack to pitch.
     *
     * @param position the string
     * @param dryDeg with dry grooves
     * @param graphitedDeg with graphite in them
     */
    record StringDrag(Position position, double dryDeg, double graphitedDeg) {}
}
