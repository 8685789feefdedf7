package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import rosinedpeg.core.bench.PitchJudgement;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.bridge.ThrustBand;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.WearSign;

/** What must hold for any instrument, and the judgements of the trade. */
class TradeRulesTest {

    @Property
    void sharesAddUpToTheWholeLoadAndTheTotalNeverRisesWhenAStringComesOff(
            @ForAll @IntRange(min = 0, max = 15) int on, @ForAll @IntRange(min = 0, max = 3) int off) {
        Map<Position, Double> all = Examples.VIOLIN.tensionsN(Examples.violinSet());
        InstrumentLoad load = new InstrumentLoad(Examples.VIOLIN, all);
        Map<Position, Double> some = new EnumMap<>(all);
        some.keySet().removeIf(position -> (on >> position.ordinal() & 1) == 0);
        Map<Position, Double> fewer = new EnumMap<>(some);
        fewer.remove(Position.ofNumber(off + 1));
        assertThat(load.feet(fewer).totalN())
                .isLessThanOrEqualTo(load.feet(some).totalN() + 1e-9);
        double bass = load.shares(some).bass() * load.fullyStrung().bassN();
        double treble = load.shares(some).treble() * load.fullyStrung().trebleN();
        assertThat(bass + treble).isCloseTo(load.feet(some).totalN(), within(1e-9));
    }

    @Property
    void thrustMarginFallsAsTheLeanLeavesItsBest(
            @ForAll boolean forwards,
            @ForAll @DoubleRange(min = 0, max = 8) double away,
            @ForAll @DoubleRange(min = 0.1, max = 3) double more) {
        // Best is where the push meets the middle of the foot: b/2 = t/2 + h·tan(lean) + h·tan((φb − φf)/2).
        double best = Math.toDegrees(Math.atan((4.5 / 2 - 1.3 / 2) / 33 - Math.tan(Math.toRadians((13.5 - 8.5) / 2))));
        double sign = forwards ? 1 : -1;
        Thrust atBest = Thrust.of(Examples.VIOLIN, new Lean(best));
        Thrust less = Thrust.of(Examples.VIOLIN, new Lean(best + sign * away));
        Thrust further = Thrust.of(Examples.VIOLIN, new Lean(best + sign * (away + more)));
        assertThat(atBest.margin()).isCloseTo(1, within(1e-9));
        assertThat(further.margin()).isLessThan(less.margin());
    }

    @Property
    void moreStickingNeverLeansTheBridgeLess(
            @ForAll @DoubleRange(min = 0, max = 0.9) double stuck,
            @ForAll @DoubleRange(min = 0, max = 0.1) double more) {
        assertThat(Drag.lean(55, 1400, 54.7, stuck + more, 0.25, 33).degrees())
                .isGreaterThanOrEqualTo(
                        Drag.lean(55, 1400, 54.7, stuck, 0.25, 33).degrees());
    }

    @Property
    void centsAndTensionSharesAreInverse(@ForAll @DoubleRange(min = -1200, max = 200) double cents) {
        assertThat(Cents.ofTensionFraction(new Cents(cents).toTensionFraction()).value())
                .isCloseTo(cents, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"0, UPRIGHT", "2, EASE_TODAY", "3.5, STOP_AND_STRAIGHTEN", "4.5, FALLING"})
    void judgesTheBridgeByItsThrust(double leanDeg, ThrustBand band) {
        assertThat(Thrust.of(Examples.VIOLIN, new Lean(leanDeg)).band()).isEqualTo(band);
    }

    @ParameterizedTest
    @CsvSource({"-300, STILL_RISING", "-20, NEARLY", "4, AT_PITCH", "12, A_LITTLE_OVER", "60, TOO_HIGH"})
    void judgesAPitchReading(double cents, PitchJudgement judgement) {
        assertThat(PitchJudgement.of(cents)).isEqualTo(judgement);
    }

    @ParameterizedTest
    @EnumSource(StringCore.class)
    void aStringHoldsForARehearsalBeforeItHoldsForAConcertAndWantsTuningMeanwhile(StringCore core) {
        SettlingForecast forecast = SettlingForecast.usual(core);
        double rehearsal = forecast.steadyAtHours(Steadiness.REHEARSAL);
        double concert = forecast.steadyAtHours(Steadiness.CONCERT);
        assertThat(rehearsal).isLessThan(concert);
        assertThat(forecast.driftCents(concert, concert + 2)).isCloseTo(3, within(1e-4));
        double wantsTuning = forecast.wantsTuningAtHours(1, 8).orElseThrow();
        assertThat(forecast.driftCents(1, wantsTuning)).isCloseTo(8, within(1e-4));
        assertThat(forecast.wantsTuningAtHours(10_000, 8)).isEmpty();
    }

