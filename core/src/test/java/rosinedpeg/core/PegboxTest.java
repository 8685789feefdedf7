package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static rosinedpeg.core.strings.Position.I;
import static rosinedpeg.core.strings.Position.II;
import static rosinedpeg.core.strings.Position.III;
import static rosinedpeg.core.strings.Position.IV;
import static rosinedpeg.core.strings.Position.V;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.clearance.Clearance;
import rosinedpeg.core.clearance.Obstacle;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.clearance.Touch;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/** Winding plans and clearances, against plane geometry done another way. */
class PegboxTest {

    private static final SetUp VIOLIN = Examples.VIOLIN;
    private static final Map<Position, StringSpec> SET = Examples.set(VIOLIN);

    private static WindingPlan wind(SetUp setUp, StringSpec string, Lock lock, Wall wall, Way way, HoleSide side) {
        return WindingPlan.of(setUp, string, new WindingChoice(lock, wall, way, side));
    }

    private static StringSpec longer(StringSpec string, StringCore core, double byMm) {
        return Examples.with(string, core, string.totalLengthMm() + byMm);
    }

    @Test
    void theLastTurnLeavesInLineWithTheGrooveOrAGapFromTheWall() {
        WindingPlan inner = WindingPlan.of(VIOLIN, longer(SET.get(III), StringCore.SYNTHETIC, 25), WindingChoice.USUAL);
        assertThat(inner.leavesXMm()).isCloseTo(VIOLIN.xAtNutMm(III), within(1e-9));
        assertThat(inner.sideAngleDeg()).isCloseTo(0, within(1e-9));
        double fromHoleMm = inner.holeXMm() - inner.leavesXMm();
        assertThat(inner.farSideTurns()).isCloseTo(inner.turns().farSide(fromHoleMm, 0.8), within(1e-9));
        assertThat(inner.farSideTurns() + inner.knobSideTurns())
                .isCloseTo(inner.turns().count(), within(1e-9));

        WindingPlan scarce = WindingPlan.of(VIOLIN, SET.get(III), WindingChoice.USUAL);
        assertThat(scarce.farSideTurns()).as("one turn at least traps the tip").isCloseTo(1, within(1e-9));
        assertThat(scarce.leavesXMm())
                .isCloseTo(scarce.holeXMm() - (scarce.turns().count() - 1) * 0.8, within(1e-9));

        WindingPlan outer = WindingPlan.of(VIOLIN, SET.get(IV), WindingChoice.USUAL);
        assertThat(outer.wallGapMm()).isCloseTo(0.13 * 7.6, within(1e-9));
        double halfWidth = (15 - 3.5 * 16 / 78) / 2;
        assertThat(outer.leavesXMm()).isCloseTo(-(halfWidth - 0.13 * 7.6 - 0.4), within(1e-9));
        assertThat(outer.sideAngleDeg())
                .isCloseTo(Math.toDegrees(Math.atan((outer.leavesXMm() + 8.25) / 16)), within(1e-9));
        assertThat(outer.toXMm() - outer.fromXMm())
                .as("turns side by side, each one string wide, and half a string at either edge")
                .isCloseTo((outer.turns().count() + 1) * 0.8, within(1e-9));
        assertThat(outer.shaftDegrees()).isCloseTo(360 * outer.turns().count(), within(1e-9));
        assertThat(outer.halfTurns()).isCloseTo(2 * outer.turns().count(), within(1e-9));
        assertThat(outer.origin()).isEqualTo(Origin.DEFAULT);
    }

