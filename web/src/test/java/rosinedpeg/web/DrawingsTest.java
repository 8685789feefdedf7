package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.plan.Place;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.drawing.SettlingChart;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.drawing.StringState;

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
        assertThat(thick.fraying()).hasSize(1);
        assertThat(Strands.of(bass, Map.of(Position.I, new Strands.Strand(1.25, 1.0, 7, "on"))))
                .as("the same string always frays alike")
                .isEqualTo(thick);
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
