package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rosinedpeg.core.strings.Position.I;
import static rosinedpeg.core.strings.Position.II;
import static rosinedpeg.core.strings.Position.III;
import static rosinedpeg.core.strings.Position.IV;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.clearance.Clearance;
import rosinedpeg.core.clearance.Obstacle;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.clearance.Touch;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.tailpiece.FineTuner;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;

/** Judgements of strings, tuners, bridge and pegbox, at the figures where they turn. */
class JudgementsTest {

    private static List<FindingKind> kinds(List<Finding> found) {
        return found.stream().map(Finding::kind).toList();
    }

    private static double perTurnMm(SetUp setUp, StringSpec string) {
        return Math.PI * (setUp.value(Quantity.SHAFT_DIAMETER) + string.diameterMm());
    }

    /** A little too long is watched, twenty turns is the wrong string; what may be cut has more room than what may not. */
    @ParameterizedTest
    @CsvSource({
        "SYNTHETIC, 4.5, FITS, GOOD",
        "SYNTHETIC, 6, TOO_MANY_TURNS, WATCH",
        "SYNTHETIC, 8, FAR_TOO_MANY_TURNS, STOPS",
        "GUT, 8, FAR_TOO_MANY_TURNS, STOPS",
        "PLAIN_STEEL, 8, TOO_MANY_TURNS, WATCH",
        "PLAIN_STEEL, 20, FAR_TOO_MANY_TURNS, STOPS"
    })
    void turnsBeyondReasonAreAnotherString(StringCore core, double turns, FindingKind kind, Severity severity) {
        SetUp violin = Examples.VIOLIN;
        Map<Position, StringSpec> set = Examples.set(violin);
        StringSpec usual = set.get(III);
        StringSpec string =
                Examples.with(usual, core, usual.totalLengthMm() + (turns - 3.2) * perTurnMm(violin, usual));
        assertThat(new FitCheck(violin, set).judge(III, string))
                .extracting(Finding::kind, Finding::severity)
                .contains(org.assertj.core.groups.Tuple.tuple(kind, severity));
    }

    @Test
    void aKnotTakesUpSomeOfTheString() {
        SetUp bass = Examples.instrument(Family.BASS);
        Map<Position, StringSpec> set = Examples.set(bass);
        FitCheck check = new FitCheck(bass, set);
        assertThat(kinds(check.judge(IV, set.get(IV)))).containsExactly(FindingKind.FITS);
        assertThat(kinds(check.judge(IV, set.get(IV), Lock.TWICE_THROUGH_HOLE)))
                .containsExactly(FindingKind.TOO_FEW_TURNS);
    }

    @ParameterizedTest
    @CsvSource({"4/4, 4/4, ", "4/4, 7/8, ", "4/4, 3/4, WATCH", "4/4, 1/2, STOPS", "3/4, 4/4, WATCH", "1/4, 4/4, STOPS"})
    void aStringForAnotherSizeIsNamedAsSuchBeforeItsTurnsAreCounted(String madeFor, String on, Severity severity) {
        SetUp instrument = SetUp.unmeasured(Size.of(Family.VIOLIN, on));
        StringSpec string =
                Examples.set(SetUp.unmeasured(Size.of(Family.VIOLIN, madeFor))).get(II);
        List<Finding> found = new FitCheck(instrument, Examples.set(instrument)).judge(II, string);
        assertThat(found.stream()
                        .filter(finding -> finding.kind() == FindingKind.MADE_FOR_OTHER_SIZE)
                        .map(Finding::severity))
                .containsExactlyElementsOf(severity == null ? List.of() : List.of(severity));
        if (severity == Severity.STOPS) {
            assertThat(found.get(0).kind()).isEqualTo(FindingKind.MADE_FOR_OTHER_SIZE);
            assertThat(found.get(0).figures().get(0).value()).isEqualTo(string.designLengthMm());
        }
    }

