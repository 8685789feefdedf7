package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.BridgeCurve.StringPoint;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.PictureLine;
import rosinedpeg.core.bridge.StuckShare;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.clearance.Obstacle;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.grooves.Groove;
import rosinedpeg.core.hearing.Octave;
import rosinedpeg.core.hearing.Ringing;
import rosinedpeg.core.load.FeetLoad;
import rosinedpeg.core.load.StringLoad;
import rosinedpeg.core.pace.FinishedWork;
import rosinedpeg.core.pace.LearnedPace;
import rosinedpeg.core.pace.Work;
import rosinedpeg.core.pegs.CollarTrend;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.sound.Said;
import rosinedpeg.core.sound.SoundPlaces;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Tension;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.tailpiece.Afterlength;
import rosinedpeg.core.tailpiece.FineTuner;
import rosinedpeg.core.tailpiece.TailpieceMass;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.usual.Pull;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Turns;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/** The worked examples of docs/arithmetic.md are what the core computes. */
class ArithmeticDocumentTest {

    private static final Pattern EXAMPLE = Pattern.compile("    (\\w+)\\((.*)\\) = (-?[\\d.]+)");

    private static final Map<String, ToDoubleFunction<double[]>> FORMULAS = Map.ofEntries(
            Map.entry("afterOneRun", a -> afterOneRun(a, "one")),
            Map.entry("afterOneRunOfAnother", a -> afterOneRun(a, "another")),
            Map.entry("frequencyHz", a -> new Pitch((int) a[0]).frequencyHz(new ReferenceA(a[1]))),
            Map.entry(
                    "centsOfTensionFraction", a -> Cents.ofTensionFraction(a[0]).value()),
            Map.entry("hoursLeft", a -> new Wear(a[0], a[1], a[2], new Life(a[3], a[4])).hoursLeft(a[5], a[6])),
            Map.entry("sharpPartial", a -> new Ringing(a[0], 0, 8).sharpCents((int) a[1])),
            Map.entry("octaveDoubt", a -> octave((int) a[0]).doubtCents()),
            Map.entry("heardHere", a -> heard((int) a[0], (int) a[1], "here")),
            Map.entry("heardElsewhere", a -> heard((int) a[0], (int) a[1], "elsewhere")),
            Map.entry("tensionN", a -> Tension.tensionN(a[0], a[1], a[2])),
            Map.entry("stretchMm", a -> new Elasticity(a[0], a[1], a[2]).stretchMm()),
            Map.entry("centsForMm", a -> new Elasticity(a[0], a[1], a[2]).centsForMm(a[3])),
            Map.entry("centsPerPegDegree", a -> new Elasticity(a[0], a[1], a[2]).centsPerPegDegree(a[3], a[4])),
            Map.entry(
                    "turns",
                    a -> Turns.of(a[0], a[1], a[2], a[3], a[4], a[5], a[6]).count()),
            Map.entry("farSideTurns", a -> new Turns(a[0]).farSide(a[1], a[2])),
            Map.entry("twiceThroughTipMm", a -> Lock.TWICE_THROUGH_HOLE.tipMm(Family.BASS, a[0], a[1])),
            Map.entry(
                    "violinGutTensionN",
                    a -> usual("4/4", Position.II, StringCore.GUT, a[0]).tensionN()),
            Map.entry(
                    "halfSizeTensionN",
                    a -> usual("1/2", Position.II, StringCore.SYNTHETIC, a[0]).tensionN()),
            Map.entry(
                    "bareSteelTensionN",
                    a -> bareSteel(new Pull.OfGauge(Pull.Gauge.MEDIUM), a[0])
                            .string()
                            .tensionN()),
            Map.entry(
                    "weighedTensionN",
                    a -> lowest(new Pull.Weighed(a[0], a[1], 0.1)).tensionN()),
            Map.entry("meanDensityKgM3", a -> {
                Packet packet = bareSteel(new Pull.OfTension(a[0]), a[1]);
                return packet.doubts(packet.string()).get(0).found();
            }),
            Map.entry("fifthStringMm", a -> fifth(a[0]).diameterMm()),
            Map.entry("plainSteelBreaksAtN", a -> plainSteel(a[0]).breakingTensionN()),
            Map.entry("centsToBreaking", a -> plainSteel(a[0]).centsToBreaking(a[1])),
            Map.entry("lowestSideAngleDeg", ArithmeticDocumentTest::lowestSideAngleDeg),
            Map.entry("shaftClearanceMm", ArithmeticDocumentTest::shaftClearanceMm),
            Map.entry("floorClearanceMm", ArithmeticDocumentTest::floorClearanceMm),
            Map.entry(
                    "stuckShare",
                    a -> StuckShare.learned(
                                    a[0],
                                    StuckShare.add(
                                            Evidence.NONE, List.of(new StuckShare.Observation(new Lean(a[1]), a[2]))))
                            .value()),
            Map.entry(
                    "learnedCoupling",
                    a -> Coupling.learn(List.of(new Coupling.Observation(a[0], a[1], a[2])))
                            .orElseThrow()),
            Map.entry("centsPerHalfTurn", a -> new Elasticity(a[0], a[1], a[2]).centsPerHalfTurn(a[3], a[4])),
            Map.entry("tailpieceMassG", a -> new TailpieceMass(Family.VIOLIN, a[0], (int) a[1], a[2]).totalG()),
            Map.entry("trebleFootN", a -> feet(a).trebleN()),
            Map.entry("bassFootN", a -> feet(a).bassN()),
            Map.entry("massPerLengthKgM", a -> Tension.massPerLengthKgM(a[0], a[1], a[2])),
            Map.entry("depthShare", a -> new Groove(a[0], a[1], a[1]).depthShare()),
            Map.entry("tunerCentsPerTurn", a -> tuner(a).centsPerTurn(new Elasticity(a[0], a[1], a[2]))),
            Map.entry("tunerCentsUp", a -> tuner(a).centsUp(new Elasticity(a[0], a[1], a[2]))),
            Map.entry("tunerCentsDown", a -> tuner(a).centsDown(new Elasticity(a[0], a[1], a[2]))),
            Map.entry("collarMmPerYear", a -> collar(a).mmPerYear().orElseThrow()),
            Map.entry("holeOpensMmPerYear", a -> collar(a).holeOpensMmPerYear().orElseThrow()),
            Map.entry(
                    "pictureLeanDeg",
                    a -> Lean.fromPicture(
                                    new PictureLine(a[0], a[1], a[2], a[3]),
                                    new PictureLine(a[4], a[5], a[6], a[7]),
                                    true)
                            .degrees()),
            Map.entry("leanDeg", a -> Lean.fromGap(a[0], a[1]).degrees()),
            Map.entry(
                    "thrustMargin",
                    a -> Thrust.of(a[0], a[1], a[2], new Lean(a[3]), a[4], a[5]).margin()),
            Map.entry(
                    "dragLeanDeg",
                    a -> Drag.lean(a[0], a[1], a[2], a[3], a[4], a[5]).degrees()),
            Map.entry("radiusMm", a -> curve(a).radiusMm().get(0)),
            Map.entry("proudMm", a -> curve(a).proudMm().get(0)),
            Map.entry("bowingAngleDeg", a -> curve(a).bowingAngleDeg().get(0)),
            Map.entry(
                    "afterlengthCents",
                    a -> new Afterlength(a[0], a[1]).interval().value()),
            Map.entry("cordChangeMm", a -> new Afterlength(a[0], a[1]).cordChangeMm()),
            Map.entry("couplingChangeN", a -> new Coupling(a[0]).changeN(a[1], a[2])),
            Map.entry("lostCents", a -> new SettlingForecast(a[0], a[1]).lostCents(a[2])),
            Map.entry("steadyAtHours", a -> new SettlingForecast(a[0], a[1]).steadyAtHours(a[2], a[3])),
            Map.entry("afterHangingTurns", a -> WindingPlan.afterHangingTurns(a[0], a[1], a[2], a[3], a[4])),
            Map.entry("atPitchMm", a -> FitCheck.atPitchMm(a[0], a[1], a[2])),
            Map.entry("worn", a -> new Wear(a[0], a[1], a[2], new Life(a[3], a[4])).worn()),
            Map.entry("monthsLeft", a -> new Wear(a[0], a[1], a[2], new Life(a[3], a[4])).monthsLeft(a[5], a[6])));