    @Test
    void eachChoiceHasItsOwnWinding() {
        StringSpec string = SET.get(IV);
        WindingPlan wall = wind(
                VIOLIN,
                longer(string, StringCore.SYNTHETIC, 25),
                Lock.FAR_SIDE_THEN_CROSS,
                Wall.WOUND_TO_WALL,
                Way.OVER_THE_TOP,
                HoleSide.KNOB_SIDE);
        assertThat(wall.wallGapMm()).isCloseTo(Math.max(0, wall.wallGapMm()), within(1e-9));
        assertThat(wall.wallGapMm()).isLessThan(0.5);
        WindingPlan straight =
                wind(VIOLIN, string, Lock.STRAIGHT_TO_WALL, Wall.SMALL_GAP, Way.OVER_THE_TOP, HoleSide.KNOB_SIDE);
        assertThat(straight.farSideTurns()).isZero();
        assertThat(straight.sides()).isEqualTo(WindingPlan.Sides.ALL_ON_KNOB_SIDE);
        assertThat(wall.sides()).isEqualTo(WindingPlan.Sides.BOTH);
        assertThat(straight.leavesXMm())
                .isCloseTo(straight.holeXMm() - 0.8 * straight.turns().count(), within(1e-9));
        WindingPlan far =
                wind(VIOLIN, string, Lock.FAR_SIDE_THEN_CROSS, Wall.SMALL_GAP, Way.OVER_THE_TOP, HoleSide.FAR_SIDE);
        assertThat(far.knobSideTurns()).isZero();
        assertThat(far.sides()).isEqualTo(WindingPlan.Sides.ALL_ON_FAR_SIDE);
        assertThat(far.leavesXMm()).isCloseTo(far.holeXMm() + 0.8 * far.turns().count(), within(1e-9));
        assertThat(WindingChoice.USUAL.onOtherSide().onOtherSide()).isEqualTo(WindingChoice.USUAL);
    }

