package rosinedpeg.web.drawing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/**
 * The lending shelf from the front: a rail with a peg for each instrument. What is at home hangs by its scroll, drawn as its strings,
 * all at one scale, so that a quarter is seen to be smaller than a half; what is out has left its peg, and a tag hangs there that says
 * when it is to be back. The tag of a late one is torn off at its lower edge.
 */
public final class ShelfDrawing {

    private static final double WIDTH = 700;
    /** So many hang from one rail. */
    private static final int ON_A_RAIL = 10;

    private static final double EACH = WIDTH / ON_A_RAIL;
    /** The longest string that hangs on a rail is so long. */
    private static final double LONGEST = 104;
    /** Across, everything is drawn so many times as wide as it is to the scale of the lengths. */
    private static final double ACROSS = 1.5;

    private static final double RAIL = 8;
    private static final double HUNG = RAIL + 15;
    private static final double LABEL = 17;
    private static final double THICKNESS_PER_MM = 1.5;
    private static final double TAG_WIDTH = 46;
    private static final double TAG_HEIGHT = 22;

    private ShelfDrawing() {}

    /**
     * One instrument of the shelf.
     *
     * @param setUp its geometry
     * @param label what stands below it
     * @param tag what stands on its tag while it is out; empty while it is at home
     * @param late whether it should be back
     * @param strings its strings
     */
    public record Hung(
            SetUp setUp, String label, Optional<String> tag, boolean late, Map<Position, Strands.Strand> strings) {}

    /**
     * Draws a shelf.
     *
     * @param all what belongs on it, in order; at least one
     * @return the drawing
     */
    public static View of(List<Hung> all) {
        double longestMm =
                all.stream().mapToDouble(ShelfDrawing::lengthMm).max().orElseThrow();
        double scale = LONGEST / longestMm;
        Pen pen = new Pen();
        double top = 0;
        for (int first = 0; first < all.size(); first += ON_A_RAIL) {
            List<Hung> rail = all.subList(first, Math.min(all.size(), first + ON_A_RAIL));
            pen.line("rail", 6, 0, top + RAIL, WIDTH, top + RAIL);
            double deepest =
                    rail.stream().mapToDouble(one -> depth(one, scale)).max().orElseThrow();
            for (int at = 0; at < rail.size(); at++) {
                draw(pen, rail.get(at), (at + 0.5) * EACH, top, scale);
                pen.text(
                        "label",
                        (at + 0.5) * EACH,
                        top + HUNG + deepest + LABEL,
                        11,
                        "middle",
                        rail.get(at).label());
            }
            top += HUNG + deepest + LABEL + 12;
        }
        return pen.view(0, 0, WIDTH, top);
    }

    private static double lengthMm(Hung one) {
        return one.setUp().value(Quantity.VIBRATING_LENGTH);
    }

    private static double pegboxMm(SetUp setUp) {
        return setUp.positions().stream()
                .mapToDouble(position -> setUp.value(Quantity.NUT_TO_PEG, position))
                .max()
                .orElseThrow();
    }

    private static double depth(Hung one, double scale) {
        if (one.tag().isPresent()) {
            return TAG_HEIGHT + 20;
        }
        return (pegboxMm(one.setUp()) + lengthMm(one) + one.setUp().value(Quantity.AFTERLENGTH)) * scale + 12;
    }

    private static void draw(Pen pen, Hung one, double x, double top, double scale) {
        double peg = top + RAIL;
        pen.line("hook", 2, x, peg, x, peg + 7).circle("hook-end", x, peg + 8, 3);
        if (one.tag().isPresent()) {
            tag(pen, one, x, peg + 8);
        } else {
            strands(pen, one, x, top + HUNG, scale);
        }
    }

    private static void tag(Pen pen, Hung one, double x, double y) {
        double left = x - TAG_WIDTH / 2;
        double head = y + 14;
        double foot = head + TAG_HEIGHT;
        pen.line("thread", 0.9, x, y, x, head + 3);
        StringBuilder outline = new StringBuilder(Stroke.move(x - 9, head))
                .append(Stroke.line(x + 9, head))
                .append(Stroke.line(x + TAG_WIDTH / 2, head + 6))
                .append(Stroke.line(x + TAG_WIDTH / 2, foot));
        int teeth = one.late() ? 6 : 0;
        for (int i = 1; i <= teeth; i++) {
            outline.append(Stroke.line(x + TAG_WIDTH / 2 - TAG_WIDTH * (i - 0.5) / teeth, foot - 4));
            if (i < teeth) {
                outline.append(Stroke.line(x + TAG_WIDTH / 2 - TAG_WIDTH * i / teeth, foot));
            }
        }
        outline.append(Stroke.line(left, foot))
                .append(Stroke.line(left, head + 6))
                .append("Z");
        pen.path(one.late() ? "tag late" : "tag", 1.1, outline.toString());
        pen.circle("eyelet", x, head + 4, 1.4);
        pen.text(
                one.late() ? "until late" : "until",
                x,
                foot - 6,
                10,
                "middle",
                one.tag().orElseThrow());
    }

    /** Scroll up; the lowest string on the left, as it is seen from the front. */
    private static void strands(Pen pen, Hung one, double x, double top, double scale) {
        SetUp setUp = one.setUp();
        double nut = top + pegboxMm(setUp) * scale;
        double bridge = nut + lengthMm(one) * scale;
        double tail = bridge + setUp.value(Quantity.AFTERLENGTH) * scale;
        double across = scale * ACROSS;
        double nutHalf = setUp.value(Quantity.NUT_SPACING) * across / 2;
        double bridgeHalf = setUp.value(Quantity.BRIDGE_SPACING) * across / 2;
        double boardEnd = nut + (bridge - nut) * 0.82;
        double boardHalf = nutHalf + (bridgeHalf - nutHalf) * 0.82;
        pen.path(
                "curl",
                1.8,
                Stroke.move(x, top + 2)
                        + Stroke.curve(x + 5, top + 1, x + 5, top - 6, x, top - 6)
                        + Stroke.curve(x - 3, top - 6, x - 3, top - 2, x, top - 2));
        pen.area("box", x - nutHalf * 0.75, top + 1, x + nutHalf * 0.75, top + 1, x + nutHalf, nut, x - nutHalf, nut);
        pen.area(
                "board",
                x - nutHalf - 1.2,
                nut,
                x + nutHalf + 1.2,
                nut,
                x + boardHalf + 1.2,
                boardEnd,
                x - boardHalf - 1.2,
                boardEnd);
        pen.area(
                "board",
                x - bridgeHalf * 0.7,
                tail,
                x + bridgeHalf * 0.7,
                tail,
                x + bridgeHalf * 0.3,
                tail + 11,
                x - bridgeHalf * 0.3,
                tail + 11);
        pen.line("bridge", 2.6, x - bridgeHalf * 1.15, bridge, x + bridgeHalf * 1.15, bridge);
        for (Position position : setUp.positions()) {
            Strands.Strand strand = one.strings().get(position);
            if (strand != null) {
                double atNut = x + setUp.xAtNutMm(position) * across;
                double atBridge = x + setUp.xAtBridgeMm(position) * across;
                pen.line(
                        "string",
                        Math.max(0.7, strand.diameterMm() * THICKNESS_PER_MM),
                        x + (atNut - x) * 0.6,
                        top + 4,
                        atNut,
                        nut,
                        atBridge,
                        bridge,
                        x + (atBridge - x) * 0.65,
                        tail);
            }
        }
    }
}