    /** A synthetic string is some 4 % longer at pitch: silk that clears bridge and nut in the hand may not on the instrument. */
    @Test
    void silkIsJudgedWhereItLiesAtPitch() {
        SetUp violin = Examples.VIOLIN;
        Map<Position, StringSpec> set = Examples.violinSet();
        StringSpec usual = set.get(II);
        double stretched = 1 + violin.tensionN(usual) / usual.axialStiffnessN();
        assertThat(stretched).isCloseTo(1.0386, within(0.001));
        double bridgeMm = violin.value(Quantity.AFTERLENGTH);
        double nutMm = bridgeMm + 328;
        FitCheck check = new FitCheck(violin, set);
        assertThat(kinds(check.judge(II, silk(usual, bridgeMm / stretched + 0.1, nutMm))))
                .containsExactly(FindingKind.TAIL_SILK_ON_BRIDGE);
        assertThat(kinds(check.judge(II, silk(usual, bridgeMm / stretched - 0.1, nutMm))))
                .containsExactly(FindingKind.FITS);
        assertThat(kinds(check.judge(II, silk(usual, 45, nutMm / stretched + 0.1))))
                .as("in the hand it starts 14 mm before the nut")
                .containsExactly(FindingKind.FITS);
        assertThat(kinds(check.judge(II, silk(usual, 45, (nutMm - 1) / stretched))))
                .containsExactly(FindingKind.TOP_SILK_ON_PLAYING_LENGTH);
        assertThat(kinds(check.judge(II, silk(usual, 0, usual.totalLengthMm()))))
                .as("without silk")
                .containsExactly(FindingKind.FITS);
    }

    /** The first string of an empty instrument has nothing to be compared with. */
    @Test
    void aFirstStringRaisesNoLoad() {
        StringSpec first = Examples.violinSet().get(Position.I);
        assertThat(kinds(FitCheck.of(Examples.VIOLIN, Map.of()).judge(Position.I, first)))
                .containsExactly(FindingKind.FITS);
        Map<Position, StringSpec> onlyFourth =
                Map.of(Position.IV, Examples.violinSet().get(Position.IV));
        assertThat(kinds(FitCheck.of(Examples.VIOLIN, onlyFourth).judge(Position.I, first)))
                .containsExactly(FindingKind.FITS);
    }

    private static StringSpec silk(StringSpec string, double tailSilkEndMm, double topSilkStartMm) {
        return Examples.with(
                string,
                string.core(),
                string.tensionN(),
                string.diameterMm(),
                tailSilkEndMm,
                topSilkStartMm,
                string.totalLengthMm());
    }

    /** The lever is judged with the travel still to be used, by its own ratio. */
    @ParameterizedTest
    @CsvSource({"6, 4, 0.8, GOOD", "4.5, 4, 0.8, LEVER_NEAR_TOP", "4.5, 4, 0.5, GOOD", "4.5, 1, 0.8, GOOD"})
    void aLeverIsJudgedAtTheEndOfItsTravel(
            double toTopMm, double screwLeftMm, double ratio, FineTuner.Judgement judgement) {
        SetUp violin = Examples.VIOLIN.measured(Map.of(
                Measurable.of(Quantity.LEVER_TO_TOP, I), toTopMm,
                Measurable.of(Quantity.TUNER_SCREW_LEFT, I), screwLeftMm,
                Measurable.of(Quantity.TUNER_LEVER_RATIO, I), ratio));
        FineTuner tuner = FineTuner.of(violin, I);
        assertThat(tuner.judge()).isEqualTo(judgement);
        assertThat(tuner.clearanceAtEndMm()).isCloseTo(toTopMm - screwLeftMm * ratio, within(1e-9));
    }

    /** A bridge 3 mm too far to the treble side takes its foot away from under the low strings' load. */
    @Test
    void aBridgeOffItsPlaceMovesTheFeet() {
        SetUp violin = Examples.VIOLIN;
        SetUp moved = violin.measured(Map.of(Measurable.of(Quantity.OFF_CENTRE), 3.0));
        assertThat(trebleWithout(violin, I)).isCloseTo(0.375, within(0.0005));
        assertThat(trebleWithout(moved, I)).isCloseTo(0.323, within(0.0005));
    }

