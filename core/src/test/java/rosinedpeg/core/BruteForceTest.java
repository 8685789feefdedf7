package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import rosinedpeg.core.clearance.Clearance;
import rosinedpeg.core.clearance.Obstacle;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.StepKind;
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

    /**
     * Whatever is broken and whatever lies over what: the order found is as good as the best of all there are. The rules are
     * written again here, and every state is improved from its neighbours until nothing changes.
     */
    @Property(tries = 120)
    void noWayFromWhatIsBrokenHoldsThePostBetter(
            @ForAll Family family,
            @ForAll boolean five,
            @ForAll("schoolsOfOne") Schools.Off off,
            @ForAll @IntRange(min = 1, max = 31) int chosenBits,
            @ForAll @IntRange(min = 1, max = 31) int brokenBits,
            @ForAll Random random) {
        SetUp setUp = Examples.instrument(family, random.nextInt(8), five);
        Map<Position, StringSpec> present = Examples.set(setUp);
        Map<Position, StringSpec> replacements = new EnumMap<>(Position.class);
        Set<Position> broken = EnumSet.noneOf(Position.class);
        Map<Position, Set<Position>> over = new EnumMap<>(Position.class);
        for (Position position : setUp.positions()) {
            if ((chosenBits >> position.ordinal() & 1) == 1) {
                replacements.put(position, heavier(present.get(position), 0.8 + 0.4 * random.nextDouble()));
                if ((brokenBits >> position.ordinal() & 1) == 1) {
                    broken.add(position);
                }
            }
            over.put(
                    position,
                    setUp.positions().stream()
                            .filter(other -> other != position && random.nextInt(4) == 0)
                            .filter(other -> !over.getOrDefault(other, Set.of()).contains(position))
                            .collect(Collectors.toSet()));
        }
        if (replacements.isEmpty()) {
            return;
        }
        ChangeRequest request = ChangeRequest.usual(setUp, present, replacements)
                .covered(over)
                .withBroken(broken)
                .by(Schools.USUAL.with(off, Schools.Begin.BEST_HELD));
        ChangePlan plan = ChangePlanner.plan(request);
        double best = Math.min(new EveryWay(request).best(), broken.isEmpty() ? 1 : Double.POSITIVE_INFINITY);
        // Where a foot lifts on every way there is nothing to compare.
        if (best >= 0) {
            Position firstOn = plan.order().get(0);
            double least = plan.steps().stream()
                    .dropWhile(step -> !broken.isEmpty()
                            && step.kind() != StepKind.SET_ASIDE_NEIGHBOUR
                            && !(step.kind() == StepKind.BRING_UP && step.position() == firstOn))
                    .mapToDouble(step -> step.sharesAfter().treble())
                    .min()
                    .orElseThrow();
            assertThat(least).as(off + ", broken " + broken).isCloseTo(best, within(1e-9));
        }
    }

    @Provide
    Arbitrary<Schools.Off> schoolsOfOne() {
        return Arbitraries.of(Schools.Off.ONE_AT_A_TIME, Schools.Off.ONE_A_DAY);
    }

    /** Strings in one of five states each, and whether the instrument has to rest before another comes off. */
    private static final class EveryWay {

        private final ChangeRequest request;
        private final SetUp setUp;
        private final List<Position> positions;
        private final Map<Position, Double> beforeN;
        private final Map<Position, Double> afterN;
        private final double fullTrebleN;
        private final double fullBassN;
        private final Map<String, Double> best = new HashMap<>();

        EveryWay(ChangeRequest request) {
            this.request = request;
            this.setUp = request.setUp();
            this.positions = setUp.positions();
            this.beforeN = setUp.tensionsN(request.present());
            this.afterN = setUp.tensionsN(request.afterwards());
            this.fullTrebleN = trebleN(setUp, beforeN);
            this.fullBassN = bassN(beforeN);
        }

        private double bassN(Map<Position, Double> tensionsN) {
            Map<Position, Double> mirrored = new EnumMap<>(Position.class);
            double press = Math.sin(Math.toRadians(setUp.value(Quantity.FRONT_ANGLE)))
                    + Math.sin(Math.toRadians(setUp.value(Quantity.BACK_ANGLE)));
            mirrored.putAll(tensionsN);
            return mirrored.entrySet().stream()
                    .mapToDouble(entry -> entry.getValue()
                            * press
                            * (0.5 - setUp.xAtBridgeMm(entry.getKey()) / setUp.value(Quantity.FOOT_SPAN)))
                    .sum();
        }

        /** b before, a aside, o off, n new, m new and aside; then r when it has to rest. */
        private double width(String state) {
            Map<Position, Double> nowN = new EnumMap<>(Position.class);
            for (int i = 0; i < positions.size(); i++) {
                double fullN = (state.charAt(i) < 'm' ? beforeN : afterN).get(positions.get(i));
                nowN.put(
                        positions.get(i),
                        switch (state.charAt(i)) {
                            case 'o' -> 0.0;
                            case 'a' -> 0.25 * beforeN.get(positions.get(i));
                            case 'm' -> 0.25 * afterN.get(positions.get(i));
                            case 'n' -> afterN.get(positions.get(i));
                            default -> fullN;
                        });
            }
            return bassN(nowN) / fullBassN <= 0.001 ? -1 : trebleN(setUp, nowN) / fullTrebleN;
        }

        double best() {
            StringBuilder from = new StringBuilder();
            StringBuilder to = new StringBuilder();
            for (Position position : positions) {
                from.append(request.broken().contains(position) ? 'o' : 'b');
                to.append(request.replacements().containsKey(position) ? 'n' : 'b');
            }
            best.put(from + "-", Double.POSITIVE_INFINITY);
            boolean changes = true;
            while (changes) {
                changes = false;
                for (String state : List.copyOf(best.keySet())) {
                    for (String next : next(state)) {
                        double width = Math.min(best.get(state), width(next));
                        if (width > best.getOrDefault(next, Double.NEGATIVE_INFINITY)) {
                            best.put(next, width);
                            changes = true;
                        }
                    }
                }
            }
            return best.get(to + "-");
        }

        private List<String> next(String state) {
            List<String> next = new ArrayList<>();
            boolean rest = state.endsWith("r");
            boolean anyOff = state.indexOf('o') >= 0;
            boolean anyAside = state.indexOf('a') >= 0 || state.indexOf('m') >= 0;
            if (rest && !anyOff && !anyAside) {
                next.add(state.substring(0, positions.size()) + "-");
            }
            for (int i = 0; i < positions.size(); i++) {
                boolean wanted = request.replacements().containsKey(positions.get(i));
                boolean free = request.over(positions.get(i)).stream()
                        .noneMatch(other -> "bn".indexOf(state.charAt(positions.indexOf(other))) >= 0);
                Position here = positions.get(i);
                // Only what lies over a string that is still to be changed makes way.
                boolean inTheWay = IntStream.range(0, positions.size())
                        .filter(other -> (rest ? "o" : "abo").indexOf(state.charAt(other)) >= 0)
                        .mapToObj(positions::get)
                        .filter(request.replacements()::containsKey)
                        .anyMatch(other -> request.over(other).contains(here));
                switch (state.charAt(i)) {
                    case 'b' -> {
                        if (inTheWay) {
                            next.add(with(state, i, 'a'));
                        }
                        if (wanted && free && !anyOff && !rest) {
                            next.add(with(state, i, 'o'));
                        }
                    }
                    case 'a' -> {
                        next.add(with(state, i, 'b'));
                        if (wanted && free && !anyOff && !rest) {
                            next.add(with(state, i, 'o'));
                        }
                    }
                    case 'n' -> {
                        if (inTheWay) {
                            next.add(with(state, i, 'm'));
                        }
                    }
                    case 'm' -> next.add(with(state, i, 'n'));
                    default -> {
                        if (free) {
                            String on = with(state, i, 'n');
                            boolean more = IntStream.range(0, positions.size())
                                    .anyMatch(other -> "ab".indexOf(on.charAt(other)) >= 0
                                            && request.replacements().containsKey(positions.get(other)));
                            boolean oneADay = request.schools().order().off() == Schools.Off.ONE_A_DAY;
                            next.add(oneADay && more ? on.substring(0, positions.size()) + "r" : on);
                        }
                    }
                }
            }
            return next;
        }

        private static String with(String state, int i, char now) {
            return state.substring(0, i) + now + state.substring(i + 1);
        }
    }

    private static StringSpec heavier(StringSpec string, double factor) {
        return Examples.with(
                string,
                string.core(),
                string.tensionN() * factor,
                string.diameterMm(),
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