    @Test
    void anInstrumentNobodyMeasuredStandsOnDefaultsAndSaysSo() {
        SetUp half = SetUp.unmeasured(Size.of(Family.VIOLIN, "1/2"));
        assertThat(half.figure(Quantity.VIBRATING_LENGTH)).isEqualTo(Figure.byDefault(285, Unit.MILLIMETRE));
        assertThat(half.value(Quantity.BRIDGE_HEIGHT)).isCloseTo(33 * 285 / 328.0, within(1e-9));
        SetUp measured = new SetUp(
                half.size(),
                false,
                new ReferenceA(442),
                half.openStrings(),
                Map.of(Measurable.of(Quantity.VIBRATING_LENGTH), Figure.measured(287, Unit.MILLIMETRE)),
                Map.of());
        assertThat(measured.weakestOrigin(Quantity.VIBRATING_LENGTH)).isEqualTo(Origin.MEASURED);
        assertThat(measured.weakestOrigin(Quantity.VIBRATING_LENGTH, Quantity.FOOT_SPAN))
                .isEqualTo(Origin.DEFAULT);
    }

    @ParameterizedTest
    @ValueSource(doubles = {3, 3000})
    void refusesAVibratingLengthNoViolinHas(double lengthMm) {
        assertThatThrownBy(() -> new SetUp(
                        Size.of(Family.VIOLIN, "4/4"),
                        false,
                        ReferenceA.STANDARD,
                        Family.VIOLIN.openStrings(),
                        Map.of(Measurable.of(Quantity.VIBRATING_LENGTH), Figure.measured(lengthMm, Unit.MILLIMETRE)),
                        Map.of()))
                .hasMessageContaining("VIBRATING_LENGTH is " + lengthMm)
                .hasMessageContaining("from 282.0 to 368.0 mm");
    }

    @ParameterizedTest
    @CsvSource({"E5, 76", "A4, 69", "G3, 55", "c2, 36", "F#3, 54", "B♭1, 34", "E1, 28"})
    void readsPitches(String spelling, int midi) {
        assertThat(Pitch.of(spelling).midi()).isEqualTo(midi);
    }

    @ParameterizedTest
    @ValueSource(strings = {"H2", "A", "", "A44"})
    void saysHowAPitchIsSpelt(String spelling) {
        assertThatThrownBy(() -> Pitch.of(spelling)).hasMessageContaining("must be a letter A to G");
    }

    @Test
    void fitsAStringMadeForTheInstrument() {
        assertThat(judge(Examples.violinSet().get(Position.II)))
                .singleElement()
                .extracting(Finding::kind)
                .isEqualTo(FindingKind.FITS);
    }

    @Test
    void namesEachReasonAStringDoesNotFit() {
        StringSpec usual = Examples.violinSet().get(Position.II);
        assertThat(kinds(with(usual, StringEnd.LOOP, 45, 384, 540, 54))).contains(FindingKind.END_MISMATCH);
        assertThat(kinds(with(usual, StringEnd.BALL, 60, 384, 540, 54))).contains(FindingKind.TAIL_SILK_ON_BRIDGE);
        assertThat(kinds(with(usual, StringEnd.BALL, 45, 360, 540, 54)))
                .contains(FindingKind.TOP_SILK_ON_PLAYING_LENGTH);
        assertThat(kinds(with(usual, StringEnd.BALL, 45, 384, 470, 54))).contains(FindingKind.TOO_FEW_TURNS);
        assertThat(kinds(with(usual, StringEnd.BALL, 45, 384, 620, 54))).contains(FindingKind.TOO_MANY_TURNS);
        assertThat(kinds(with(usual, StringEnd.BALL, 45, 384, 540, 80))).contains(FindingKind.LOAD_RISE);
        assertThat(new FitCheck(Examples.VIOLIN, Examples.violinSet()).judge(Position.III, usual))
                .singleElement()
                .matches(Finding::stops);
        assertThat(TailEnd.HOOK_TUNER.takes(StringEnd.BALL)).isFalse();
    }

    private static List<FindingKind> kinds(StringSpec string) {
        return judge(string).stream().map(Finding::kind).toList();
    }

    private static List<Finding> judge(StringSpec string) {
        return new FitCheck(Examples.VIOLIN, Examples.violinSet()).judge(Position.II, string);
    }

    private static StringSpec with(
            StringSpec s, StringEnd end, double tailSilkMm, double topSilkMm, double totalMm, double tensionN) {
        return new StringSpec(
                s.position(),
                s.core(),
                Winding.ALUMINIUM,
                end,
                s.nominalPitch(),
                s.designLengthMm(),
                tensionN,
                s.diameterMm(),
                s.axialStiffnessN(),
                tailSilkMm,
                topSilkMm,
                totalMm,
                Set.of());
    }

    @Test
    void livesDependOnFamilyCoreAndWinding() {
        Map<Position, StringSpec> set = Examples.violinSet();
        assertThat(Life.usual(Family.VIOLIN, set.get(Position.I))).isEqualTo(new Life(160, 12));
        assertThat(Life.usual(Family.VIOLIN, set.get(Position.II))).isEqualTo(new Life(300, 30));
        assertThat(WearSign.WINDING_OPEN.share()).as("changed whatever its age").isGreaterThan(1.25);
    }

    @Test
    void bandsMustFall() {
        assertThatThrownBy(() -> new LoadBands(0.3, 0.5, 0.15)).hasMessageContaining("must fall");
    }
}
