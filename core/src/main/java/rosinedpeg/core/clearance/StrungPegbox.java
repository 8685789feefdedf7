package rosinedpeg.core.clearance;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.optim.univariate.UnivariatePointValuePair;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/**
 * A pegbox with its strings in it, in three dimensions.
 *
 * <p>A string is a straight line from its nut groove to where it meets its own shaft. Obstacles are the other shafts and
 * the turns on them (cylinders), the other strings (thin cylinders), the walls and the floor (planes). All of them are
 * convex, so that along the string the distance to one has a single minimum, which Brent's method finds.
 */
public final class StrungPegbox {

    /** Turns that are pressed further than this into their own wall do not find room beside it. */
    private static final double LEANS_MM = 0.1;

    private final Pegbox pegbox;
    private final Map<Position, StringSpec> strings;
    private final Map<Position, WindingChoice> choices;
    private final Map<Position, WindingPlan> plans = new EnumMap<>(Position.class);
    private final Map<Position, WindingPlan.Line> lines = new EnumMap<>(Position.class);

    /**
     * Takes an instrument and its strings.
     *
     * @param setUp the instrument
     * @param strings the strings in its pegbox
     * @param choices how each is wound; one that is not named is wound the usual way
     */
    public StrungPegbox(SetUp setUp, Map<Position, StringSpec> strings, Map<Position, WindingChoice> choices) {
        requireNonNull(setUp, "setUp");
        this.pegbox = new Pegbox(setUp);
        this.strings = new EnumMap<>(strings);
        this.choices = Map.copyOf(choices);
        this.strings.forEach((position, string) -> {
            WindingPlan plan = WindingPlan.of(setUp, string, choice(position));
            plans.put(position, plan);
            lines.put(
                    position,
                    plan.line(pegbox, string.diameterMm(), choice(position).way()));
        });
    }

    private WindingChoice choice(Position position) {
        return choices.getOrDefault(position, WindingChoice.USUAL);
    }

    /** {@return the coordinates used} */
    public Pegbox pegbox() {
        return pegbox;
    }

    /** {@return how a string is wound} */
    public WindingPlan winding(Position position) {
        requireNonNull(position, "position");
        return position.in(plans);
    }

    /** {@return the way of a string from the nut to its peg} */
    public WindingPlan.Line line(Position position) {
        requireNonNull(position, "position");
        return position.in(lines);
    }

    /**
     * The strings that lie over the hole or the turns of a peg, seen from above: they have to make way while its string
     * is changed.
     *
     * @param position the string to change
     * @return those that go further than its peg and pass over it, nearest peg first
     */
    public Set<Position> coveredBy(Position position) {
        WindingPlan below = position.in(plans);
        double room = roomToWorkMm(position);
        Set<Position> covering = EnumSet.noneOf(Position.class);
        for (Position other : strings.keySet()) {
            if (other == position || pegbox.fromNutMm(other) <= pegbox.fromNutMm(position)) {
                continue;
            }
            double x = other.in(lines).atY(pegbox.fromNutMm(position)).getX();
            double reach = room + other.in(strings).diameterMm() / 2;
            if (x > below.fromXMm() - reach && x < below.toXMm() + reach) {
                covering.add(other);
            }
        }
        return covering;
    }

    /**
     * A thin string finds its hole beside its neighbour; a thick one, that has to be bent and pulled, needs room beside it:
     * some of its own thickness, so that it is the same thing on every size of a family.
     */
    private double roomToWorkMm(Position position) {
        double thicknesses = switch (pegbox.setUp().family()) {
            case VIOLIN, VIOLA -> 0;
            case CELLO -> 0.8;
            case BASS -> 1.5;
        };
        return thicknesses * position.in(strings).diameterMm();
    }