    @ParameterizedTest
    @CsvSource({
        "I, OVER_THE_TOP, false, true",
        "IV, OVER_THE_TOP, false, false",
        "IV, UNDER, false, true",
        "I, OVER_THE_TOP, true, false"
    })
    void overTheTopTurnsAwayFromTheNut(Position position, Way way, boolean leftHanded, boolean clockwise) {
        SetUp setUp = new SetUp(
                VIOLIN.size(), leftHanded, VIOLIN.referenceA(), VIOLIN.openStrings(), Map.of(), VIOLIN.tailEnds());
        assertThat(wind(setUp, SET.get(position), Lock.FAR_SIDE_THEN_CROSS, Wall.SMALL_GAP, way, HoleSide.KNOB_SIDE)
                        .clockwise())
                .isEqualTo(clockwise);
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void onlyABassIsTiedRoundItselfOrTwiceThroughItsHole(Family family) {
        assertThat(Lock.of(family)).startsWith(Lock.FAR_SIDE_THEN_CROSS).hasSize(family == Family.BASS ? 4 : 2);
        assertThat(Lock.of(family).stream().anyMatch(Lock::forBassOnly)).isEqualTo(family == Family.BASS);
    }

    /** Of a silk that begins late no more comes off than the silk; a string without any is cut all the same. */
    @ParameterizedTest
    @CsvSource({
        "SYNTHETIC, 0, , HOLDS, 0",
        "SYNTHETIC, -60, , TOO_SHORT, 0",
        "SYNTHETIC, 120, , TOO_LONG, 0",
        "SYNTHETIC, 120, 0, TOO_LONG, 0",
        "ROPE_STEEL, 120, , TOO_LONG, 133",
        "ROPE_STEEL, 120, 40, TOO_LONG, 40",
        "ROPE_STEEL, 120, 0, TOO_LONG, 133"
    })
    void tellsTooShortAndTooLongAndWhatMayBeCut(
            StringCore core, double byMm, @Nullable Double silkMm, WindingPlan.Outcome outcome, double trimMm) {
        StringSpec usual = longer(SET.get(IV), core, byMm);
        StringSpec string = silkMm == null
                ? usual
                : Examples.with(
                        usual,
                        core,
                        usual.tensionN(),
                        usual.diameterMm(),
                        0,
                        usual.totalLengthMm() - silkMm,
                        usual.totalLengthMm());
        WindingPlan plan = WindingPlan.of(VIOLIN, string, WindingChoice.USUAL);
        assertThat(plan.outcome()).isEqualTo(outcome);
        assertThat(plan.trimMm()).isCloseTo(trimMm, within(1.0));
        StringSpec left = string.shortenedBy(plan.trimMm());
        assertThat(left.totalLengthMm()).isCloseTo(string.totalLengthMm() - plan.trimMm(), within(1e-9));
        if (trimMm == 133) {
            assertThat(WindingPlan.of(VIOLIN, left, WindingChoice.USUAL).turns().count())
                    .isCloseTo(3, within(1e-9));
        }
    }

    @Test
    void aBassIsWoundByItsCrankAndItsLocksTakeMoreTip() {
        SetUp bass = Examples.instrument(Family.BASS);
        StringSpec string = Examples.string(bass, IV);
        WindingPlan plan = WindingPlan.of(bass, string, WindingChoice.USUAL);
        assertThat(plan.knobTurns()).isCloseTo(20 * plan.turns().count(), within(1e-9));
        assertThat(Lock.FAR_SIDE_THEN_CROSS.tipMm(Family.BASS, 10, 2.55)).isEqualTo(12);
        assertThat(Lock.TWICE_THROUGH_HOLE.tipMm(Family.BASS, 10, 2.55)).isCloseTo(12 + 10 + 19.7, within(0.02));
        assertThat(Lock.ROUND_STANDING_PART.tipMm(Family.BASS, 10, 2.55)).isCloseTo(12 + 48.07, within(0.01));
        assertThat(Lock.FAR_SIDE_THEN_CROSS.tipMm(Family.CELLO, 13, 1)).isEqualTo(6);
        assertThat(Lock.STRAIGHT_TO_WALL.tipMm(Family.VIOLA, 8, 1)).isEqualTo(4);
        WindingPlan knotted =
                wind(bass, string, Lock.TWICE_THROUGH_HOLE, Wall.SMALL_GAP, Way.OVER_THE_TOP, HoleSide.KNOB_SIDE);
        assertThat(knotted.turns().count()).isLessThan(plan.turns().count());
        assertThat(plan.drawPegOut()).isFalse();
    }

    /** Gears cannot be drawn. */
    @ParameterizedTest
    @CsvSource({"TAPERED_WOOD, 2.9, true", "TAPERED_WOOD, 3.2, false", "GEARED, 2.9, false"})
    void aHoleBesideTheWallIsBetterReachedWithThePegDrawnOut(PegKind pegs, double holeToWallMm, boolean drawn) {
        SetUp setUp = Examples.with(pegs, VIOLIN)
                .measured(Map.of(Measurable.of(Quantity.HOLE_TO_WALL, Position.II), holeToWallMm));
        assertThat(WindingPlan.of(setUp, SET.get(II), WindingChoice.USUAL).drawPegOut())
                .isEqualTo(drawn);
        assertThat(WindingPlan.drawsPegOut(setUp, Position.III)).isFalse();
    }

    /** The tangent from the nut: its foot is at the right distance from the shaft, and square to the radius. */
    @ParameterizedTest
    @EnumSource(Position.class)
    void stringsMeetTheirShaftsAtATangent(Position position) {
        if (position == V) {
            return;
        }
        Pegbox pegbox = new Pegbox(VIOLIN);
        Vector3D over = pegbox.topTangent(position, 0, 0.8);
        Vector3D under = pegbox.bottomTangent(position, 0, 0.8);
        Vector3D middle = pegbox.onShaft(position, 0);
        for (Vector3D tangent : List.of(over, under)) {
            assertThat(tangent.distance(middle)).isCloseTo(4.2, within(1e-9));
            assertThat(tangent.dotProduct(tangent.subtract(middle))).isCloseTo(0, within(1e-9));
        }
        assertThat(over.getZ()).isGreaterThan(under.getZ());
    }

    /** In the plane along the pegbox a string passes a shaft at the distance of a point from a line. */
    @Test
    void theDistanceToAShaftIsThatOfALineFromAPoint() {
        StrungPegbox pegbox = new StrungPegbox(VIOLIN, SET, Map.of());
        Vector3D end = pegbox.line(II).to();
        Vector3D shaft = pegbox.pegbox().onShaft(III, 0);
        double distance =
                Math.abs(end.getY() * shaft.getZ() - end.getZ() * shaft.getY()) / Math.hypot(end.getY(), end.getZ());
        assertThat(clearance(pegbox, II, Obstacle.SHAFT, III).mm()).isCloseTo(distance - 3.8 - 0.34, within(1e-6));
    }

    private static Clearance clearance(StrungPegbox pegbox, Position string, Obstacle obstacle, Position other) {
        return pegbox.clearances(string).stream()
                .filter(clearance -> clearance.obstacle() == obstacle && clearance.other() == other)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void wallsAreNearestToTheOuterStringsAndTheFloorToTheDeepestTurns() {
        StrungPegbox pegbox = new StrungPegbox(VIOLIN, SET, Map.of());
        Clearance wall = clearance(pegbox, IV, Obstacle.BASS_WALL, null);
        assertThat(wall).isEqualTo(pegbox.clearances(IV).get(0));
        double half = pegbox.pegbox().halfWidthMm(wall.at().getY());
        double slope = 3.5 / 78 / 2;
        assertThat(wall.mm()).isCloseTo((half + wall.at().getX()) / Math.hypot(1, slope) - 0.4, within(1e-9));
        assertThat(clearance(pegbox, I, Obstacle.TREBLE_WALL, null).mm())
                .isLessThan(clearance(pegbox, I, Obstacle.BASS_WALL, null).mm());
        double depth = 9.8 + 0.06 * 68;
        assertThat(clearance(pegbox, II, Obstacle.FLOOR, null).mm()).isCloseTo(20.5 - depth - 3.8 - 0.68, within(1e-9));
        assertThat(clearance(pegbox, I, Obstacle.STRING, II).mm())
                .isCloseTo(clearance(pegbox, II, Obstacle.STRING, I).mm(), within(1e-6));
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void onAUsualInstrumentNothingTouchesAndTheInnerLowStringLiesOverTheLowestPeg(Family family) {
        SetUp setUp = Examples.instrument(family);
        StrungPegbox pegbox = new StrungPegbox(setUp, Examples.set(setUp), Map.of());
        assertThat(pegbox.touches()).isEmpty();
        assertThat(pegbox.coveredBy(IV)).isEqualTo(Set.of(III));
        assertThat(pegbox.coveredBy(I)).isEmpty();
        assertThat(pegbox.coveredBy(II)).as("the furthest peg").isEmpty();
    }

    @Test
    void aTouchIsCuredOnTheOtherSideOfTheHoleOrReferred() {
        SetUp crowded = VIOLIN.measured(Map.of(
                Measurable.of(Quantity.PEGBOX_WIDTH_AT_NUT), 12.0, Measurable.of(Quantity.PEGBOX_WIDTH_AT_END), 9.0));
        Touch touch = new StrungPegbox(crowded, SET, Map.of()).touches().get(0);
        assertThat(touch.clearance().string()).isEqualTo(IV);
        assertThat(touch.clearance().obstacle()).isEqualTo(Obstacle.BASS_WALL);
        assertThat(touch.cure()).isEqualTo(Touch.Cure.WIND_ON_OTHER_SIDE);
        assertThat(touch.otherwiseMm()).isGreaterThan(touch.clearance().mm()).isPositive();

        SetUp shallow = VIOLIN.measured(Map.of(Measurable.of(Quantity.SHAFT_DEPTH, Position.III), 9.5));
        Touch shaft = new StrungPegbox(shallow, SET, Map.of()).touches().get(0);
        assertThat(shaft.clearance().obstacle()).isIn(Obstacle.SHAFT, Obstacle.TURNS);
        assertThat(shaft.clearance().string()).isEqualTo(II);
        assertThat(shaft.clearance().belongsTo()).contains(III);
        assertThat(shaft.cure()).isEqualTo(Touch.Cure.REFER_TO_REPAIRER);
    }

    @Test
    void windingUpToTheWallIsNoTouch() {
        Map<Position, WindingChoice> toWall = new EnumMap<>(Position.class);
        VIOLIN.positions()
                .forEach(position -> toWall.put(
                        position,
                        new WindingChoice(
                                Lock.FAR_SIDE_THEN_CROSS, Wall.WOUND_TO_WALL, Way.OVER_THE_TOP, HoleSide.KNOB_SIDE)));
        assertThat(new StrungPegbox(VIOLIN, SET, toWall).touches()).isEmpty();
    }

    /** What is measured moves the answer the way it must: a deeper neighbour is always further away. */
    @Property(tries = 60)
    void aDeeperShaftIsFurtherFromTheStringsAboveIt(
            @ForAll @DoubleRange(min = 9, max = 15) double depthMm,
            @ForAll @DoubleRange(min = 0.1, max = 3) double by) {
        double near = shaftClearance(depthMm);
        double deeper = shaftClearance(depthMm + by);
        assertThat(deeper).isGreaterThan(near);
    }

    private static double shaftClearance(double depthMm) {
        SetUp setUp = VIOLIN.measured(Map.of(Measurable.of(Quantity.SHAFT_DEPTH, Position.III), depthMm));
        return clearance(new StrungPegbox(setUp, SET, Map.of()), II, Obstacle.SHAFT, III)
                .mm();
    }

    /** Left-handed is the mirror image: every figure is the same, only the hand turns the other way. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void aLeftHandedInstrumentGivesMirroredAnswers(Family family) {
        SetUp right = Examples.instrument(family);
        SetUp left = new SetUp(right.size(), true, right.referenceA(), right.openStrings(), Map.of(), right.tailEnds());
        Map<Position, StringSpec> set = Examples.set(right);
        StrungPegbox one = new StrungPegbox(right, set, Map.of());
        StrungPegbox other = new StrungPegbox(left, set, Map.of());
        for (Position position : right.positions()) {
            assertThat(other.winding(position).leavesXMm())
                    .isEqualTo(one.winding(position).leavesXMm());
            assertThat(other.winding(position).clockwise())
                    .isNotEqualTo(one.winding(position).clockwise());
            assertThat(other.clearances(position)).isEqualTo(one.clearances(position));
        }
    }

    @Test
    void aFifthStringOnFourPegsIsNamed() {
        StringSpec fifth = Examples.string(
                new SetUp(
                        VIOLIN.size(),
                        false,
                        VIOLIN.referenceA(),
                        List.of(Pitch.of("E5"), Pitch.of("A4"), Pitch.of("D4"), Pitch.of("G3"), Pitch.of("C3")),
                        Map.of(),
                        Map.of()),
                V);
        assertThatThrownBy(() -> WindingPlan.of(VIOLIN, fifth, WindingChoice.USUAL))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("it must be one of");
        assertThatThrownBy(() -> new Pegbox(VIOLIN).knobSide(V)).hasMessageContaining("position is V");
        assertThatThrownBy(() -> VIOLIN.openString(V)).hasMessageContaining("position is V");
        assertThatThrownBy(() -> VIOLIN.value(Quantity.GEAR_RATIO)).hasMessageContaining("quantity is GEAR_RATIO");
    }

    @Test
    void swappedPegsAndFiveStringsHaveTheirOwnPlaces() {
        SetUp swapped = new SetUp(
                VIOLIN.size(),
                false,
                VIOLIN.referenceA(),
                VIOLIN.openStrings(),
                Map.of(
                        Measurable.of(Quantity.NUT_TO_PEG, Position.II), Figure.measured(53, Unit.MILLIMETRE),
                        Measurable.of(Quantity.NUT_TO_PEG, Position.III), Figure.measured(68, Unit.MILLIMETRE)),
                VIOLIN.tailEnds(),
                Map.of(II, Side.BASS, III, Side.TREBLE),
                null);
        assertThat(new Pegbox(swapped).knobSide(II)).isEqualTo(-1);
        assertThat(new Pegbox(swapped).knobSide(III)).isEqualTo(1);
        assertThat(new Pegbox(swapped).knobSide(I)).isEqualTo(1);
        assertThat(WindingPlan.of(swapped, SET.get(III), WindingChoice.USUAL).clockwise())
                .isTrue();

        List<Pitch> five = new ArrayList<>(VIOLIN.openStrings());
        five.add(Pitch.of("C3"));
        SetUp withLowC = new SetUp(VIOLIN.size(), false, VIOLIN.referenceA(), five, Map.of(), VIOLIN.tailEnds());
        assertThat(withLowC.value(Quantity.NUT_TO_PEG, Position.V)).isEqualTo(16);
        assertThat(withLowC.value(Quantity.NUT_TO_PEG, Position.III)).isEqualTo(84);
        assertThat(withLowC.value(Quantity.PEGBOX_LENGTH)).isCloseTo(78 * 84 / 68.0, within(1e-9));
        assertThat(withLowC.xAtNutMm(III)).isZero();
        assertThat(VIOLIN.has(Measurable.of(Quantity.NUT_TO_PEG, Position.V))).isFalse();
        assertThat(VIOLIN.has(Measurable.of(Quantity.GEAR_RATIO))).isFalse();
        assertThat(new StrungPegbox(withLowC, Examples.set(withLowC), Map.of()).coveredBy(V))
                .containsExactly(IV);
    }
}