    private static double trebleWithout(SetUp setUp, Position off) {
        Map<Position, Double> tensionsN = setUp.tensionsN(Examples.violinSet());
        InstrumentLoad load = new InstrumentLoad(setUp, tensionsN);
        tensionsN.remove(off);
        return load.shares(tensionsN).treble();
    }

    /** A long, thick string crossed over in a narrow pegbox runs into the far wall; on the knob's side alone it has room. */
    @Test
    void turnsInTheFarWallAreFoundAndCured() {
        SetUp narrow = Examples.VIOLIN.measured(Map.of(
                Measurable.of(Quantity.PEGBOX_WIDTH_AT_NUT), 10.5,
                Measurable.of(Quantity.PEGBOX_WIDTH_AT_END), 8.0,
                Measurable.of(Quantity.HOLE_TO_WALL, IV), 6.5));
        Map<Position, StringSpec> set = Examples.violinSet();
        StringSpec lowest = set.get(IV);
        set.put(IV, Examples.with(lowest, lowest.core(), lowest.totalLengthMm() + 55));
        WindingChoice farSide =
                new WindingChoice(Lock.FAR_SIDE_THEN_CROSS, Wall.SMALL_GAP, Way.OVER_THE_TOP, HoleSide.FAR_SIDE);
        StrungPegbox pegbox = new StrungPegbox(narrow, set, Map.of(IV, farSide));
        Touch touch = pegbox.touches().stream()
                .filter(one -> one.clearance().string() == IV)
                .findFirst()
                .orElseThrow();
        assertThat(touch.clearance().obstacle()).isEqualTo(Obstacle.TREBLE_WALL);
        double wallMm = pegbox.pegbox().halfWidthMm(pegbox.pegbox().fromNutMm(IV));
        assertThat(touch.clearance().mm())
                .as("the turns, or the string at their end where the wall leans in")
                .isCloseTo(wallMm - pegbox.winding(IV).toXMm(), within(0.05));
        assertThat(touch.cure()).isEqualTo(Touch.Cure.WIND_ON_OTHER_SIDE);
        assertThat(touch.otherwiseMm()).isPositive();
        assertThat(new StrungPegbox(narrow, set, Map.of(IV, farSide.onOtherSide())).clearances(IV))
                .noneMatch(Clearance::touches);
    }

    /** Where everything grows with the size, what lies over what does not change with it. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void whatLiesOverAPegIsTheSameOnEverySizeOfAFamily(Family family) {
        for (boolean five : List.of(false, true)) {
            Map<Position, Set<Position>> first = null;
            for (int size = 0; size < Size.of(family).size(); size++) {
                SetUp setUp = Examples.instrument(family, size, five);
                double scale = setUp.value(Quantity.VIBRATING_LENGTH)
                        / Size.of(family).get(0).vibratingLengthMm();
                Map<Position, StringSpec> set = new EnumMap<>(Position.class);
                Examples.set(setUp).forEach((position, string) -> set.put(position, scaled(setUp, string, scale)));
                StrungPegbox pegbox = new StrungPegbox(setUp, set, Map.of());
                Map<Position, Set<Position>> covering = new EnumMap<>(Position.class);
                setUp.positions().forEach(position -> covering.put(position, pegbox.coveredBy(position)));
                first = first == null ? covering : first;
                assertThat(covering).as(setUp.size().code() + " " + five).isEqualTo(first);
            }
        }
    }

    private static StringSpec scaled(SetUp setUp, StringSpec string, double scale) {
        double diameterMm = Math.max(0.15, string.diameterMm() * scale);
        double thinnerMm = (setUp.family() == Family.BASS ? 2.2 : 3.2) * Math.PI * (string.diameterMm() - diameterMm);
        return Examples.with(
                string,
                string.core(),
                string.tensionN(),
                diameterMm,
                string.tailSilkEndMm(),
                string.topSilkStartMm(),
                string.totalLengthMm() - thinnerMm);
    }
}
