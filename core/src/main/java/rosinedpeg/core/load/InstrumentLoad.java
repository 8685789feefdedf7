package rosinedpeg.core.load;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/**
 * The load on the feet of one instrument's bridge, for any state of its strings. A bridge that stands off its place carries
 * them where its feet are: levers are counted from the middle of the feet.
 */
public final class InstrumentLoad {

    /** Share of its tension that a string keeps when it is let down just far enough to lift out of its nut groove. */
    public static final double SET_ASIDE = 0.25;

    /** With readings in it, a string that is set aside may seem to carry a little more. */
    private static final double ASIDE_TO = 0.3;

    private final Map<Position, FeetLoad> perNewton = new EnumMap<>(Position.class);
    private final FeetLoad fullyStrung;

    /**
     * Takes an instrument as it was strung before anything was let down.
     *
     * @param setUp the instrument
     * @param tensionsN tension of every string at pitch, in N
     */
    public InstrumentLoad(SetUp setUp, Map<Position, Double> tensionsN) {
        requireFinite("tensionsN", tensionsN);
        for (Position position : setUp.positions()) {
            StringLoad oneNewton = new StringLoad(
                    1,
                    setUp.xAtBridgeMm(position) - setUp.value(Quantity.OFF_CENTRE),
                    setUp.value(Quantity.FRONT_ANGLE),
                    setUp.value(Quantity.BACK_ANGLE));
            perNewton.put(position, FeetLoad.of(List.of(oneNewton), setUp.value(Quantity.FOOT_SPAN)));
        }
        this.fullyStrung = feet(tensionsN);
    }

    /**
     * Whether a string carries no more than one that is set aside.
     *
     * @param tensionN what it carries, 0 N or more
     * @param fullN what it carries at pitch, in N
     */
    public static boolean isAside(double tensionN, double fullN) {
        requireFinite("tensionN", tensionN);
        requireFinite("fullN", fullN);
        return tensionN < ASIDE_TO * fullN;
    }

    /** {@return what the shares of an instrument rest on: measured when all of its levers were} */
    public static Origin origin(SetUp setUp) {
        return setUp.weakestOrigin(Quantity.FOOT_SPAN, Quantity.BRIDGE_SPACING);
    }

    /** {@return the load with every string at pitch} */
    public FeetLoad fullyStrung() {
        return fullyStrung;
    }

    /**
     * The load left for other tensions, as a share of the fully strung one.
     *
     * @param tensionsN present tension of each string in N; a missing string is off
     * @return the shares
     */
    public LoadShares shares(Map<Position, Double> tensionsN) {
        requireFinite("tensionsN", tensionsN);
        return feet(tensionsN).shareOf(fullyStrung);
    }

    /** {@return the load of such tensions on both feet, in N} */
    public FeetLoad feet(Map<Position, Double> tensionsN) {
        requireFinite("tensionsN", tensionsN);
        double bassN = 0;
        double trebleN = 0;
        for (Map.Entry<Position, Double> entry : tensionsN.entrySet()) {
            FeetLoad oneNewton = entry.getKey().in(perNewton);
            bassN += entry.getValue() * oneNewton.bassN();
            trebleN += entry.getValue() * oneNewton.trebleN();
        }
        return new FeetLoad(bassN, trebleN);
    }
}
