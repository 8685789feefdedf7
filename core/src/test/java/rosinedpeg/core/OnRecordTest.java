package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.grooves.Guard;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.MishapPlanner;
import rosinedpeg.core.plan.Particulars;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/**
 * Every step of every kind of work, choice and cure, every way a string lies in its pegbox, and what is said of strings that do
 * not fit, written down to be read: {@code src/test/resources/on-record/}. A rule that changes shows there as lines that change.
 * What the test wrote is in {@code target/on-record/}, to be copied over once each line of the difference was meant.
 */
class OnRecordTest {

    private static final WindingChoice ON_OTHER_SIDE = WindingChoice.USUAL.onOtherSide();
    private static final WindingChoice STRAIGHT =
            new WindingChoice(Lock.STRAIGHT_TO_WALL, Wall.WOUND_TO_WALL, Way.OVER_THE_TOP, HoleSide.KNOB_SIDE);
    private static final WindingChoice UNDER =
            new WindingChoice(Lock.FAR_SIDE_THEN_CROSS, Wall.SMALL_GAP, Way.UNDER, HoleSide.KNOB_SIDE);

    private final List<String> lines = new ArrayList<>();

    @ParameterizedTest
    @EnumSource(Family.class)
    void stepsAreThoseOnRecord(Family family) throws IOException {
        SetUp setUp = Examples.instrument(family);
        Map<Position, StringSpec> set = Examples.set(setUp);
        ChangeRequest all = ChangeRequest.usual(setUp, set, set).asService(true);
        ChangePlan usual = ChangePlanner.plan(all);
        title("the whole set, with service");
        steps(usual.steps());
        if (family == Family.VIOLIN || family == Family.BASS) {
            choices(all, usual);
            conditions(all, usual);
            mishaps(ChangePlanner.plan(ChangeRequest.usual(setUp, set, Map.of(Position.III, set.get(Position.III)))));
        }
        repairs(new RepairPlanner(setUp, set, Schools.usual(family), Particulars.USUAL), set, all);
        assertOnRecord(family.name().toLowerCase(Locale.ROOT));
    }

    @Test
    void pegboxesAreThoseOnRecord() throws IOException {
        for (Family family : Family.values()) {
            SetUp usual = Examples.instrument(family);
            pegboxes(family + ", usual", usual, WindingChoice.USUAL, ON_OTHER_SIDE, STRAIGHT, UNDER);
            pegboxes(
                    family + ", narrow",
                    measured(usual, 0.8, Quantity.PEGBOX_WIDTH_AT_NUT, Quantity.PEGBOX_WIDTH_AT_END),
                    WindingChoice.USUAL);
            pegboxes(family + ", shallow", measured(usual, 0.72, Quantity.PEGBOX_DEPTH), STRAIGHT);
        }
        assertOnRecord("pegboxes");
    }

    @Test
    void fitsAreThoseOnRecord() throws IOException {
        for (Family family : Family.values()) {
            SetUp usual = Examples.instrument(family);
            Map<Position, StringSpec> set = Examples.set(usual);
            for (double length : new double[] {0.85, 0.97, 1, 1.05, 1.12}) {
                title("%s, strings %s of their length".formatted(family, length));
                set.forEach((position, string) ->
                        fits(FitCheck.of(usual, set), position, longer(string, length, string.diameterMm())));
            }
            title(family + ", grooves and slots measured narrow, strings thick");
            SetUp narrow = set.values().stream()
                    .reduce(
                            usual,
                            (setUp, string) -> setUp.measured(Map.of(
                                    Measurable.of(Quantity.BRIDGE_GROOVE_WIDTH, string.position()),
                                    string.diameterMm(),
                                    Measurable.of(Quantity.TAIL_SLOT_WIDTH, string.position()),
                                    1.1 * string.diameterMm())),
                            (one, other) -> other);
            for (double thick : new double[] {1, 1.05, 1.2}) {
                set.forEach((position, string) ->
                        fits(FitCheck.of(narrow, set), position, longer(string, 1, thick * string.diameterMm())));
            }
            lines.add("together " + FitCheck.of(usual, set).judgeTogether(heavier(set, 1.2)));
        }
        assertOnRecord("fits");
    }