    private static FineTuner tuner(double[] a) {
        return new FineTuner(a[3], a[4], a[5], a[6], 6);
    }

    /** Two collar distances a year apart. */
    private static CollarTrend collar(double[] a) {
        LocalDate first = LocalDate.of(2025, 1, 1);
        return new CollarTrend(
                List.of(new CollarTrend.Collar(first, a[0]), new CollarTrend.Collar(first.plusDays(365), a[1])),
                Optional.empty());
    }

    @ParameterizedTest
    @MethodSource("examples")
    void holds(String example) {
        Matcher matcher = EXAMPLE.matcher(example);
        assertThat(matcher.matches()).isTrue();
        double[] arguments = Stream.of(matcher.group(2).split(", "))
                .mapToDouble(Double::parseDouble)
                .toArray();
        String result = matcher.group(3);
        int decimals = result.length() - result.indexOf('.') - 1;
        assertThat(FORMULAS).containsKey(matcher.group(1));
        assertThat(FORMULAS.get(matcher.group(1)).applyAsDouble(arguments))
                .isCloseTo(Double.parseDouble(result), within(0.500001 * Math.pow(10, -decimals)));
    }

    static List<String> examples() throws Exception {
        List<String> examples = Files.readAllLines(Path.of("../docs/arithmetic.md")).stream()
                .filter(line -> EXAMPLE.matcher(line).matches())
                .toList();
        assertThat(examples).hasSize(FORMULAS.size());
        return examples;
    }

    private static FeetLoad feet(double[] a) {
        return FeetLoad.of(List.of(new StringLoad(a[0], a[1], a[2], a[3])), a[4]);
    }

    private static BridgeCurve curve(double[] a) {
        return new BridgeCurve(
                List.of(new StringPoint(a[0], a[1]), new StringPoint(a[2], a[3]), new StringPoint(a[4], a[5])));
    }

