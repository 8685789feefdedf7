package rosinedpeg.web.plan;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Way;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.kinds.StringKind;

/**
 * What can be chosen for a change.
 *
 * @param setUp the instrument's
 * @param offered the kinds of string that can go on at each position
 * @param neighbours the strings beside each, which can lie over its peg
 */
record PlanChoices(SetUp setUp, Map<Position, List<StringKind>> offered, Map<Position, List<Position>> neighbours) {

    static PlanChoices of(SetUp setUp, List<StringKind> ofFamily) {
        Map<Position, List<StringKind>> offered = new LinkedHashMap<>();
        Map<Position, List<Position>> neighbours = new EnumMap<>(Position.class);
        for (Position position : setUp.positions()) {
            offered.put(
                    position,
                    ofFamily.stream()
                            .filter(kind -> kind.spec().position() == position)
                            .toList());
            neighbours.put(
                    position,
                    setUp.positions().stream().filter(position::isNeighbourOf).toList());
        }
        return new PlanChoices(setUp, offered, neighbours);
    }

    public boolean bass() {
        return setUp.family() == Family.BASS;
    }

    public boolean friction() {
        return setUp.pegKind().holdsByFriction();
    }

    public Reason[] reasons() {
        return Reason.values();
    }

    public PegCondition[] pegConditions() {
        return PegCondition.values();
    }

    public Schools.Off[] offs() {
        return Schools.Off.values();
    }

    public Schools.Begin[] begins() {
        return Schools.Begin.values();
    }

    public Schools.FirstEnd[] firstEnds() {
        return Schools.FirstEnd.values();
    }

    public List<Lock> locks() {
        return Lock.of(setUp.family());
    }

    public Schools.AtWall[] walls() {
        return Schools.AtWall.values();
    }

    public Schools.Treatment[] treatments() {
        return Schools.Treatment.values();
    }

    public Way[] lowestWays() {
        return Way.values();
    }

    public Schools.SpareTip[] spareTips() {
        return Schools.SpareTip.values();
    }

    public Schools.Felts[] feltChoices() {
        return Schools.Felts.values();
    }

    public Schools.Stance[] stances() {
        return Schools.Stance.values();
    }

    public Schools.Evening[] evenings() {
        return Schools.Evening.values();
    }

    public Schools.OldStrings[] oldStringChoices() {
        return Schools.OldStrings.values();
    }
}
