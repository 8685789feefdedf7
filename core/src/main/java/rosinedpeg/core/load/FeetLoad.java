package rosinedpeg.core.load;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Collection;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * How hard each foot of the bridge presses on the top. The treble foot keeps the sound post standing.
 *
 * <p>Each string's load N splits by the lever: the treble foot takes {@code N·(½ + x/w)}, the bass foot
 * {@code N·(½ − x/w)}, with x from the centre line and w between the feet's centres. The outer strings stand outside
 * the feet, so a part of more than the whole, and its negative on the other side, is right.
 *
 * @param bassN on the bass foot; negative would lift it
 * @param trebleN on the treble foot; negative would lift it
 */
public record FeetLoad(double bassN, double trebleN) {
    /** Checks the parts. */
    public FeetLoad {
        requireFinite("bassN", bassN);
        requireFinite("trebleN", trebleN);
    }

    private static final Range FOOT_SPAN = new Range(10, 250, Unit.MILLIMETRE);

    /**
     * Adds up the strings.
     *
     * @param strings every string that presses, not null
     * @param footSpanMm w, 10 to 250 mm
     * @return the load on both feet
     * @throws rosinedpeg.core.figure.OutOfRangeException when the span is outside its range
     */
    public static FeetLoad of(Collection<StringLoad> strings, double footSpanMm) {
        FOOT_SPAN.require("footSpanMm", footSpanMm);
        double bassN = 0;
        double trebleN = 0;
        for (StringLoad string : strings) {
            double lever = string.xMm() / footSpanMm;
            bassN += string.downwardN() * (0.5 - lever);
            trebleN += string.downwardN() * (0.5 + lever);
        }
        return new FeetLoad(bassN, trebleN);
    }

    /** {@return the load on the top, in N} */
    public double totalN() {
        return bassN + trebleN;
    }

    /** {@return this load as a share of the fully strung one, foot by foot} */
    public LoadShares shareOf(FeetLoad fullyStrung) {
        return new LoadShares(bassN / fullyStrung.bassN, trebleN / fullyStrung.trebleN);
    }
}