    private void assertOnRecord(String name) throws IOException {
        Path written = Path.of("target", "on-record", name + ".txt");
        Files.createDirectories(written.getParent());
        Files.write(written, lines);
        assertThat(lines)
                .as("core/%s", written)
                .isEqualTo(Files.readAllLines(Path.of("src/test/resources/on-record", name + ".txt")));
    }

    // --- what is written ------------------------------------------------------------------------------------------

    private void choices(ChangeRequest all, ChangePlan usual) {
        Schools schools = all.schools();
        Schools.AtPeg atPeg = schools.atPeg();
        for (Schools.Off off : Schools.Off.values()) {
            for (Schools.Begin begin : Schools.Begin.values()) {
                ChangePlan plan = ChangePlanner.plan(all.by(schools.with(off, begin)));
                lines.add("%s, %s: %s, least %s".formatted(off, begin, plan.order(), percent(plan.leastTreble())));
            }
        }
        boolean bass = all.setUp().family() == Family.BASS;
        Stream.of(
                        Stream.of(schools.with(
                                Schools.Off.TOGETHER, schools.order().begin())),
                        Stream.of(schools.with(Schools.FirstEnd.TAIL_FIRST, atPeg.lock(), atPeg.wall())),
                        Stream.of(Lock.values())
                                .filter(lock -> bass || !lock.forBassOnly())
                                .map(lock -> schools.with(atPeg.firstEnd(), lock, atPeg.wall())),
                        Stream.of(schools.with(atPeg.firstEnd(), atPeg.lock(), Schools.AtWall.WOUND_TO_WALL)),
                        Stream.of(Schools.Treatment.values()).map(schools::with),
                        Stream.of(schools.with(Way.UNDER, Schools.SpareTip.WRAPPED, Schools.Felts.LEFT_OFF)),
                        Stream.of(schools.with(
                                Schools.Stance.HAIR_BACKWARDS, schools.bridge().raising())),
                        Stream.of(schools.with(Schools.Evening.LIFTED_A_HAIR)),
                        Stream.of(schools.with(Schools.OldStrings.NOT_KEPT)))
                .flatMap(some -> some)
                .forEach(other -> {
                    Set<Enum<?>> chosen = other.choices();
                    title(chosen.stream()
                            .filter(choice -> !schools.choices().contains(choice))
                            .map(Enum::name)
                            .sorted()
                            .collect(Collectors.joining(", ")));
                    difference(usual.steps(), ChangePlanner.plan(all.by(other)).steps());
                });
    }

    private void conditions(ChangeRequest all, ChangePlan usual) {
        for (PegCondition peg : PegCondition.values()) {
            title("peg of II " + peg);
            difference(
                    usual.steps(),
                    ChangePlanner.plan(all.withPegs(Map.of(Position.II, peg))).steps());
        }
        for (Guard guard : Guard.values()) {
            title("guard " + guard);
            Particulars particulars = new Particulars(Particulars.USUAL.bands(), guard, Particulars.USUAL.stuck());
            difference(usual.steps(), ChangePlanner.plan(all.on(particulars)).steps());
        }
        for (Position broken : all.setUp().positions()) {
            title(broken + " broken, only that");
            steps(ChangePlanner.plan(
                            all.asService(false).withBroken(Set.of(broken)).only(Set.of(broken)))
                    .steps());
        }
    }

    private static SetUp measured(SetUp setUp, double times, Quantity... quantities) {
        Map<Measurable, Double> measured = new LinkedHashMap<>();
        for (Quantity quantity : quantities) {
            measured.put(Measurable.of(quantity), times * setUp.value(quantity));
        }
        return setUp.measured(measured);
    }

