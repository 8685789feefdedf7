package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import rosinedpeg.core.clearance.Clearance;
import rosinedpeg.core.clearance.Obstacle;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Permutations;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/** What is searched or minimised cleverly comes to the same as trying everything. */
class BruteForceTest {

    /** Load on the treble foot by plain statics, written again here on its own. */
    private static double trebleN(SetUp setUp, Map<Position, Double> tensionsN) {
        double press = Math.sin(Math.toRadians(setUp.value(Quantity.FRONT_ANGLE)))
                + Math.sin(Math.toRadians(setUp.value(Quantity.BACK_ANGLE)));
        return tensionsN.entrySet().stream()
                .mapToDouble(entry -> entry.getValue()
                        * press
                        * (0.5 + setUp.xAtBridgeMm(entry.getKey()) / setUp.value(Quantity.FOOT_SPAN)))
                .sum();
    }

    /** One string off at a time, none in another's way: the best order of all there are is found. */
    @Property(tries = 150)
    void noOrderHoldsThePostBetterThanTheBestHeldOne(
            @ForAll Family family,
            @ForAll("chosen") Set<Position> chosen,
            @ForAll @DoubleRange(min = 0.75, max = 1.3) double heavierFirst,
            @ForAll @DoubleRange(min = 0.75, max = 1.3) double heavierLast) {
        SetUp setUp = Examples.instrument(family);
        Map<Position, StringSpec> present = Examples.set(setUp);
        Map<Position, StringSpec> replacements = new EnumMap<>(Position.class);
        chosen.forEach(position -> replacements.put(
                position, heavier(present.get(position), position == Position.I ? heavierFirst : heavierLast)));
        ChangeRequest request = ChangeRequest.usual(setUp, present, replacements)
                .covered(Map.of())
                .by(Schools.USUAL.with(Schools.Off.ONE_AT_A_TIME, Schools.Begin.BEST_HELD));

        double fullN = trebleN(setUp, setUp.tensionsN(present));
        double best = Double.NEGATIVE_INFINITY;
        for (List<Position> order : Permutations.of(List.copyOf(chosen))) {
            Map<Position, Double> nowN = new EnumMap<>(setUp.tensionsN(present));
            double least = 1;
            for (Position position : order) {
                nowN.put(position, 0.0);
                least = Math.min(least, trebleN(setUp, nowN) / fullN);
                nowN.put(position, setUp.tensionN(replacements.get(position)));
                least = Math.min(least, trebleN(setUp, nowN) / fullN);
            }
            best = Math.max(best, least);
        }
        ChangePlan plan = ChangePlanner.plan(request);
        assertThat(plan.leastTreble()).isCloseTo(best, within(1e-9));
        ChangePlan first = ChangePlanner.compare(request).values().iterator().next();
        assertThat(first.leastTreble())
                .as("and none of the schools holds it better")
                .isGreaterThanOrEqualTo(best - 1e-9);
    }

    private static StringSpec heavier(StringSpec string, double factor) {
        return new StringSpec(
                string.position(),
                string.core(),
                string.winding(),
                string.end(),
                string.nominalPitch(),
                string.designLengthMm(),
                string.tensionN() * factor,
                string.diameterMm(),
                string.axialStiffnessN(),
                string.tailSilkEndMm(),
                string.topSilkStartMm(),
                string.totalLengthMm());
    }

    /** Every distance in the pegbox against ten thousand points along each string. */
    @Property(tries = 60)
    void noPointOfAStringComesNearerThanItsClearance(
            @ForAll Family family,
            @ForAll @DoubleRange(min = 0.85, max = 1.15) double deeper,
            @ForAll @DoubleRange(min = 0.8, max = 1.1) double narrower) {
        SetUp usual = Examples.instrument(family);
        SetUp setUp = usual.measured(Map.of(
                Measurable.of(Quantity.SHAFT_DEPTH, Position.III),
                usual.value(Quantity.SHAFT_DEPTH, Position.III) * deeper,
                Measurable.of(Quantity.PEGBOX_WIDTH_AT_NUT),
                usual.value(Quantity.PEGBOX_WIDTH_AT_NUT) * narrower));
        Map<Position, StringSpec> set = Examples.set(setUp);
        StrungPegbox strung = new StrungPegbox(setUp, set, Map.of());
        Pegbox pegbox = strung.pegbox();
        for (Position position : set.keySet()) {
            WindingPlan.Line line = strung.line(position);
            double radius = set.get(position).diameterMm() / 2;
            for (Clearance clearance : strung.clearances(position)) {
                if (clearance.obstacle() == Obstacle.SHAFT) {
                    Position other = clearance.belongsTo().orElseThrow();
                    Vector3D middle = pegbox.onShaft(other, 0);
                    double nearest = Double.POSITIVE_INFINITY;
                    for (Vector3D point : along(line)) {
                        double away = Math.hypot(point.getY() - middle.getY(), point.getZ() - middle.getZ());
                        nearest = Math.min(nearest, away - pegbox.shaftDiameterMm() / 2 - radius);
                    }
                    assertThat(clearance.mm())
                            .as(position + " past the shaft of " + other)
                            .isCloseTo(nearest, within(0.01));
                } else if (clearance.obstacle() == Obstacle.STRING) {
                    Position other = clearance.belongsTo().orElseThrow();
                    double nearest = Double.POSITIVE_INFINITY;
                    for (Vector3D point : along(line)) {
                        nearest = Math.min(nearest, distance(point, strung.line(other)));
                    }
                    assertThat(clearance.mm())
                            .as(position + " past " + other)
                            .isLessThanOrEqualTo(
                                    nearest - radius - set.get(other).diameterMm() / 2 + 0.01);
                }
            }
        }
    }

