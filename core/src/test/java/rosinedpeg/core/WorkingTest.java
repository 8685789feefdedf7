package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.pegs.CollarTrend.Collar;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.rounds.NextRound;
import rosinedpeg.core.settling.SettlingFit;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.SettlingReading;
import rosinedpeg.core.settling.Sinking;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.usual.Pull;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Turns;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.working.CollarFigure;
import rosinedpeg.core.working.CollarGrounds;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.core.working.InstrumentGrounds;
import rosinedpeg.core.working.PacketFigure;
import rosinedpeg.core.working.PacketGrounds;
import rosinedpeg.core.working.SettlingFigure;
import rosinedpeg.core.working.SettlingGrounds;
import rosinedpeg.core.working.Term;
import rosinedpeg.core.working.TimeFigure;
import rosinedpeg.core.working.TimeGrounds;
import rosinedpeg.core.working.TuningFigure;
import rosinedpeg.core.working.TuningGrounds;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.core.working.WearGrounds;
import rosinedpeg.core.working.What;
import rosinedpeg.core.working.Working;

/** Every figure can say what went into it, and says what it is. */
class WorkingTest {

    private static List<Quantity> measured(Working working) {
        return working.terms().stream()
                .flatMap(term -> term.measurable().stream())
                .map(Measurable::quantity)
                .distinct()
                .toList();
    }

    private static List<What.Part> parts(Working working) {
        return working.terms().stream()
                .flatMap(term -> term.other().stream())
                .map(What.Other::part)
                .distinct()
                .toList();
    }

    /** Made shorter to see what follows, the longest string without silk is still one without. */
    @Test
    void theLongestStringWithoutSilkHasAWorkingToo() {
        SetUp bass = Examples.instrument(Family.BASS);
        StringSpec usual = Examples.set(bass).get(Position.II);
        StringSpec longest = Examples.with(
                usual,
                usual.core(),
                usual.tensionN(),
                usual.diameterMm(),
                0,
                StringSpec.LONGEST_MM,
                StringSpec.LONGEST_MM);
        Working turns = Working.of(
                InstrumentFigure.TURNS,
                InstrumentGrounds.of(bass, Map.of(Position.II, longest)).about(longest, WindingChoice.USUAL));
        assertThat(parts(turns)).contains(What.Part.TOTAL_LENGTH);
    }

    @Test
    void turnsNameEverythingThatGoesIntoThem() {
        SetUp violin = Examples.VIOLIN.measured(Map.of(Measurable.of(Quantity.VIBRATING_LENGTH), 328.0));
        Map<Position, StringSpec> set = Examples.violinSet();
        StringSpec string = set.get(Position.III);
        Working turns = Working.of(
                InstrumentFigure.TURNS, InstrumentGrounds.of(violin, set).about(string, WindingChoice.USUAL));
        assertThat(turns.result().value()).isEqualTo(Turns.of(violin, string).count());
        assertThat(turns.result().origin()).as("as good as its weakest number").isEqualTo(Origin.DEFAULT);
        assertThat(measured(turns))
                .containsExactlyInAnyOrder(
                        Quantity.VIBRATING_LENGTH, Quantity.AFTERLENGTH, Quantity.NUT_TO_PEG, Quantity.SHAFT_DIAMETER);
        assertThat(parts(turns))
                .containsExactlyInAnyOrder(
                        What.Part.TOTAL_LENGTH,
                        What.Part.DIAMETER,
                        What.Part.TENSION,
                        What.Part.AXIAL_STIFFNESS,
                        What.Part.DESIGN_LENGTH);
        var longest = turns.terms().get(0);
        assertThat(parts(turns).get(0)).as("5 % of the whole string is a turn").isEqualTo(What.Part.TOTAL_LENGTH);
        assertThat(longest.moves()).isCloseTo(0.05 * string.totalLengthMm() / (Math.PI * 8.4), within(1e-6));
        assertThat(turns.worthMeasuring()
                        .orElseThrow()
                        .measurable()
                        .orElseThrow()
                        .quantity())
                .as("what was measured need not be again")
                .isIn(Quantity.SHAFT_DIAMETER, Quantity.AFTERLENGTH, Quantity.NUT_TO_PEG);
    }