    private void pegboxes(String title, SetUp setUp, WindingChoice... choices) {
        Map<Position, StringSpec> set = Examples.set(setUp);
        for (WindingChoice choice : choices) {
            title(title + ", " + choice.lock() + ", " + choice.wall() + ", " + choice.way() + ", " + choice.side());
            Map<Position, WindingChoice> each = new EnumMap<>(Position.class);
            set.keySet().forEach(position -> each.put(position, choice));
            StrungPegbox pegbox = new StrungPegbox(setUp, set, each);
            for (Position position : set.keySet()) {
                WindingPlan winding = pegbox.winding(position);
                lines.add("%s covered by %s, turns %s from %s to %s leaving %s, side %s°, wall %s, bend %s, %s"
                        .formatted(
                                position,
                                pegbox.coveredBy(position),
                                two(winding.turns().count()),
                                two(winding.fromXMm()),
                                two(winding.toXMm()),
                                two(winding.leavesXMm()),
                                two(winding.sideAngleDeg()),
                                two(winding.wallGapMm()),
                                two(winding.bendMm()),
                                winding.clockwise() ? "clockwise" : "anticlockwise"));
                lines.add(pegbox.clearances(position).stream()
                        .map(near -> near.obstacle() + (near.other() == null ? "" : " " + near.other()) + " "
                                + two(near.mm()) + " at " + two(near.at().getX()) + " "
                                + two(near.at().getY()) + " "
                                + two(near.at().getZ()))
                        .collect(Collectors.joining(", ", "  ", "")));
            }
            pegbox.touches()
                    .forEach(touch -> lines.add("  %s touches %s %s by %s, otherwise %s: %s"
                            .formatted(
                                    touch.clearance().string(),
                                    touch.clearance().obstacle(),
                                    touch.clearance().other(),
                                    two(touch.clearance().mm()),
                                    two(touch.otherwiseMm()),
                                    touch.cure())));
        }
    }

    private void fits(FitCheck check, Position position, StringSpec string) {
        check.judge(position, string)
                .forEach(finding -> lines.add("  %s %s %s%s %s"
                        .formatted(
                                position,
                                finding.kind(),
                                finding.severity(),
                                finding.refer() ? " for a repairer" : "",
                                finding.figures().stream()
                                        .map(figure ->
                                                two(figure.value()) + " " + figure.unit() + " " + figure.origin())
                                        .toList())));
    }

    /** A string as it would be for an instrument so many times as long, its silk and all. */
    private static StringSpec longer(StringSpec string, double times, double diameterMm) {
        return new StringSpec(
                string.position(),
                string.core(),
                string.winding(),
                string.end(),
                string.nominalPitch(),
                times * string.designLengthMm(),
                string.tensionN(),
                diameterMm,
                string.axialStiffnessN(),
                times * string.tailSilkEndMm(),
                times * string.topSilkStartMm(),
                times * string.totalLengthMm(),
                Set.of());
    }

    private static Map<Position, StringSpec> heavier(Map<Position, StringSpec> set, double times) {
        Map<Position, StringSpec> heavier = new EnumMap<>(Position.class);
        set.forEach((position, string) -> heavier.put(
                position,
                Examples.with(
                        string,
                        string.core(),
                        times * string.tensionN(),
                        string.diameterMm(),
                        string.tailSilkEndMm(),
                        string.topSilkStartMm(),
                        string.totalLengthMm())));
        return heavier;
    }

    private static String two(double value) {
        String written = String.format(Locale.ROOT, "%.2f", value);
        return written.equals("-0.00") ? "0.00" : written;
    }

