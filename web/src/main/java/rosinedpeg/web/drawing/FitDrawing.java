package rosinedpeg.web.drawing;

import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.web.platform.Say;

/**
 * A string laid along the instrument, in millimetres from the ball: where its silk ends and begins against bridge, nut and
 * peg. The middle, where nothing happens, is left out.
 *
 * @param tail from the ball to past the bridge
 * @param peg from before the nut to the tip
 */
public record FitDrawing(View tail, View peg) {

    /** {@return a string against an instrument} */
    public static FitDrawing of(SetUp setUp, StringSpec string) {
        double bridge = setUp.value(Quantity.AFTERLENGTH);
        double nut = bridge + setUp.value(Quantity.VIBRATING_LENGTH);
        double shaft = setUp.value(Quantity.SHAFT_DIAMETER);
        double peg = nut + setUp.value(Quantity.NUT_TO_PEG, string.position());
        double scale = bridge * 0.1;
        double left = -scale;
        double tailEnd = Math.max(bridge, string.tailSilkEndMm()) + 2.5 * scale;
        Pen tail = new Pen();
        tail.line("string", scale * 0.22, 0, 0, tailEnd, 0);
        tail.line("silk", scale * 0.4, 0, 0, string.tailSilkEndMm(), 0);
        tail.circle("string-end", 0, 0, scale * 0.45);
        tail.area("wood", bridge - scale * 0.35, 2.6 * scale, bridge, 0.2 * scale, bridge + scale * 0.35, 2.6 * scale);
        ticks(tail, scale, string.tailSilkEndMm(), bridge);

        double start = Math.min(nut, string.topSilkStartMm()) - 4 * scale;
        double end = Math.max(string.totalLengthMm(), peg + shaft) + scale;
        Pen far = new Pen();
        far.line("string", scale * 0.22, start, 0, string.topSilkStartMm(), 0);
        far.line("silk", scale * 0.4, string.topSilkStartMm(), 0, string.totalLengthMm(), 0);
        far.area(
                "bone",
                nut,
                0.2 * scale,
                nut + scale * 0.6,
                0.2 * scale,
                nut + scale * 0.6,
                2.6 * scale,
                nut,
                2.6 * scale);
        far.circle("shaft", peg, shaft / 2 + scale * 0.3, shaft / 2);
        ticks(far, scale, string.topSilkStartMm(), nut);
        far.line("tip", scale * 0.5, string.totalLengthMm(), -0.5 * scale, string.totalLengthMm(), 0.5 * scale);
        double below = Math.max(2.8 * scale, shaft + 0.8 * scale);
        return new FitDrawing(
                tail.view(left, -3 * scale, tailEnd - left, 3 * scale + below),
                far.view(start, -3 * scale, end - start, 3 * scale + below));
    }

    /** How far the silk is from what it must not reach. */
    private static void ticks(Pen pen, double scale, double silk, double limit) {
        pen.distance(silk, -1.1 * scale, limit, -1.1 * scale, scale * 0.7);
        boolean silkFirst = silk <= limit;
        double text = scale * 0.95;
        double apart = scale * 0.25;
        pen.text(
                "measure",
                silk + (silkFirst ? -apart : apart),
                -1.9 * scale,
                text,
                silkFirst ? "end" : "start",
                Say.number(silk, 0));
        pen.text(
                "name",
                limit + (silkFirst ? apart : -apart),
                -1.9 * scale,
                text,
                silkFirst ? "start" : "end",
                Say.number(limit, 0));
    }
}