    /** The angles of the strings press both feet alike: they go into the load, but not into its shares. */
    @Test
    void whatCancelsOutIsNotNamed() {
        Map<Position, StringSpec> set = Examples.violinSet();
        Map<Position, Double> withoutFirst = Examples.VIOLIN.tensionsN(set);
        withoutFirst.put(Position.I, 0.0);
        Working share = Working.of(
                InstrumentFigure.TREBLE_SHARE,
                InstrumentGrounds.of(Examples.VIOLIN, set).carrying(withoutFirst, Examples.VIOLIN.tensionsN(set)));
        assertThat(share.result().value()).isCloseTo(0.375, within(0.0005));
        assertThat(measured(share))
                .contains(Quantity.FOOT_SPAN, Quantity.BRIDGE_SPACING, Quantity.OFF_CENTRE)
                .doesNotContain(Quantity.FRONT_ANGLE, Quantity.BACK_ANGLE, Quantity.SHAFT_DIAMETER);
        assertThat(parts(share)).containsExactlyInAnyOrder(What.Part.CARRIED, What.Part.AT_PITCH);
    }

    @Test
    void aUsualStuckShareKeepsALeanFromBeingMeasured() {
        SetUp all = Examples.VIOLIN.measured(Examples.VIOLIN.figures().entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().value())));
        Map<Position, StringSpec> set = Examples.violinSet();
        InstrumentGrounds grounds = InstrumentGrounds.of(all, set).about(set.get(Position.I), WindingChoice.USUAL);
        assertThat(Working.of(InstrumentFigure.TURNS, grounds).result().origin())
                .isEqualTo(Origin.MEASURED);
        assertThat(Working.of(InstrumentFigure.DRAG_LEAN_DRY, grounds).result().origin())
                .isEqualTo(Origin.DEFAULT);
        StuckShares learned =
                StuckShares.learned(Evidence.NONE.plus(1, 0.3).plus(1, 0.4).plus(1, 0.35), Evidence.NONE);
        assertThat(Working.of(InstrumentFigure.DRAG_LEAN_DRY, grounds.sticking(learned))
                        .result()
                        .origin())
                .isEqualTo(Origin.LEARNED);
    }

    @ParameterizedTest
    @EnumSource(InstrumentFigure.class)
    void everyFigureHasItsWorkingOnEveryFamily(InstrumentFigure worked) {
        for (Family family : Family.values()) {
            SetUp setUp = Examples.instrument(family);
            Map<Position, StringSpec> set = Examples.set(setUp);
            boolean middle = EnumSet.of(InstrumentFigure.PROUD, InstrumentFigure.BOWING_ANGLE, InstrumentFigure.RADIUS)
                    .contains(worked);
            boolean ofTuner = worked.name().startsWith("TUNER") || worked == InstrumentFigure.LEVER_AT_ITS_END;
            Position position = middle ? Position.II : Position.I;
            if (ofTuner && !setUp.tailEnds().get(position).hasFineTuner()) {
                continue;
            }
            InstrumentGrounds grounds = InstrumentGrounds.of(setUp, set).about(set.get(position), WindingChoice.USUAL);
            if (worked == InstrumentFigure.LOAD_CHANGE) {
                grounds = grounds.carrying(Map.of(position, 60.0), setUp.tensionsN(set));
            }
            Working working = Working.of(worked, grounds);
            assertThat(working.result().value()).as("%s on %s", worked, family).isEqualTo(worked.value(grounds));
            assertThat(working.result().unit()).isEqualTo(worked.unit());
            boolean sharesOfAll = worked == InstrumentFigure.TREBLE_SHARE
                    || worked == InstrumentFigure.BASS_SHARE
                    || worked == InstrumentFigure.TRIM;
            boolean asGiven = worked == InstrumentFigure.TIP || worked == InstrumentFigure.FAR_SIDE_TURNS;
            if (!sharesOfAll && !asGiven) {
                assertThat(working.terms())
                        .as("%s on %s rests on something", worked, family)
                        .isNotEmpty();
            }
            assertThat(working.terms())
                    .as("what moves it most first")
                    .isSortedAccordingTo((a, b) -> Double.compare(Math.abs(b.moves()), Math.abs(a.moves())));
        }
    }

    @Test
    void aStringAsLongAsAnyIsMadeShorterInstead() {
        SetUp bass = Examples.instrument(Family.BASS);
        StringSpec longest =
                Examples.with(Examples.string(bass, Position.I), StringCore.ROPE_STEEL, StringSpec.LONGEST_MM);
        Working turns = Working.of(
                InstrumentFigure.TURNS, InstrumentGrounds.of(bass, Map.of()).about(longest, WindingChoice.USUAL));
        assertThat(parts(turns).get(0)).isEqualTo(What.Part.TOTAL_LENGTH);
        assertThat(turns.terms().get(0).moves()).as("what 5 % more would do").isPositive();
    }

    @Test
    void aStringsFigureWantsAString() {
        assertThatThrownBy(() -> Working.of(
                        InstrumentFigure.STRETCH, InstrumentGrounds.of(Examples.VIOLIN, Examples.violinSet())))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("string is missing");
        InstrumentGrounds bare = InstrumentGrounds.of(Examples.VIOLIN, Map.of());
        assertThat(Working.of(InstrumentFigure.PROUD, bare.at(Position.II))
                        .result()
                        .value())
                .as("where it lies is known before a string is there")
                .isPositive();
        assertThatThrownBy(() -> Working.of(InstrumentFigure.STRETCH, bare.at(Position.II)))
                .hasMessageContaining("string is missing");
    }

    @Test
    void wearNamesHoursTimeAndLife() {
        Life life = new Life(300, 30);
        WearGrounds on = new WearGrounds(
                20, 3 * Wear.HOURS_PER_MONTH, 3 * Wear.HOURS_PER_MONTH, 7, 10, 0.2, life, Demand.STUDY.threshold());
        Working worn = Working.of(WearFigure.WORN, on);
        double played = 20 + 7 + 10 * 3 * Wear.HOURS_PER_MONTH / 168;
        assertThat(worn.result().value()).isCloseTo(played / 300 + 3 / 30.0 + 0.2, within(1e-9));
        assertThat(worn.result().origin()).as("a usual life").isEqualTo(Origin.DEFAULT);
        assertThat(parts(worn))
                .containsExactlyInAnyOrder(
                        What.Part.HOURS_BEFORE,
                        What.Part.AGE,
                        What.Part.PLAYING_TIME,
                        What.Part.DIARY_HOURS,
                        What.Part.HOURS_PER_WEEK,
                        What.Part.SIGNS_OF_WEAR,
                        What.Part.LIFE_HOURS,
                        What.Part.LIFE_MONTHS);
        assertThat(parts(Working.of(WearFigure.MONTHS_LEFT, on))).contains(What.Part.DEMAND);
        assertThat(parts(Working.of(WearFigure.HOURS_PLAYED, on)))
                .containsExactlyInAnyOrder(
                        What.Part.HOURS_BEFORE,
                        What.Part.PLAYING_TIME,
                        What.Part.DIARY_HOURS,
                        What.Part.HOURS_PER_WEEK);
    }

    /** Without readings a forecast is its default; every reading then moves it, one of them most. */
    @Test
    void settlingNamesItsDefaultAndItsReadings() {
        SettlingForecast usual = SettlingForecast.usual(StringCore.SYNTHETIC);
        SettlingGrounds unread = SettlingGrounds.of(usual, List.of(), 5, Steadiness.CONCERT);
        Working steady = Working.of(SettlingFigure.STEADY_AT, unread);
        assertThat(steady.result().value()).isCloseTo(usual.steadyAtHours(Steadiness.CONCERT), within(1e-6));
        assertThat(parts(steady))
                .containsExactlyInAnyOrder(What.Part.USUAL_TOTAL, What.Part.USUAL_TAU, What.Part.TOLERANCE);
        SettlingGrounds read = SettlingGrounds.of(
                usual,
                List.of(new SettlingReading(10, -30, false), new SettlingReading(2, -70, true)),
                5,
                Steadiness.CONCERT);
        assertThat(parts(Working.of(SettlingFigure.STEADY_AT, read))).contains(What.Part.SETTLING_READING);
        Working lost = Working.of(SettlingFigure.READ_LOST, read.atReading(2));
        assertThat(lost.result().value()).as("by hour 10, both").isEqualTo(100);
        assertThat(lost.result().origin()).isEqualTo(Origin.MEASURED);
        assertThat(lost.terms())
                .extracting(Term::what)
                .containsExactly(
                        new What.Other(What.Part.SETTLING_READING, null, 1),
                        new What.Other(What.Part.SETTLING_READING, null, 2));
        assertThatThrownBy(() -> SettlingFigure.READ_LOST.value(read)).hasMessageContaining("counted from 1");
        Sinking second = SettlingFit.of(usual, read.readings()).sinkings().get(1);
        assertThat(SettlingFigure.OUT_OF_LINE.value(read.atReading(2)))
                .isEqualTo((second.sankCents() - second.expectedCents()) / second.spreadCents());
        assertThat(SettlingFigure.STEADY_AT_EARLIEST.value(read)).isLessThan(SettlingFigure.STEADY_AT.value(read));
        assertThat(SettlingFigure.STEADY_AT_LATEST.value(read)).isGreaterThan(SettlingFigure.STEADY_AT.value(read));
    }

    @Test
    void aStringSinksByWhatTheInstrumentGives() {
        Map<Position, StringSpec> set = Examples.violinSet();
        Map<Position, Double> nowN = Examples.VIOLIN.tensionsN(set);
        nowN.put(Position.II, 20.0);
        Coupling coupling = Coupling.usual(Family.VIOLIN);
        TuningGrounds on = new TuningGrounds(
                Examples.VIOLIN,
                set,
                nowN,
                new Figure(coupling.mmPerN(), Unit.MILLIMETRE_PER_NEWTON, Origin.LEARNED),
                Optional.of(Position.II),
                Optional.of(Position.I));
        Working sinks = Working.of(TuningFigure.SINKS_BY, on);
        assertThat(sinks.result().value())
                .isEqualTo(NextRound.of(Examples.VIOLIN, set, nowN, coupling, Position.II)
                        .orElseThrow()
                        .drops()
                        .get(Position.I)
                        .value())
                .isNegative();
        assertThat(parts(sinks)).contains(What.Part.COUPLING, What.Part.CARRIED, What.Part.AXIAL_STIFFNESS);
        assertThat(sinks.result().origin()).as("lengths are usual ones").isEqualTo(Origin.DEFAULT);
        assertThatThrownBy(() -> TuningFigure.SINKS_BY.value(new TuningGrounds(
                        Examples.VIOLIN, set, nowN, on.coupling(), Optional.of(Position.II), Optional.empty())))
                .hasMessageContaining("asked is missing");
    }

    @Test
    void theTimeOfAPlanIsThatOfItsSteps() {
        ChangePlan plan = Examples.plan(Position.II, Position.III);
        Working time = Working.of(TimeFigure.USUAL_TIME, TimeGrounds.of(plan));
        assertThat(time.result().value()).isCloseTo(plan.minutes(), within(1e-9));
        assertThat(parts(time)).contains(What.Part.MINUTES_AT_STRING, What.Part.MINUTES_FOR_ALL);
        assertThat(time.terms().stream()
                        .mapToDouble(term -> term.figure().value())
                        .sum())
                .isCloseTo(plan.minutes(), within(1e-9));
    }

    /** Every figure of every step of every family is found again from the instrument, its string and how it is wound. */
    @Test
    void everyFigureOfAStepIsFoundAgain() {
        for (Family family : Family.values()) {
            SetUp setUp = Examples.instrument(family);
            Map<Position, StringSpec> set = Examples.set(setUp);
            for (Schools.FirstEnd end : Schools.FirstEnd.values()) {
                ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(setUp, set, set)
                        .by(Examples.together()
                                .with(end, Lock.FAR_SIDE_THEN_CROSS, Schools.AtWall.WOUND_TO_WALL)
                                .with(Schools.Stance.HAIR_BACKWARDS, Schools.Raising.values()[0])));
                for (Step step : plan.steps()) {
                    InstrumentGrounds grounds = InstrumentGrounds.of(setUp, set);
                    Position position = step.position();
                    if (position != null) {
                        grounds = grounds.about(set.get(position), plan.windingOf(position));
                    }
                    Figure raised = step.figures().get(StepFigure.TENSION_SHARE);
                    InstrumentGrounds on = raised == null ? grounds : grounds.raisedTo(raised.value());
                    step.figures()
                            .forEach((figure, shown) -> assertThat(InstrumentFigure.of(step.kind(), figure)
                                            .value(on))
                                    .as("%s at %s on %s", figure, step.kind(), family)
                                    .isEqualTo(shown.value()));
                }
            }
        }
    }

    @Test
    void aCollarNamesItsReadingsOrItsWood() {
        LocalDate today = LocalDate.of(2026, 9, 1);
        CollarGrounds logged = new CollarGrounds(
                List.of(new Collar(today.minusYears(2), 5), new Collar(today, 3)), Optional.empty(), today);
        Working months = Working.of(CollarFigure.MONTHS_TO_WALL, logged);
        assertThat(months.result().value()).as("2 mm to go at 1 mm a year").isCloseTo(24, within(0.1));
        assertThat(months.result().origin()).isEqualTo(Origin.MEASURED);
        assertThat(months.terms()).hasSize(2);
        Working usual = Working.of(
                CollarFigure.MOVES_IN,
                new CollarGrounds(List.of(new Collar(today, 3)), Optional.of(PegWood.BOXWOOD), today));
        assertThat(usual.result().value())
                .isEqualTo(PegWood.BOXWOOD.usualMmPerYear().value());
        assertThat(usual.result().origin()).isEqualTo(Origin.DEFAULT);
        CollarGrounds nothing = new CollarGrounds(List.of(), Optional.of(PegWood.EBONY), today);
        assertThatThrownBy(() -> CollarFigure.MONTHS_TO_WALL.value(nothing)).hasMessageContaining("logged is []");
    }

    /** What a judgement says of its figure, the working says too. */
    @Test
    void aJudgementIsAsGoodAsItsFigure() {
        Map<Position, StringSpec> set = Examples.violinSet();
        SetUp half = Examples.VIOLIN.measured(
                Map.of(Measurable.of(Quantity.VIBRATING_LENGTH), 328.0, Measurable.of(Quantity.AFTERLENGTH), 55.0));
        SetUp whole = half.measured(Map.of(
                Measurable.of(Quantity.SHAFT_DIAMETER), 7.6, Measurable.of(Quantity.NUT_TO_PEG, Position.III), 60.0));
        for (SetUp setUp : List.of(Examples.VIOLIN, half, whole)) {
            Finding finding = new FitCheck(setUp, set)
                    .judge(Position.III, set.get(Position.III))
                    .get(0);
            InstrumentFigure behind = InstrumentFigure.behind(finding.kind()).orElseThrow();
            Working working = Working.of(
                    behind, InstrumentGrounds.of(setUp, set).about(set.get(Position.III), WindingChoice.USUAL));
            assertThat(finding.figures().get(0)).isEqualTo(working.result());
        }
    }

    /** Whatever a packet says, its figures are those of the string that follows, and what nobody said goes in as a default. */
    @Test
    void aKindOfStringSaysWhatItsFiguresRestOn() {
        Size violin = Size.of(Family.VIOLIN, "4/4");
        Packet weighed = Examples.packet(
                violin,
                Position.IV,
                StringCore.SYNTHETIC,
                Winding.SILVER,
                new Pull.Weighed(1.5, 560, 0.1),
                Optional.empty());
        Working tension = Working.of(PacketFigure.PACKET_TENSION, new PacketGrounds(weighed));
        assertThat(parts(tension))
                .containsExactlyInAnyOrder(What.Part.WEIGHED, What.Part.WEIGHED_LENGTH, What.Part.DESIGN_LENGTH);
        // T = μ·(2·L·f)² goes with the mass, so 5 % more of it is 5 % of 44.28 N.
        assertThat(tension.result().value()).isCloseTo(44.28, within(0.01));
        assertThat(tension.terms().stream()
                        .filter(term -> term.what().equals(new What.Other(What.Part.WEIGHED, Position.IV, 0)))
                        .findFirst()
                        .orElseThrow()
                        .moves())
                .isCloseTo(2.21, within(0.01));
        assertThat(tension.result().origin()).isEqualTo(Origin.MEASURED);
        assertThat(Working.of(PacketFigure.PACKET_THICKNESS, new PacketGrounds(weighed))
                        .result()
                        .origin())
                .as("its density is only usual")
                .isEqualTo(Origin.DEFAULT);

        Packet said = weighed.with(StringFigure.DESIGN_LENGTH, 328).with(StringFigure.TAIL_SILK_END, 44);
        assertThat(parts(Working.of(PacketFigure.PACKET_TAIL_SILK, new PacketGrounds(said))))
                .containsExactly(What.Part.TAIL_SILK_END);
        Packet bare = Examples.packet(
                violin,
                Position.II,
                StringCore.GUT,
                Winding.NONE,
                new Pull.OfGauge(Pull.Gauge.LIGHT),
                Optional.of(0.72));
        assertThat(parts(Working.of(PacketFigure.PACKET_MASS, new PacketGrounds(bare))))
                .containsExactly(What.Part.DIAMETER, What.Part.MEAN_DENSITY);
        for (Packet packet : List.of(weighed, said, bare)) {
            StringSpec string = packet.string();
            assertThat(Stream.of(PacketFigure.values())
                            .map(figure -> Working.of(figure, new PacketGrounds(packet))
                                    .result()
                                    .value()))
                    .containsExactly(
                            string.tensionN(),
                            packet.gramsPerMetre(),
                            string.diameterMm(),
                            string.tensionN() / string.axialStiffnessN(),
                            string.tailSilkEndMm(),
                            string.topSilkStartMm(),
                            string.totalLengthMm());
        }
    }
}
