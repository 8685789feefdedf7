package rosinedpeg.web.drawing;

import static rosinedpeg.web.drawing.Stroke.curve;
import static rosinedpeg.web.drawing.Stroke.line;
import static rosinedpeg.web.drawing.Stroke.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/**
 * An instrument lying on its side, scroll to the left, drawn as its strings: I at the top, the lowest at the bottom.
 * Lengths and widths are to scale; the strings' thickness is too, at one scale for every instrument, larger than that
 * of the lengths so that it can be seen. Wear shows as fraying.
 *
 * @param width of the drawing
 * @param height of the drawing
 * @param pegbox its outline
 * @param scroll its curl
 * @param fingerboard its outline
 * @param nut its outline
 * @param bridge its outline
 * @param tailpiece its outline
 * @param pegs shafts with their heads
 * @param strings the strings
 * @param fraying loose ends of worn strings
 */
public record Strands(
        double width,
        double height,
        String pegbox,
        String scroll,
        String fingerboard,
        String nut,
        String bridge,
        String tailpiece,
        List<Stroke> pegs,
        List<Stroke> strings,
        String fraying) {

    private static final double WIDTH = 620;
    private static final double HEIGHT = 84;
    private static final double LEFT = 62;
    private static final double RIGHT = 30;
    private static final double THICKNESS_PER_MM = 2.1;
    /** A shaft, and a shaft diameter as it counts for what stands outside the wall. */
    private static final double SHAFT = 2.4;

    private static final double HEAD = 5.6;
    private static final double FRAYED = 1.15;

    /**
     * Draws an instrument.
     *
     * @param setUp its geometry
     * @param strings the strings on it; a position without one is drawn as off
     * @return the drawing
     */
    public static Strands of(SetUp setUp, Map<Position, Strand> strings) {
        double lengthMm = setUp.value(Quantity.VIBRATING_LENGTH);
        double afterMm = setUp.value(Quantity.AFTERLENGTH);
        double furthestPegMm = setUp.positions().stream()
                .mapToDouble(position -> setUp.value(Quantity.NUT_TO_PEG, position))
                .max()
                .orElseThrow();
        double scale = (WIDTH - LEFT - RIGHT) / (furthestPegMm + lengthMm + afterMm);
        double nutX = LEFT + furthestPegMm * scale;
        double bridgeX = nutX + lengthMm * scale;
        double tailX = bridgeX + afterMm * scale;
        double middle = HEIGHT / 2;
        double nutHalf = setUp.value(Quantity.NUT_SPACING) * scale / 2;
        double bridgeHalf = setUp.value(Quantity.BRIDGE_SPACING) * scale / 2;
        double margin = nutHalf * 0.45;
        double boardEndX = nutX + lengthMm * scale * 0.825;
        double boardEndHalf = nutHalf + margin + (bridgeHalf - nutHalf) * 0.825;
        double boxEndHalf = (nutHalf + margin) * 0.72;

        double hand = setUp.leftHanded() ? -1 : 1;
        List<Stroke> pegs = new ArrayList<>();
        StringBuilder whiskers = new StringBuilder();
        List<Stroke> lines = new ArrayList<>();
        for (Position position : setUp.positions()) {
            double atNut = middle - hand * setUp.xAtNutMm(position) * scale;
            double atBridge = middle - hand * setUp.xAtBridgeMm(position) * scale;
            double pegX = nutX - setUp.value(Quantity.NUT_TO_PEG, position) * scale;
            pegs.addAll(peg(
                    setUp,
                    pegX,
                    middle,
                    nutHalf + margin,
                    -hand * setUp.pegSide(position).sign()));
            Strand strand = strings.get(position);
            double thickness = strand == null ? 1 : strand.diameterMm() * THICKNESS_PER_MM;
            double atPeg = middle + (atNut - middle) * 0.55;
            double atTail = middle + (atBridge - middle) * 0.62;
            String path = move(pegX, atPeg) + line(nutX, atNut) + line(bridgeX, atBridge) + line(tailX, atTail);
            lines.add(new Stroke(path, thickness, strand == null ? "off" : strand.state()));
            if (strand != null) {
                fray(whiskers, strand, nutX, atNut, bridgeX, atBridge, thickness);
            }
        }
        double curl = LEFT - 16;
        return new Strands(
                WIDTH,
                HEIGHT,
                move(nutX, middle - nutHalf - margin)
                        + line(LEFT - 12, middle - boxEndHalf)
                        + line(LEFT - 12, middle + boxEndHalf)
                        + line(nutX, middle + nutHalf + margin)
                        + "Z",
                move(LEFT - 12, middle + boxEndHalf * 0.55)
                        + curve(curl - 18, middle + 14, curl - 26, middle - 9, curl - 10, middle - 11)
                        + curve(curl + 1, middle - 11, curl, middle + 5, curl - 8, middle + 3)
                        + curve(curl - 13, middle + 1, curl - 11, middle - 5, curl - 7, middle - 4),
                move(nutX, middle - nutHalf - margin)
                        + line(boardEndX, middle - boardEndHalf)
                        + line(boardEndX, middle + boardEndHalf)
                        + line(nutX, middle + nutHalf + margin)
                        + "Z",
                box(nutX - 4, middle - nutHalf - margin, 4.5, 2 * (nutHalf + margin)),
                box(bridgeX - 2.2, middle - bridgeHalf * 1.22, 4.4, 2 * bridgeHalf * 1.22),
                move(tailX - 2, middle - bridgeHalf * 0.86)
                        + line(WIDTH - 4, middle - bridgeHalf * 0.6)
                        + line(WIDTH - 4, middle + bridgeHalf * 0.6)
                        + line(tailX - 2, middle + bridgeHalf * 0.86)
                        + "Z",
                pegs,
                lines,
                whiskers.toString());
    }

    /** {@return what is drawn, as SVG: the wood, then what is wound and stretched on it} */
    public String svg() {
        Stream<Stroke> wood = Stream.of(new Stroke(pegbox, 0, "wood"), new Stroke(scroll, 0, "curl"));
        Stream<Stroke> over = Stream.of(
                new Stroke(fingerboard, 0, "ebony"),
                new Stroke(tailpiece, 0, "ebony"),
                new Stroke(nut, 0, "bone"),
                new Stroke(bridge, 0, "wood"));
        Stream<Stroke> loose = fraying.isEmpty() ? Stream.of() : Stream.of(new Stroke(fraying, FRAYED, "fray"));
        return Stroke.svg(wood, pegs.stream(), over, Stroke.asStrings(strings), loose);
    }

    /** A peg or machine, its shaft across the pegbox; never so small that it cannot be told what it is. */
    private static List<Stroke> peg(SetUp setUp, double x, double middle, double wall, double side) {
        List<Stroke> strokes = new ArrayList<>();
        strokes.add(new Stroke(
                move(x, middle - side * wall) + line(x, middle + side * wall),
                SHAFT,
                PegHead.shaft(setUp.pegKind()).name().toLowerCase(Locale.ROOT)));
        for (PegHead piece : PegHead.of(setUp.pegKind())) {
            strokes.add(new Stroke(
                    move(x + piece.fromAlong() * HEAD, middle + side * (wall + piece.fromOut() * HEAD))
                            + line(x + piece.toAlong() * HEAD, middle + side * (wall + piece.toOut() * HEAD)),
                    piece.width() * HEAD * (piece.material() == PegHead.Material.SHAFT ? SHAFT / HEAD : 1),
                    piece.material().name().toLowerCase(Locale.ROOT)));
        }
        return strokes;
    }

    /** Whiskers, thickest where fingers land and where the string bends; the more it is worn, the more of them. */
    private static void fray(
            StringBuilder path,
            Strand strand,
            double nutX,
            double atNut,
            double bridgeX,
            double atBridge,
            double thickness) {
        Random random = new Random(strand.pattern());
        long whiskers = Math.round(Math.max(0, Math.min(strand.worn(), 1.4) - 0.3) * 26);
        for (int i = 0; i < whiskers; i++) {
            double along =
                    random.nextInt(5) == 0 ? 0.9 + random.nextDouble() * 0.1 : Math.pow(random.nextDouble(), 1.5) * 0.5;
            double x = nutX + (bridgeX - nutX) * along;
            double y = atNut + (atBridge - atNut) * along;
            double up = random.nextBoolean() ? -1 : 1;
            double reach = 3 + random.nextDouble() * 4;
            path.append(move(x, y + up * thickness / 2))
                    .append("q")
                    .append(Stroke.number(reach * 0.7))
                    .append(" ")
                    .append(Stroke.number(up * 0.6))
                    .append(" ")
                    .append(Stroke.number(reach))
                    .append(" ")
                    .append(Stroke.number(up * (1.6 + random.nextDouble() * 2.4)));
        }
    }

    private static String box(double x, double y, double width, double height) {
        return move(x, y) + line(x + width, y) + line(x + width, y + height) + line(x, y + height) + "Z";
    }

    /**
     * A string as it is drawn.
     *
     * @param diameterMm its thickness
     * @param worn how far it is used up, 1 for spent
     * @param pattern chooses where it frays; the same string always frays alike
     * @param state {@code on}, {@code off}, {@code settling} or {@code due}
     */
    public record Strand(double diameterMm, double worn, long pattern, String state) {}
}