    private void repairs(RepairPlanner repairs, Map<Position, StringSpec> set, ChangeRequest all) {
        title("bridge down");
        steps(repairs.bridgeDown().steps());
        title("another tailpiece");
        steps(repairs.tailpieceChange().steps());
        title("graphite");
        steps(repairs.graphite().steps());
        title("pegs");
        steps(repairs.pegService(Map.of(Position.II, PegCondition.SLIPS, Position.III, PegCondition.STICKS))
                .steps());
        title("one string in an emergency");
        ChangePlan emergency = RepairPlanner.emergency(all.only(Set.of(Position.I)));
        steps(emergency.steps());
        lines.add("  owed " + emergency.owed());
    }

    /** Each mishap while a string goes on, as often as it is answered anew; the first time also before, and with all at pitch. */
    private void mishaps(ChangePlan plan) {
        for (Mishap.Kind kind : Mishap.Kind.values()) {
            Mishap mishap = new Mishap(kind, Position.III, BreakPlace.NUT);
            mishap(plan, StepKind.LET_DOWN, mishap, 0);
            boolean refers = false;
            for (int times = 0; !refers; times++) {
                refers = MishapPlanner.refers(plan, mishap, times);
                mishap(plan, StepKind.BRING_UP, mishap, times);
            }
            mishap(plan, StepKind.TUNING_ROUND, new Mishap(kind, Position.I, BreakPlace.NUT), 0);
        }
    }

    private void mishap(ChangePlan plan, StepKind at, Mishap mishap, int times) {
        int reached = plan.steps().stream()
                .filter(step -> step.kind() == at)
                .findFirst()
                .orElseThrow()
                .index();
        String of = mishap.string().map(string -> " " + string).orElse("");
        title("%s%s before %s, time %d".formatted(mishap.kind(), of, at, times + 1));
        rest(plan, Examples.amended(plan, reached, mishap, times, Optional.empty()), reached);
    }

    /** What goes in, and how many steps of the plan come after it. */
    private void rest(ChangePlan plan, ChangePlan amended, int reached) {
        List<String> planned =
                written(plan.steps().subList(reached, plan.steps().size()));
        List<String> now =
                written(amended.steps().subList(reached, amended.steps().size()));
        int same = 0;
        while (same < Math.min(planned.size(), now.size())
                && planned.get(planned.size() - 1 - same).equals(now.get(now.size() - 1 - same))) {
            same++;
        }
        lines.addAll(now.subList(0, now.size() - same));
        lines.add("  then %d of %d as planned".formatted(same, planned.size()));
    }

    private void title(String title) {
        lines.add("");
        lines.add(title);
    }

    private void steps(List<Step> steps) {
        lines.addAll(written(steps));
    }

    private void difference(List<Step> usual, List<Step> other) {
        List<String> before = written(usual);
        List<String> after = written(other);
        before.stream().filter(line -> !after.contains(line)).forEach(line -> lines.add("- " + line.strip()));
        after.stream().filter(line -> !before.contains(line)).forEach(line -> lines.add("+ " + line.strip()));
        lines.add("  %d steps".formatted(other.size()));
    }

    private static List<String> written(List<Step> steps) {
        return steps.stream().map(OnRecordTest::written).toList();
    }

    private static String written(Step step) {
        StringBuilder line = new StringBuilder("  ").append(step.kind());
        if (step.position() != null) {
            line.append(' ').append(step.position());
        }
        line.append(" | ")
                .append(percent(step.sharesAfter().treble()))
                .append(' ')
                .append(percent(step.sharesAfter().bass()));
        if (!step.materials().isEmpty()) {
            line.append(" | with ").append(joined(step.materials()));
        }
        if (!step.cautions().isEmpty()) {
            line.append(" | mind ").append(joined(step.cautions()));
        }
        step.figures()
                .forEach((figure, value) ->
                        line.append(" | ").append(figure).append(String.format(Locale.ROOT, " %.2f", value.value())));
        return line.toString();
    }

    private static String joined(List<?> many) {
        return many.stream().map(Object::toString).collect(Collectors.joining(", "));
    }

    private static String percent(double share) {
        return Math.round(100 * share) + " %";
    }
}
