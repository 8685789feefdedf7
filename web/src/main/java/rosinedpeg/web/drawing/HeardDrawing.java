package rosinedpeg.web.drawing;

import java.util.List;
import java.util.Map;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * The strings of an instrument between nut and bridge, one above the other, to be read from a metre away. A string that is flat hangs below
 * its line as a slack one would, one that is sharp arches over it; the wider what lies between, the further it is off. At pitch there is
 * nothing but the string.
 */
public final class HeardDrawing {

    private static final double WIDTH = 640;
    private static final double APART = 46;
    private static final double ABOVE = 44;
    private static final double NUT = 74;
    private static final double BRIDGE = 626;
    private static final double NUMERAL = 24;
    private static final double THICKNESS_PER_MM = 2.6;
    private static final double THINNEST = 1.2;
    /** How far a string that is 400 cents off hangs; half of that is reached at about 35. */
    private static final double MOST = 84;

    private static final double MOST_CENTS = 400;
    private static final double SMALL_CENTS = 4;
    /** A thin crescent is seen from so many cents on. */
    private static final double LEAST_CENTS = 0.5;

    private HeardDrawing() {}

    /**
     * The strings as they are when nothing sounds.
     *
     * @param strings the strings, the highest first
     * @return the drawing; what is heard of a string goes into its path of class {@code heard at-II}
     */
    public static View of(Map<Position, StringSpec> strings) {
        List<Position> positions = List.copyOf(strings.keySet());
        int last = positions.get(positions.size() - 1).number();
        double height = ABOVE + (last - 1) * APART + ABOVE;
        Pen pen = new Pen();
        pen.line("bone", 5, NUT, ABOVE - APART / 3, NUT, height - ABOVE + APART / 3);
        pen.area(
                "wood",
                BRIDGE - 3,
                ABOVE - APART / 2.2,
                BRIDGE + 3,
                ABOVE - APART / 2.2,
                BRIDGE + 3,
                height - ABOVE + APART / 2.2,
                BRIDGE - 3,
                height - ABOVE + APART / 2.2);
        for (Position position : positions) {
            double y = y(position);
            pen.path("heard at-" + position, 0, sag(position, 0));
            pen.line(
                    "line at-" + position,
                    Math.max(THINNEST, position.in(strings).diameterMm() * THICKNESS_PER_MM),
                    NUT,
                    y,
                    BRIDGE,
                    y);
            pen.line("held at-" + position, 5, NUT, y, BRIDGE, y);
            pen.text("numeral at-" + position, NUT - 18, y + NUMERAL * 0.35, NUMERAL, "end", position.name());
        }
        return pen.view(0, 0, WIDTH, height);
    }

    private static double y(Position position) {
        return ABOVE + (position.number() - 1) * APART;
    }

    /**
     * What a string lacks, or has too much.
     *
     * @param position which string
     * @param cents from what it should sound
     * @return the path of the crescent between its line and where it hangs
     */
    public static String sag(Position position, double cents) {
        double y = y(position);
        double share =
                Math.log1p(Math.min(MOST_CENTS, Math.abs(cents)) / SMALL_CENTS) / Math.log1p(MOST_CENTS / SMALL_CENTS);
        // A curve comes three quarters as near as the two points that draw it.
        double middle = Math.abs(cents) < LEAST_CENTS ? y : y - Math.signum(cents) * MOST * share;
        return Stroke.move(NUT, y)
                + Stroke.curve(NUT + (BRIDGE - NUT) / 3, middle, BRIDGE - (BRIDGE - NUT) / 3, middle, BRIDGE, y)
                + "Z";
    }
}
