package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.estimate.KaplanMeier.Watched;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.web.drawing.FitDrawing;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.drawing.LifeDrawing;
import rosinedpeg.web.drawing.LoadTrack;
import rosinedpeg.web.drawing.Mark;
import rosinedpeg.web.drawing.MeasureDrawing;
import rosinedpeg.web.drawing.SchoolsChart;
import rosinedpeg.web.drawing.SettlingChart;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.drawing.StringState;
import rosinedpeg.web.drawing.View;

/** Drawings are to scale: their coordinates are read back and compared with the set-up. */
class DrawingsTest {

    private static final Pattern POINT = Pattern.compile("[ML](-?[\\d.]+) (-?[\\d.]+)");

    private static List<double[]> points(String path) {
        List<double[]> points = new ArrayList<>();
        Matcher matcher = POINT.matcher(path);
        while (matcher.find()) {
            points.add(new double[] {Double.parseDouble(matcher.group(1)), Double.parseDouble(matcher.group(2))});
        }
        return points;
    }

    private static InstrumentDrawing draw(SetUp setUp, Place place, Position position) {
        return InstrumentDrawing.of(setUp, Map.of(), Map.of(), place, position);
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void anInstrumentStandsInMillimetres(Family family) {
        SetUp setUp = SetUp.unmeasured(Size.of(family).get(0));
        InstrumentDrawing drawing = draw(setUp, Place.WHOLE, null);
        for (Position position : setUp.positions()) {
            List<double[]> string =
                    points(drawing.strings().get(position.ordinal()).path());
            assertThat(string.get(0)[1])
                    .as("peg " + position)
                    .isCloseTo(-setUp.value(Quantity.NUT_TO_PEG, position), within(0.01));
            assertThat(string.get(1)[0]).as("nut " + position).isCloseTo(setUp.xAtNutMm(position), within(0.01));
            assertThat(string.get(2)[0]).as("bridge " + position).isCloseTo(setUp.xAtBridgeMm(position), within(0.01));
            assertThat(string.get(2)[1] - string.get(1)[1])
                    .isCloseTo(setUp.value(Quantity.VIBRATING_LENGTH), within(0.01));
            assertThat(string.get(3)[1] - string.get(2)[1]).isCloseTo(setUp.value(Quantity.AFTERLENGTH), within(0.01));
        }
        assertThat(drawing.ring()).isNull();
    }

    @Test
    void aLeftHandedSetUpIsMirrored() {
        SetUp right = SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4"));
        SetUp left =
                new SetUp(right.size(), true, ReferenceA.STANDARD, right.openStrings(), Map.of(), right.tailEnds());
        for (Place place : List.of(Place.PEG, Place.BRIDGE, Place.TAIL)) {
            InstrumentDrawing.Ring there = draw(right, place, Position.II).ring();
            InstrumentDrawing.Ring mirrored = draw(left, place, Position.II).ring();
            assertThat(mirrored.x()).isCloseTo(-there.x(), within(1e-9));
            assertThat(mirrored.y()).isEqualTo(there.y());
        }
    }

    @Test
    void aStringThatIsSetAsideLeavesItsGroove() {
        SetUp setUp = SetUp.unmeasured(Size.of(Family.VIOLA, "16"));
        InstrumentDrawing drawing = InstrumentDrawing.of(
                setUp, Map.of(), Map.of(Position.III, StringState.SET_ASIDE), Place.NUT, Position.III);
        assertThat(points(drawing.strings().get(2).path()).get(1)[0])
                .isNotCloseTo(setUp.xAtNutMm(Position.III), within(0.1));
        assertThat(drawing.strings().get(2).state()).isEqualTo("set-aside");
    }

    @Test
    void strandsShowThicknessAtOneScaleAndFrayWithWear() {
        SetUp violin = SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4"));
        SetUp bass = SetUp.unmeasured(Size.of(Family.BASS, "3/4"));
        Strands thin = Strands.of(violin, Map.of(Position.I, new Strands.Strand(0.26, 0.1, 7, "on")));
        Strands thick = Strands.of(bass, Map.of(Position.I, new Strands.Strand(1.25, 1.0, 7, "on")));
        assertThat(thick.strings().get(0).width() / thin.strings().get(0).width())
                .isCloseTo(1.25 / 0.26, within(1e-9));
        assertThat(thin.fraying()).isEmpty();
        assertThat(thick.fraying()).isNotEmpty();
        assertThat(Strands.of(bass, Map.of(Position.I, new Strands.Strand(1.25, 1.0, 7, "on"))))
                .as("the same string always frays alike")
                .isEqualTo(thick);
    }

    /** Everything that can be measured has a drawing of its own family's instrument, with the distance marked in view. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void everythingThatCanBeMeasuredIsShown(Family family) {
        SetUp setUp = SetUp.unmeasured(Size.of(family).get(0));
        setUp.figures().keySet().forEach(measurable -> {
            View view = MeasureDrawing.of(setUp, measurable);
            List<double[]> marked = view.marks().stream()
                    .filter(mark -> mark.state().equals("distance"))
                    .flatMap(mark -> points(((Mark.Path) mark).path()).stream())
                    .toList();
            boolean weighedOrCounted =
                    measurable.quantity().unit() == Unit.GRAM || measurable.quantity() == Quantity.GEAR_RATIO;
            assertThat(marked.isEmpty()).as(measurable.code()).isEqualTo(weighedOrCounted);
            assertThat(marked).as(measurable.code()).allSatisfy(point -> {
                assertThat(point[0]).isBetween(view.x(), view.x() + view.width());
                assertThat(point[1]).isBetween(view.y(), view.y() + view.height());
            });
        });
    }

    @Test
    void aMeasuredDistanceIsDrawnAsLongAsItIs() {
        SetUp setUp = SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4"))
                .measured(Map.of(
                        Measurable.of(Quantity.PEGBOX_DEPTH), 19.5,
                        Measurable.of(Quantity.FOOT_SPAN), 29.0,
                        Measurable.of(Quantity.STRING_HEIGHT, Position.II), 31.4,
                        Measurable.of(Quantity.COLLAR_TO_WALL, Position.I), 12.0,
                        Measurable.of(Quantity.NUT_TO_PEG, Position.III), 51.0,
                        Measurable.of(Quantity.LEVER_TO_TOP, Position.I), 4.4));
        setUp.figures().forEach((measurable, figure) -> {
            if (figure.origin() == Origin.MEASURED && measurable.quantity() != Quantity.COLLAR_TO_WALL) {
                Mark.Path distance = (Mark.Path) MeasureDrawing.of(setUp, measurable).marks().stream()
                        .filter(mark -> mark.state().equals("distance"))
                        .findFirst()
                        .orElseThrow();
                double[] from = points(distance.path()).get(2);
                double[] to = points(distance.path()).get(3);
                assertThat(Math.hypot(to[0] - from[0], to[1] - from[1]))
                        .as(measurable.code())
                        .isCloseTo(figure.value(), within(0.02));
            }
        });
    }

    /** However many steps a plan has, and however narrow it is drawn. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void numbersOfStepsDoNotRunIntoEachOther(Family family) {
        SetUp setUp = SetUp.unmeasured(Size.of(family).get(0));
        Map<Position, StringSpec> set = setUp.positions().stream()
                .collect(Collectors.toMap(Function.identity(), position -> UsualString.of(setUp, position)));
        ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(setUp, set, set));
        List<LoadTrack.StepNumber> numbers = LoadTrack.of(plan, 0, 370, 140).numbers();
        assertThat(numbers).hasSizeGreaterThan(5);
        for (int number = 1; number < numbers.size(); number++) {
            assertThat(numbers.get(number).x() - numbers.get(number - 1).x())
                    .as(numbers.get(number).step() + " of " + plan.steps().size())
                    .isGreaterThan(20);
        }
    }

    @Test
    void schoolsAreComparedOnOneScale() {
        View chart = SchoolsChart.of(
                List.of(new SchoolsChart.Row("II I", 0.71, false, ""), new SchoolsChart.Row("I II", 0.38, true, "")),
                0.5,
                0.15,
                WordsTest.SAY);
        double start = points(path(chart, "bar")).get(0)[0];
        double best = points(path(chart, "bar")).get(1)[0] - start;
        double mine = points(path(chart, "bar mine")).get(1)[0] - start;
        double refused = points(path(chart, "guide")).get(0)[0] - start;
        assertThat(mine / best).isCloseTo(0.38 / 0.71, within(1e-3));
        assertThat(refused / best).isCloseTo(0.15 / 0.71, within(1e-3));
    }

    @Test
    void aStringIsLaidAlongTheInstrument() {
        SetUp setUp = SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4"));
        StringSpec string = new StringSpec(
                Position.II,
                StringCore.SYNTHETIC,
                Winding.SILVER,
                StringEnd.BALL,
                setUp.openString(Position.II),
                328,
                54,
                0.68,
                1400,
                46,
                384,
                545,
                Set.of());
        FitDrawing drawing = FitDrawing.of(setUp, string);
        double[] tail = points(path(drawing.tail(), "silk")).get(1);
        assertThat(tail[0]).as("tail silk").isEqualTo(46);
        List<double[]> silk = points(path(drawing.peg(), "silk"));
        assertThat(silk.get(0)[0]).as("top silk").isEqualTo(384);
        assertThat(silk.get(1)[0]).as("tip").isEqualTo(545);
        double nutMm = setUp.value(Quantity.AFTERLENGTH) + 328;
        assertThat(points(path(drawing.peg(), "bone")).get(0)[0]).isCloseTo(nutMm, within(0.01));
    }

    /** Every string ends where its hours do, two kinds on one scale, the first to end nearest to the hours. */
    @Test
    void tenStringsAreAsLongAsTheyLast() {
        List<Interval> ends = IntStream.rangeClosed(1, 10)
                .mapToObj(end -> new Interval(end * 20 - 15, end * 20, end * 20 + 40))
                .toList();
        List<Interval> longer = ends.stream()
                .map(end -> new Interval(end.low() * 2, end.best() * 2, end.high() * 2))
                .toList();
        View view = LifeDrawing.ten(
                new LifeDrawing.Kind(ends, List.of(new Watched(120, true), new Watched(60, false))),
                new LifeDrawing.Kind(longer, List.of()));
        List<double[]> ticks = points(all(view, "tick"));
        double perHour = (ticks.get(2)[0] - ticks.get(0)[0]) / 100;
        double zero = ticks.get(0)[0];
        for (String which : List.of("", " other")) {
            List<double[]> strands = points(all(view, "lasting" + which));
            List<double[]> bands = points(all(view, "band" + which));
            for (int end = 0; end < 10; end++) {
                Interval of = (which.isEmpty() ? ends : longer).get(end);
                assertThat((strands.get(2 * end + 1)[0] - zero) / perHour).isCloseTo(of.best(), within(0.1));
                assertThat((bands.get(2 * end)[0] - zero) / perHour).isCloseTo(of.low(), within(0.1));
                assertThat((bands.get(2 * end + 1)[0] - zero) / perHour).isCloseTo(of.high(), within(0.1));
            }
            assertThat(strands.get(0)[1]).as("the first to end lies lowest").isGreaterThan(strands.get(18)[1]);
        }
        assertThat((points(path(view, "over")).get(0)[0] - zero) / perHour).isCloseTo(120, within(0.1));
        assertThat(view.marks().stream().filter(mark -> mark.state().equals("still-good")))
                .singleElement()
                .satisfies(ring ->
                        assertThat((((Mark.Circle) ring).x() - zero) / perHour).isCloseTo(60, within(0.1)));
    }

    private static String all(View view, String state) {
        return view.marks().stream()
                .filter(mark -> mark.state().equals(state))
                .map(mark -> ((Mark.Path) mark).path())
                .collect(Collectors.joining());
    }

    private static String path(View view, String state) {
        return view.marks().stream()
                .filter(mark -> mark.state().equals(state))
                .map(mark -> ((Mark.Path) mark).path())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theSettlingChartPutsReadingsOnItsScales() {
        SettlingForecast forecast = new SettlingForecast(280, 20);
        double hour = 10;
        SettlingChart chart =
                SettlingChart.of(forecast, 12, List.of(new double[] {hour, forecast.lostCents(hour)}), 760, 330);
        double perHour = chart.hours().get(1).at() - chart.hours().get(0).at();
        double hours = chart.hours().get(1).value();
        assertThat(chart.readings().get(0).x()).isCloseTo(chart.left() + hour * perHour / hours, within(0.01));
        assertThat(chart.concertX())
                .isCloseTo(chart.left() + forecast.steadyAtHours(Steadiness.CONCERT) * perHour / hours, within(0.01));
        double perCent = (chart.cents().get(1).at() - chart.cents().get(0).at())
                / chart.cents().get(1).value();
        assertThat(chart.readings().get(0).y())
                .isCloseTo(chart.top() + forecast.lostCents(hour) * perCent, within(0.01));
    }
}