    /**
     * How near one string comes to everything else.
     *
     * @param position the string
     * @return a clearance for each obstacle, the nearest first
     */
    public List<Clearance> clearances(Position position) {
        List<Clearance> found = new ArrayList<>();
        double half = position.in(strings).diameterMm() / 2;
        double shaftRadius = pegbox.shaftDiameterMm() / 2;
        for (Position other : strings.keySet()) {
            if (other == position) {
                continue;
            }
            Vector3D middle = pegbox.onShaft(other, 0);
            double width = pegbox.halfWidthMm(middle.getY());
            found.add(nearest(
                    position, Obstacle.SHAFT, other, half, p -> toCylinder(p, middle, -width, width, shaftRadius)));
            WindingPlan wound = other.in(plans);
            double turnsRadius = shaftRadius + other.in(strings).diameterMm();
            found.add(nearest(
                    position,
                    Obstacle.TURNS,
                    other,
                    half,
                    p -> toCylinder(p, middle, wound.fromXMm(), wound.toXMm(), turnsRadius)));
            WindingPlan.Line line = other.in(lines);
            double otherHalf = other.in(strings).diameterMm() / 2;
            found.add(nearest(position, Obstacle.STRING, other, half + otherHalf, p -> toSegment(p, line)));
        }
        for (Side side : Side.values()) {
            Clearance turns = turnsToWall(position, side);
            found.add(toWall(position, side)
                    .filter(string -> string.mm() < turns.mm())
                    .orElse(turns));
        }
        found.add(toFloor(position));
        found.sort(Comparator.comparingDouble(Clearance::mm));
        return Collections.unmodifiableList(found);
    }

    /**
     * What touches, with what to do about it. A string that is wound up to its own wall is meant to touch it.
     *
     * @return every touch, the hardest first
     */
    public List<Touch> touches() {
        List<Touch> touches = new ArrayList<>();
        for (Position position : strings.keySet()) {
            for (Clearance clearance : clearances(position)) {
                boolean alreadyToldByTheOther = clearance.obstacle() == Obstacle.STRING
                        && clearance.belongsTo().stream().anyMatch(other -> other.compareTo(position) < 0);
                if (clearance.touches() && !alreadyToldByTheOther && !meant(clearance)) {
                    touches.add(touch(clearance));
                }
            }
        }
        touches.sort(Comparator.comparingDouble(touch -> touch.clearance().mm()));
        return List.copyOf(touches);
    }

    private boolean meant(Clearance clearance) {
        Position position = clearance.string();
        Obstacle ownWall = pegbox.knobSide(position) < 0 ? Obstacle.BASS_WALL : Obstacle.TREBLE_WALL;
        return clearance.obstacle() == ownWall
                && choice(position).wall() == Wall.WOUND_TO_WALL
                && position.in(plans).wallGapMm() >= -LEANS_MM;
    }

    private Touch touch(Clearance clearance) {
        WindingChoice now = choice(clearance.string());
        Map<Touch.Cure, WindingChoice> ways = new EnumMap<>(Touch.Cure.class);
        ways.put(Touch.Cure.WIND_ON_OTHER_SIDE, now.onOtherSide());
        if (!now.lock().forBassOnly()) {
            ways.put(
                    Touch.Cure.WIND_STRAIGHT,
                    new WindingChoice(Lock.STRAIGHT_TO_WALL, now.wall(), now.way(), HoleSide.KNOB_SIDE));
        }
        Touch uncured = null;
        for (Map.Entry<Touch.Cure, WindingChoice> way : ways.entrySet()) {
            StrungPegbox otherwise = woundOtherwise(clearance.string(), way.getValue());
            List<Clearance> then = otherwise.clearances(clearance.string());
            double same = then.stream()
                    .filter(other -> other.obstacle() == clearance.obstacle() && other.other() == clearance.other())
                    .mapToDouble(Clearance::mm)
                    .findFirst()
                    .orElse(0);
            if (then.stream().noneMatch(other -> other.touches() && !otherwise.meant(other))) {
                return new Touch(clearance, same, way.getKey());
            }
            uncured = uncured == null ? new Touch(clearance, same, Touch.Cure.REFER_TO_REPAIRER) : uncured;
        }
        return requireNonNull(uncured);
    }