    /** A usual violin string, where that of a full-sized one of plastic pulls as the example says. */
    private static StringSpec usual(String size, Position position, StringCore core, double fullN) {
        assertThat(UsualString.of(Examples.VIOLIN, position).tensionN()).isEqualTo(fullN);
        return UsualString.of(SetUp.unmeasured(Size.of(Family.VIOLIN, size)), position, core);
    }

    private static Packet bareSteel(Pull pull, double diameterMm) {
        return Examples.packet(
                Examples.VIOLIN.size(),
                Position.I,
                StringCore.PLAIN_STEEL,
                Winding.NONE,
                pull,
                Optional.of(diameterMm));
    }

    private static StringSpec lowest(Pull pull) {
        return Examples.packet(
                        Examples.VIOLIN.size(),
                        Position.IV,
                        StringCore.SYNTHETIC,
                        Winding.SILVER,
                        pull,
                        Optional.empty())
                .string();
    }

    private static StringSpec fifth(double fourthMm) {
        assertThat(UsualString.of(Examples.VIOLIN, Position.IV).diameterMm()).isEqualTo(fourthMm);
        List<Pitch> open = Stream.concat(Family.VIOLIN.openStrings().stream(), Stream.of(Pitch.of("C3")))
                .toList();
        Size full = Size.of(Family.VIOLIN, "4/4");
        return UsualString.of(new SetUp(full, false, ReferenceA.STANDARD, open, Map.of(), Map.of()), Position.V);
    }

    private static StringSpec plainSteel(double axialStiffnessN) {
        return Examples.violinString(Position.I, StringCore.PLAIN_STEEL, 78, 0.26, axialStiffnessN);
    }

    private static StringSpec string(Position position, double diameterMm) {
        return Examples.violinString(position, StringCore.SYNTHETIC, 50, diameterMm, 1400);
    }

    private static double lowestSideAngleDeg(double[] a) {
        SetUp setUp = Examples.VIOLIN.measured(Map.of(
                Measurable.of(Quantity.NUT_TO_PEG, Position.IV), a[0],
                Measurable.of(Quantity.NUT_SPACING), a[1],
                Measurable.of(Quantity.PEGBOX_WIDTH_AT_NUT), a[2],
                Measurable.of(Quantity.PEGBOX_WIDTH_AT_END), a[3],
                Measurable.of(Quantity.PEGBOX_LENGTH), a[4],
                Measurable.of(Quantity.SHAFT_DIAMETER), a[5]));
        return WindingPlan.of(setUp, string(Position.IV, a[6]), WindingChoice.USUAL)
                .sideAngleDeg();
    }

    private static double shaftClearanceMm(double[] a) {
        SetUp setUp = Examples.VIOLIN.measured(Map.of(
                Measurable.of(Quantity.NUT_TO_PEG, Position.II), a[0],
                Measurable.of(Quantity.SHAFT_DEPTH, Position.II), a[1],
                Measurable.of(Quantity.NUT_TO_PEG, Position.III), a[2],
                Measurable.of(Quantity.SHAFT_DEPTH, Position.III), a[3],
                Measurable.of(Quantity.SHAFT_DIAMETER), a[4]));
        return clearance(setUp, a[5], Obstacle.SHAFT);
    }

    private static double floorClearanceMm(double[] a) {
        SetUp setUp = Examples.VIOLIN.measured(Map.of(
                Measurable.of(Quantity.PEGBOX_DEPTH), a[0],
                Measurable.of(Quantity.SHAFT_DEPTH, Position.II), a[1],
                Measurable.of(Quantity.SHAFT_DIAMETER), a[2]));
        return clearance(setUp, a[3], Obstacle.FLOOR);
    }

    private static double clearance(SetUp setUp, double diameterMm, Obstacle obstacle) {
        Map<Position, StringSpec> two = Map.of(
                Position.II, string(Position.II, diameterMm),
                Position.III, string(Position.III, 0.8));
        return new StrungPegbox(setUp, two, Map.of())
                .clearances(Position.II).stream()
                        .filter(clearance -> clearance.obstacle() == obstacle)
                        .findFirst()
                        .orElseThrow()
                        .mm();
    }

    private static double heard(int one, int other, String where) {
        return SoundPlaces.of(List.of(new Said<>("one", where, one), new Said<>("other", where, other)), "here")
                .difference("one", "other")
                .best();
    }

    /** {@return the minutes of the next run after one of so many usual minutes that took so many} */
    /** An octave that is the same however often it is plucked. */
    private static Octave octave(int times) {
        return Octave.of(Collections.nCopies(times, 0.0), Collections.nCopies(times, 3.0));
    }

    private static double afterOneRun(double[] usualAndTaken, String person) {
        Work by = new Work(Family.VIOLIN, Schools.usual(Family.VIOLIN), "one");
        return LearnedPace.of(List.of(new FinishedWork(by, usualAndTaken[0], usualAndTaken[1])))
                .minutes(new Work(by.family(), by.schools(), person), usualAndTaken[0])
                .best();
    }
}
