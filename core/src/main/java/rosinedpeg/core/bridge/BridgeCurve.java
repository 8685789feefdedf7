package rosinedpeg.core.bridge;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/**
 * The curve of the bridge's top, from where its strings lie.
 *
 * <p>Seen from the tailpiece side, x runs across the bridge and y up from any level line. For each middle string the
 * height over the line between its neighbours and the bowing angle between its two chords are worked out, and the radius
 * of the circle through the three. Plane geometry.
 */
public final class BridgeCurve {

    private final List<StringPoint> points;

    /**
     * Takes the strings in order across the bridge.
     *
     * @param points three to five strings, x rising
     * @throws IllegalArgumentException when there are fewer or more, or x does not rise
     */
    public BridgeCurve(List<StringPoint> points) {
        if (points.size() < 3 || points.size() > 5) {
            throw new IllegalArgumentException("points has " + points.size() + " strings; it must have 3 to 5");
        }
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i).xMm() <= points.get(i - 1).xMm()) {
                throw new IllegalArgumentException(
                        "points: xMm " + points.get(i).xMm() + " follows "
                                + points.get(i - 1).xMm() + "; it must rise from string to string");
            }
        }
        this.points = List.copyOf(points);
    }

    /** {@return the curve of an instrument's bridge, from its lowest string to I} */
    public static BridgeCurve of(SetUp setUp) {
        List<StringPoint> points = new ArrayList<>();
        for (int number = setUp.positions().size(); number >= 1; number--) {
            Position position = Position.ofNumber(number);
            points.add(new StringPoint(setUp.xAtBridgeMm(position), setUp.value(Quantity.STRING_HEIGHT, position)));
        }
        return new BridgeCurve(points);
    }

    /** {@return where the strings lie, x rising} */
    public List<StringPoint> points() {
        return points;
    }

    /** {@return how far each middle string stands over the line between its neighbours, in mm, square to that line} */
    public List<Double> proudMm() {
        List<Double> proud = new ArrayList<>();
        for (int i = 1; i < points.size() - 1; i++) {
            proud.add(proudMm(i));
        }
        return List.copyOf(proud);
    }

    /** {@return the room to bow each middle string alone: the angle between the chords to its neighbours, in degrees} */
    public List<Double> bowingAngleDeg() {
        List<Double> angles = new ArrayList<>();
        for (int i = 1; i < points.size() - 1; i++) {
            angles.add(slopeDeg(i - 1) - slopeDeg(i));
        }
        return List.copyOf(angles);
    }

    /** {@return the radius of the circle through each middle string and its neighbours, in mm; infinite when straight} */
    public List<Double> radiusMm() {
        List<Double> radii = new ArrayList<>();
        for (int i = 1; i < points.size() - 1; i++) {
            double a = distance(i - 1, i);
            double b = distance(i, i + 1);
            double c = distance(i - 1, i + 1);
            double area = c * Math.abs(proudMm(i)) / 2;
            radii.add(area == 0 ? Double.POSITIVE_INFINITY : a * b * c / (4 * area));
        }
        return List.copyOf(radii);
    }

    /**
     * How to make the middle strings stand equally proud. Grooves can only be deepened, so it is the prouder string's
     * groove; filing is a repairer's work.
     *
     * @return what to deepen and by how much; nothing when there are not two middle strings
     */
    public Evening evening() {
        if (points.size() != 4) {
            return new Evening(OptionalInt.empty(), 0);
        }
        double left = proudMm(1);
        double right = proudMm(2);
        int prouder = left >= right ? 1 : 2;
        double low = 0;
        double high = Math.abs(left - right);
        while (high - low > 1e-9) {
            double middle = (low + high) / 2;
            BridgeCurve deepened = deepened(prouder, middle);
            boolean stillProuder = prouder == 1
                    ? deepened.proudMm(1) > deepened.proudMm(2)
                    : deepened.proudMm(2) > deepened.proudMm(1);
            if (stillProuder) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return new Evening(high < 1e-6 ? OptionalInt.empty() : OptionalInt.of(prouder), high);
    }

    private BridgeCurve deepened(int index, double byMm) {
        List<StringPoint> changed = new ArrayList<>(points);
        StringPoint point = points.get(index);
        changed.set(index, new StringPoint(point.xMm(), point.yMm() - byMm));
        return new BridgeCurve(changed);
    }

    private double proudMm(int i) {
        StringPoint left = points.get(i - 1);
        StringPoint right = points.get(i + 1);
        StringPoint here = points.get(i);
        double dx = right.xMm() - left.xMm();
        double dy = right.yMm() - left.yMm();
        return (dx * (here.yMm() - left.yMm()) - dy * (here.xMm() - left.xMm())) / Math.hypot(dx, dy);
    }

    private double slopeDeg(int from) {
        StringPoint a = points.get(from);
        StringPoint b = points.get(from + 1);
        return Math.toDegrees(Math.atan2(b.yMm() - a.yMm(), b.xMm() - a.xMm()));
    }

    private double distance(int i, int j) {
        return Math.hypot(
                points.get(i).xMm() - points.get(j).xMm(),
                points.get(i).yMm() - points.get(j).yMm());
    }

    /**
     * Where a string lies on the bridge.
     *
     * @param xMm across
     * @param yMm up
     */
    public record StringPoint(double xMm, double yMm) {

        /**
         * Checks the figures.
         *
         * @throws IllegalArgumentException when one is not a finite number
         */
        public StringPoint {
            requireFinite("xMm", xMm);
            requireFinite("yMm", yMm);
            if (!Double.isFinite(xMm) || !Double.isFinite(yMm)) {
                throw new IllegalArgumentException(
                        "a string's place is " + xMm + ", " + yMm + " mm; both must be finite numbers");
            }
        }
    }

    /**
     * The smallest deepening that makes the middle strings stand equally proud.
     *
     * @param index which string, counted across from 0; empty when they do already
     * @param byMm how much deeper its groove would be
     */
    public record Evening(OptionalInt index, double byMm) {

        private static final double FILED_MM = 0.05;

        /** Checks the parts. */
        public Evening {
            requireFinite("byMm", byMm);
            requireNonNull(index, "index");
        }

        /** {@return whether a file has nothing to do here: less than anybody files} */
        public boolean even() {
            return index.isEmpty() || byMm < FILED_MM;
        }
    }
}