    private static List<Vector3D> along(WindingPlan.Line line) {
        List<Vector3D> points = new ArrayList<>();
        for (int i = 0; i <= 4000; i++) {
            points.add(line.from().add(i / 4000.0, line.to().subtract(line.from())));
        }
        return points;
    }

    private static double distance(Vector3D point, WindingPlan.Line line) {
        Vector3D way = line.to().subtract(line.from());
        double share = point.subtract(line.from()).dotProduct(way) / way.getNormSq();
        return point.distance(line.from().add(Math.max(0, Math.min(1, share)), way));
    }

    /** However a string is wound, all of its turns are there, side by side, and none is in the wall unless it says so. */
    @Property(tries = 200)
    void everyTurnLiesSomewhereAndTheLastOneWhereItSays(
            @ForAll Family family,
            @ForAll("chosen") Set<Position> some,
            @ForAll Wall wall,
            @ForAll HoleSide side,
            @ForAll @DoubleRange(min = 0.8, max = 1.25) double shaftFactor) {
        SetUp usual = Examples.instrument(family);
        SetUp setUp = usual.measured(
                Map.of(Measurable.of(Quantity.SHAFT_DIAMETER), usual.value(Quantity.SHAFT_DIAMETER) * shaftFactor));
        Position position = some.iterator().next();
        StringSpec string = Examples.string(usual, position);
        for (Lock lock : Lock.of(family)) {
            WindingPlan plan = WindingPlan.of(setUp, string, new WindingChoice(lock, wall, Way.OVER_THE_TOP, side));
            Pegbox pegbox = new Pegbox(setUp);
            assertThat(plan.farSideTurns() + plan.knobSideTurns())
                    .isCloseTo(Math.max(0, plan.turns().count()), within(1e-9));
            assertThat(plan.farSideTurns()).isGreaterThanOrEqualTo(0);
            assertThat(plan.toXMm() - plan.fromXMm())
                    .as("turns lie side by side")
                    .isCloseTo((plan.farSideTurns() + plan.knobSideTurns() + 1) * string.diameterMm(), within(1e-6));
            assertThat(plan.leavesXMm()).isBetween(plan.fromXMm(), plan.toXMm());
            assertThat(Math.tan(Math.toRadians(plan.sideAngleDeg())) * pegbox.fromNutMm(position))
                    .as("the bend at the nut is what the offset makes it")
                    .isCloseTo(plan.leavesXMm() - setUp.xAtNutMm(position), within(1e-6));
            double wallX = pegbox.knobSide(position) * pegbox.halfWidthMm(pegbox.fromNutMm(position));
            boolean intoTheWall =
                    pegbox.knobSide(position) > 0 ? plan.toXMm() > wallX + 1e-6 : plan.fromXMm() < wallX - 1e-6;
            assertThat(intoTheWall).as("beyond the wall").isEqualTo(plan.wallGapMm() < -1e-6);
            double shaftTurns = plan.shaftDegrees() / 360;
            assertThat(plan.knobTurns())
                    .isCloseTo(
                            setUp.pegKind().holdsByFriction()
                                    ? shaftTurns
                                    : shaftTurns * setUp.value(Quantity.GEAR_RATIO),
                            within(1e-9));
        }
    }

    @Provide
    Arbitrary<Set<Position>> chosen() {
        return Arbitraries.of(Position.I, Position.II, Position.III, Position.IV)
                .set()
                .ofMinSize(1)
                .ofMaxSize(4)
                .map(EnumSet::copyOf);
    }
}