    private StrungPegbox woundOtherwise(Position position, WindingChoice choice) {
        Map<Position, WindingChoice> otherwise = new EnumMap<>(Position.class);
        strings.keySet().forEach(other -> otherwise.put(other, choice(other)));
        otherwise.put(position, choice);
        return new StrungPegbox(pegbox.setUp(), strings, otherwise);
    }

    private Clearance nearest(
            Position position, Obstacle obstacle, Position other, double minusMm, ToDoubleFunction<Vector3D> distance) {
        WindingPlan.Line line = position.in(lines);
        UnivariatePointValuePair best = new BrentOptimizer(1e-9, 1e-9)
                .optimize(
                        new UnivariateObjectiveFunction(share -> distance.applyAsDouble(at(line, share))),
                        GoalType.MINIMIZE,
                        new SearchInterval(0, 1),
                        new MaxEval(200));
        return new Clearance(position, obstacle, other, best.getValue() - minusMm, at(line, best.getPoint()));
    }

    private static Vector3D at(WindingPlan.Line line, double share) {
        return new Vector3D(1 - share, line.from(), share, line.to());
    }

    /** Signed distance from a point to a cylinder square across the pegbox, with flat ends. */
    private static double toCylinder(Vector3D point, Vector3D middle, double fromX, double toX, double radius) {
        double across = Math.max(fromX - point.getX(), point.getX() - toX);
        double around = Math.hypot(point.getY() - middle.getY(), point.getZ() - middle.getZ()) - radius;
        return across > 0 && around > 0 ? Math.hypot(across, around) : Math.max(across, around);
    }

    private static double toSegment(Vector3D point, WindingPlan.Line line) {
        Vector3D along = line.to().subtract(line.from());
        double share = point.subtract(line.from()).dotProduct(along) / along.getNormSq();
        return point.distance(at(line, Math.max(0, Math.min(1, share))));
    }

    /** Only where the string is below the wall's edge; the distance to a plane is least at one end of that piece. */
    private Optional<Clearance> toWall(Position position, Side side) {
        WindingPlan.Line line = position.in(lines);
        double enters = pegbox.wallTopZMm(position) / line.to().getZ();
        if (enters > 1) {
            return Optional.empty();
        }
        Clearance entering = toWall(position, side, at(line, enters));
        Clearance leaving = toWall(position, side, line.to());
        return Optional.of(entering.mm() < leaving.mm() ? entering : leaving);
    }

    /** The turns on a shaft reach further across than the string that leaves it. */
    private Clearance turnsToWall(Position position, Side side) {
        WindingPlan plan = position.in(plans);
        double endMm = side == Side.BASS ? -plan.fromXMm() : plan.toXMm();
        return new Clearance(
                position,
                side == Side.BASS ? Obstacle.BASS_WALL : Obstacle.TREBLE_WALL,
                null,
                pegbox.halfWidthMm(pegbox.fromNutMm(position)) - endMm,
                pegbox.onShaft(position, side == Side.BASS ? plan.fromXMm() : plan.toXMm()));
    }

    private Clearance toWall(Position position, Side side, Vector3D point) {
        double widthPerMm = pegbox.halfWidthMm(1) - pegbox.halfWidthMm(0);
        double square = (pegbox.halfWidthMm(point.getY()) - side.sign() * point.getX()) / Math.hypot(1, widthPerMm);
        return new Clearance(
                position,
                side == Side.BASS ? Obstacle.BASS_WALL : Obstacle.TREBLE_WALL,
                null,
                square - position.in(strings).diameterMm() / 2,
                point);
    }

    private Clearance toFloor(Position position) {
        Vector3D middle = pegbox.onShaft(position, position.in(plans).leavesXMm());
        double below = pegbox.shaftDiameterMm() / 2 + position.in(strings).diameterMm();
        return new Clearance(
                position,
                Obstacle.FLOOR,
                null,
                middle.getZ() - below - pegbox.floorZMm(),
                middle.subtract(new Vector3D(0, 0, below)));
    }
}
