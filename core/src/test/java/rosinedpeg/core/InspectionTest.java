package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.groups.Tuple;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.PictureLine;
import rosinedpeg.core.care.Rosining;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.inspection.Condition;
import rosinedpeg.core.inspection.Inspection;
import rosinedpeg.core.pegs.CollarTrend.Collar;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.setup.Contradiction;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.wear.WearState;

/** What is measured, what it cannot be, and what it amounts to. */
class InspectionTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 1);

    private static final List<Collar> CLOSING_IN =
            List.of(new Collar(TODAY.minusYears(2), 5), new Collar(TODAY.minusYears(1), 3.2), new Collar(TODAY, 1.6));

    private static SetUp measured(SetUp setUp, String measurements) {
        return setUp.measured(Arrays.stream(measurements.trim().split("\\s+"))
                .map(one -> one.split("="))
                .collect(Collectors.toMap(one -> Measurable.ofCode(one[0]), one -> Double.valueOf(one[1]))));
    }

    private static List<Finding> inspect(Condition condition) {
        return Inspection.of(condition, TODAY);
    }

    private static Condition violin(String measurements) {
        return Condition.of(measured(Examples.VIOLIN, measurements), Examples.violinSet());
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void nothingIsFoundWhereNothingWasMeasured(Family family) {
        SetUp setUp = Examples.instrument(family);
        assertThat(inspect(Condition.of(setUp, Examples.set(setUp)))).isEmpty();
        assertThat(Contradiction.of(setUp)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "BRIDGE_GAP=1.1, BRIDGE_TO_EASE, TODAY, false",
        "BRIDGE_GAP=1.9, BRIDGE_TO_STRAIGHTEN, STOPS, false",
        "BRIDGE_GAP=2.6, BRIDGE_FALLING, STOPS, false",
        "WARP=1.2, BRIDGE_WARPED, TODAY, true",
        "TREBLE_FOOT_OFF_LINE=2 BASS_FOOT_OFF_LINE=2, BRIDGE_OFF_ITS_LINE, TODAY, false",
        "TREBLE_FOOT_OFF_LINE=0.8 BASS_FOOT_OFF_LINE=-0.8, BRIDGE_TWISTED, TODAY, false",
        "OFF_CENTRE=-2, BRIDGE_OFF_CENTRE, TODAY, false",
        "STRING_HEIGHT_I=31.5 STRING_HEIGHT_II=33 STRING_HEIGHT_III=32 STRING_HEIGHT_IV=29, BRIDGE_WRONG_WAY_ROUND, TODAY, false",
        "STRING_HEIGHT_I=28.5 STRING_HEIGHT_II=32.9 STRING_HEIGHT_III=32.2 STRING_HEIGHT_IV=30.5, CURVE_UNEVEN, WATCH, true",
        "BRIDGE_GROOVE_DEPTH_III=0.1, BRIDGE_GROOVE_SHALLOW, WATCH, false",
        "BRIDGE_GROOVE_DEPTH_III=0.5, BRIDGE_GROOVE_DEEP, WATCH, false",
        "BRIDGE_GROOVE_DEPTH_III=0.7, BRIDGE_GROOVE_TOO_DEEP, TODAY, true",
        "BRIDGE_GROOVE_DEPTH_III=0.3 BRIDGE_GROOVE_WIDTH_III=0.6, BRIDGE_GROOVE_PINCHES, WATCH, true",
        "NUT_GROOVE_DEPTH_II=0.1, NUT_GROOVE_SHALLOW, WATCH, false",
        "NUT_GROOVE_DEPTH_II=0.4, NUT_GROOVE_DEEP, WATCH, false",
        "NUT_GROOVE_DEPTH_II=0.6, NUT_GROOVE_TOO_DEEP, TODAY, true",
        "BRIDGE_GROOVE_DEPTH_I=0.1, GUARD_MISSING, WATCH, false",
        "AFTERLENGTH=50, AFTERLENGTH_OFF, WATCH, false",
        "TAILPIECE_MASS=40, TAILPIECE_HEAVY, WATCH, false",
        "TAILPIECE_TO_TOP=1, TAILPIECE_NEAR_TOP, TODAY, false",
        "TUNER_SCREW_IN_I=0.2, TUNER_RATTLES, WATCH, false",
        "TUNER_SCREW_LEFT_I=0.2, TUNER_AT_ITS_END, TODAY, false",
        "LEVER_TO_TOP_I=0.5, TUNER_LEVER_NEAR_TOP, TODAY, false",
        "TAIL_SLOT_WIDTH_III=0.5, TOO_THICK_FOR_SLOT, STOPS, true",
        "SHAFT_DEPTH_III=9.5, STRING_TOUCHES_BOTH_WAYS, WATCH, true"
    })
    void aMeasurementIsJudgedByItsBands(String measurements, FindingKind kind, Severity severity, boolean refer) {
        List<Finding> found = inspect(violin(measurements));
        assertThat(found)
                .extracting(Finding::kind, Finding::severity, Finding::refer)
                .contains(Tuple.tuple(kind, severity, refer));
        assertThat(found)
                .filteredOn(finding -> finding.kind() == kind)
                .allSatisfy(finding -> assertThat(finding.figures())
                        .allSatisfy(figure -> assertThat(figure.value()).isNotNaN()));
        assertThat(found)
                .filteredOn(finding -> finding.kind().part() == FindingKind.Part.PEGBOX)
                .as("how deep one lies in another")
                .allSatisfy(
                        finding -> assertThat(finding.figures().get(0).value()).isPositive());
        assertThat(found)
                .extracting(Finding::kind)
                .as("told by the groove")
                .doesNotContain(FindingKind.TOO_THICK_FOR_GROOVE);
    }

    /** Of what was not measured nothing is judged; what stands on one measurement of four is no curve. */
    @ParameterizedTest
    @CsvSource({"STRING_HEIGHT_II=34, CURVE_UNEVEN", "BRIDGE_GROOVE_DEPTH_III=0.3, BRIDGE_GROOVE_PINCHES"})
    void whatWasNotMeasuredIsNotJudged(String measurements, FindingKind kind) {
        assertThat(inspect(violin(measurements))).extracting(Finding::kind).doesNotContain(kind);
    }

    @ParameterizedTest
    @CsvSource({
        "BRIDGE_GAP=1.9, true",
        "BRIDGE_GAP=1.1, true",
        "TAILPIECE_TO_TOP=1, true",
        "NUT_GROOVE_DEPTH_II=0.6, true",
        "NUT_GROOVE_DEPTH_II=0.4, false",
        "BRIDGE_GROOVE_DEPTH_III=0.7, true",
        "TUNER_SCREW_LEFT_I=0.2, true",
        "BRIDGE_GROOVE_DEPTH_III=0.3 BRIDGE_GROOVE_WIDTH_III=0.6, false"
    })
    void whatHasToBeKnownBeforeAnybodyWorksOnItIsSingledOut(String measurements, boolean before) {
        assertThat(Inspection.beforeWork(violin(measurements), TODAY).isEmpty()).isEqualTo(!before);
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void theThinSteelOfIIsGuardedButOnABass(Family family) {
        SetUp setUp = measured(Examples.instrument(family), "BRIDGE_GROOVE_DEPTH_I=0.3");
        StringSpec first = Examples.string(setUp, Position.I);
        Condition condition = Condition.of(
                setUp, Map.of(Position.I, Examples.with(first, StringCore.PLAIN_STEEL, first.totalLengthMm())));
        assertThat(inspect(condition).stream().anyMatch(finding -> finding.kind() == FindingKind.GUARD_MISSING))
                .isEqualTo(family != Family.BASS);
    }

    /** With a collar that would come to the wall before long where the peg is tapered. */
    private static Condition peg(PegKind pegs, PegSign sign) {
        List<Collar> collars = pegs == PegKind.TAPERED_WOOD ? List.of() : CLOSING_IN;
        return new Condition(
                Examples.with(pegs, Examples.VIOLIN),
                Examples.violinSet(),
                Map.of(),
                Map.of(Position.II, Set.of(sign)),
                Map.of(Position.II, collars),
                false,
                false,
                false,
                null,
                null,
                Rosining.NONE,
                PegWood.EBONY);
    }

    @ParameterizedTest
    @CsvSource({
        "CREEPS_BACK, PEG_SLIPS, GEARS_SLIP, SLIPS",
        "JERKS, PEG_STICKS, GEARS_STIFF, STICKS",
        "HALF_A_BAND_SHINY, PEG_TAPER_MISMATCH, , FITS",
        "BOTH_BANDS_SHINY, PEG_POLISHED, , FITS",
        "END_STANDS_OUT_BEYOND_FAR_WALL, PEG_WORN_IN, , FITS",
        "CRACK_NEAR_THE_HOLE, PEG_CRACKED, PEG_CRACKED, FITS"
    })
    void aPegIsJudgedByItsSigns(PegSign sign, FindingKind kind, @Nullable FindingKind ofGears, PegCondition condition) {
        assertThat(inspect(peg(PegKind.TAPERED_WOOD, sign)))
                .extracting(Finding::kind, Finding::position)
                .containsExactly(Tuple.tuple(kind, Position.II));
        assertThat(Inspection.beforeWork(peg(PegKind.TAPERED_WOOD, sign), TODAY).isEmpty())
                .as("what a change treats anyway is not told before it")
                .isEqualTo(kind != FindingKind.PEG_TAPER_MISMATCH && kind != FindingKind.PEG_CRACKED);
        assertThat(inspect(peg(PegKind.GEARED, sign)))
                .as("gears have no bands and no taper: that was seen on the pegs before them")
                .extracting(Finding::kind)
                .isEqualTo(ofGears == null ? List.of() : List.of(ofGears));
        assertThat(PegCondition.of(Set.of(sign))).isEqualTo(condition);
        assertThat(PegCondition.of(EnumSet.of(sign, PegSign.CREEPS_BACK)))
                .as("never lubricated when it also slips")
                .isEqualTo(PegCondition.SLIPS);
    }

    @Test
    void whatStopsTheWorkComesFirst() {
        Map<Position, WearState> wear = new EnumMap<>(Position.class);
        wear.put(Position.I, WearState.CHANGE_NOW);
        wear.put(Position.II, WearState.DUE);
        wear.put(Position.III, WearState.AGE_UNKNOWN);
        List<Finding> found = inspect(new Condition(
                measured(Examples.VIOLIN, "BRIDGE_GAP=2 BRIDGE_GROOVE_DEPTH_I=0.1"),
                Examples.violinSet(),
                wear,
                Map.of(),
                Map.of(Position.IV, CLOSING_IN),
                true,
                true,
                false,
                null,
                null,
                Rosining.NONE,
                null));
        assertThat(found)
                .extracting(Finding::kind)
                .containsExactly(
                        FindingKind.BRIDGE_TO_STRAIGHTEN,
                        FindingKind.STRING_TO_CHANGE_NOW,
                        FindingKind.COLLAR_RUNS_OUT,
                        FindingKind.GUARD_TWICE,
                        FindingKind.STRING_DUE,
                        FindingKind.STRING_AGE_UNKNOWN);
        assertThat(found.get(2).figures().get(0).value()).as("months").isBetween(1.0, 6.0);
    }

    @ParameterizedTest
    @CsvSource({"0, 1, true", "6, 1, true", "7, 1, false", "3, 0, false", "3, -1, true"})
    void theBridgeIsLookedAtDailyForAWeekAfterAStringWentOn(int daysOn, int lookedDaysAgo, boolean asked) {
        LocalDate looked = lookedDaysAgo < 0 ? null : TODAY.minusDays(lookedDaysAgo);
        Condition condition = new Condition(
                Examples.VIOLIN,
                Examples.violinSet(),
                Map.of(),
                Map.of(),
                Map.of(),
                false,
                false,
                false,
                TODAY.minusDays(daysOn),
                looked,
                Rosining.NONE,
                null);
        assertThat(inspect(condition))
                .extracting(Finding::kind)
                .containsExactlyElementsOf(asked ? List.of(FindingKind.BRIDGE_TO_LOOK_AT) : List.of());
    }

    @Test
    void tunersThatAreBuiltInAreNotWeighedTwice() {
        SetUp setUp = measured(Examples.VIOLIN, "TAILPIECE_MASS=27 ADDED_TUNER_MASS=5");
        Condition added = Condition.of(setUp, Examples.violinSet());
        Condition builtIn = new Condition(
                setUp,
                Examples.violinSet(),
                Map.of(),
                Map.of(),
                Map.of(),
                false,
                false,
                true,
                null,
                null,
                Rosining.NONE,
                null);
        assertThat(inspect(added)).extracting(Finding::kind).containsExactly(FindingKind.TAILPIECE_HEAVY);
        assertThat(inspect(builtIn)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "NUT_SPACING=24.9 BRIDGE_SPACING=25, ''",
        "NUT_SPACING=25 BRIDGE_SPACING=25, NUT_AS_WIDE_AS_BRIDGE",
        "TOP_THICKNESS=2.6 FOOT_DEPTH=2.6, TOP_AS_THICK_AS_FOOT",
        "FROM_LOWEST_STRING_III=16 FROM_LOWEST_STRING_II=15.9, STRINGS_OUT_OF_ORDER",
        "PEGBOX_WIDTH_AT_END=15.5, PEGBOX_WIDENS",
        "NUT_TO_PEG_II=90, PEG_OUTSIDE_PEGBOX",
        "NUT_TO_PEG_II=90 PEGBOX_LENGTH=99, ''",
        "HOLE_TO_WALL_I=9.4 PEGBOX_WIDTH_AT_NUT=9.1 PEGBOX_WIDTH_AT_END=9, HOLE_OUTSIDE_PEGBOX",
        "SHAFT_DEPTH_IV=17, SHAFT_IN_THE_FLOOR",
        "NUT_TO_PEG_IV=25, PEGS_MEET"
    })
    void figuresThatCannotBothBeTrueAreNamed(String measurements, String kind) {
        assertThat(Contradiction.of(measured(Examples.VIOLIN, measurements)))
                .extracting(contradiction -> contradiction.kind().name())
                .containsExactlyElementsOf(kind.isEmpty() ? List.of() : List.of(kind));
    }

    /** What was measured counts for the defaults of what was not. */
    @Test
    void usualFiguresFollowFromMeasuredOnes() {
        SetUp setUp = measured(Examples.VIOLIN, "VIBRATING_LENGTH=300 BRIDGE_HEIGHT=30 BRIDGE_SPACING=36");
        assertThat(setUp.value(Quantity.AFTERLENGTH)).isEqualTo(50);
        assertThat(setUp.figure(Quantity.AFTERLENGTH).origin()).isEqualTo(Origin.DEFAULT);
        assertThat(setUp.value(Quantity.FROM_LOWEST_STRING, Position.II)).isCloseTo(24, within(1e-9));
        assertThat(setUp.value(Quantity.STRING_HEIGHT, Position.II)).isLessThan(30);
        assertThat(setUp.xAtBridgeMm(Position.II)).isCloseTo(6, within(1e-9));
        assertThat(measured(setUp, "FROM_LOWEST_STRING_II=25").xAtBridgeMm(Position.II))
                .isCloseTo(7, within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void everythingThatCanBeMeasuredHasARangeRoundItsUsualValue(Family family) {
        SetUp setUp = Examples.instrument(family);
        setUp.figures().forEach((measurable, figure) -> {
            assertThat(setUp.rangeOf(measurable).contains(figure.value()))
                    .as(measurable.code())
                    .isTrue();
            assertThat(Measurable.ofCode(measurable.code())).isEqualTo(measurable);
        });
    }

    /** Two lines on a picture give the lean that was drawn, however the camera was held and whichever way they run. */
    @Property
    void aPictureShowsTheLean(
            @ForAll @DoubleRange(min = -15, max = 15) double leanDeg,
            @ForAll @DoubleRange(min = -25, max = 25) double cameraDeg,
            @ForAll boolean upsideDown,
            @ForAll boolean tailpieceOnLeft) {
        double drawnDeg = (tailpieceOnLeft ? leanDeg : -leanDeg) + cameraDeg;
        PictureLine plate = line(100, 500, 90 + cameraDeg, 400);
        PictureLine back = line(300, 450, drawnDeg, 200);
        PictureLine turned = upsideDown ? new PictureLine(back.x2(), back.y2(), back.x1(), back.y1()) : back;
        assertThat(Lean.fromPicture(plate, turned, tailpieceOnLeft).degrees()).isCloseTo(leanDeg, within(1e-9));
    }

    /** A line so far clockwise from upright. */
    private static PictureLine line(double x, double y, double clockwiseDeg, double length) {
        double radians = Math.toRadians(clockwiseDeg);
        return new PictureLine(x, y, x + length * Math.sin(radians), y - length * Math.cos(radians));
    }

    /** Every second or third session is enough. */
    @ParameterizedTest
    @CsvSource({"4, 6, false", "5, 6, true", "2, 0, false", "3, 0, true"})
    void tooMuchRosinIsSaid(int times, double hoursPerWeek, boolean said) {
        LocalDate today = LocalDate.of(2026, 9, 15);
        List<LocalDate> days = new ArrayList<>(List.of(today.minusDays(14), today.plusDays(1)));
        for (int i = 0; i < times; i++) {
            days.add(today.minusDays(2L * i));
        }
        Rosining rosining = Rosining.of(days, hoursPerWeek, today);
        assertThat(rosining.times()).as("in the last fourteen days").isEqualTo(times);
        Condition condition = Examples.violin(Map.of(), rosining);
        assertThat(inspect(condition).stream().anyMatch(finding -> finding.kind() == FindingKind.ROSIN_TOO_OFTEN))
                .isEqualTo(said);
    }
}
