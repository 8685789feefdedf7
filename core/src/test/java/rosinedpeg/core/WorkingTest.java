package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Turns;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.working.Inputs;
import rosinedpeg.core.working.Term;
import rosinedpeg.core.working.Worked;
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

    private static List<Term.Part> parts(Working working) {
        return working.terms().stream()
                .flatMap(term -> term.part().stream())
                .distinct()
                .toList();
    }

    @Test
    void turnsNameEverythingThatGoesIntoThem() {
        SetUp violin = Examples.VIOLIN.measured(Map.of(Measurable.of(Quantity.VIBRATING_LENGTH), 328.0));
        Map<Position, StringSpec> set = Examples.violinSet();
        StringSpec string = set.get(Position.III);
        Working turns = Working.of(Worked.TURNS, Inputs.of(violin, set).about(string, WindingChoice.USUAL));
        assertThat(turns.result().value()).isEqualTo(Turns.of(violin, string).count());
        assertThat(turns.result().origin()).as("as good as its weakest number").isEqualTo(Origin.DEFAULT);
        assertThat(measured(turns))
                .containsExactlyInAnyOrder(
                        Quantity.VIBRATING_LENGTH, Quantity.AFTERLENGTH, Quantity.NUT_TO_PEG, Quantity.SHAFT_DIAMETER);
        assertThat(parts(turns))
                .containsExactlyInAnyOrder(
                        Term.Part.TOTAL_LENGTH,
                        Term.Part.DIAMETER,
                        Term.Part.TENSION,
                        Term.Part.AXIAL_STIFFNESS,
                        Term.Part.DESIGN_LENGTH);
        Term longest = turns.terms().get(0);
        assertThat(longest.part()).as("5 % of the whole string is a turn").contains(Term.Part.TOTAL_LENGTH);
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
                Worked.TREBLE_SHARE,
                Inputs.of(Examples.VIOLIN, set).carrying(withoutFirst, Examples.VIOLIN.tensionsN(set)));
        assertThat(share.result().value()).isCloseTo(0.375, within(0.0005));
        assertThat(measured(share))
                .contains(Quantity.FOOT_SPAN, Quantity.BRIDGE_SPACING, Quantity.OFF_CENTRE)
                .doesNotContain(Quantity.FRONT_ANGLE, Quantity.BACK_ANGLE, Quantity.SHAFT_DIAMETER);
        assertThat(parts(share)).containsExactlyInAnyOrder(Term.Part.CARRIED, Term.Part.AT_PITCH);
    }

    @Test
    void aUsualStuckShareKeepsALeanFromBeingMeasured() {
        SetUp all = Examples.VIOLIN.measured(Examples.VIOLIN.figures().entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().value())));
        Map<Position, StringSpec> set = Examples.violinSet();
        Inputs inputs = Inputs.of(all, set).about(set.get(Position.I), WindingChoice.USUAL);
        assertThat(Working.of(Worked.TURNS, inputs).result().origin()).isEqualTo(Origin.MEASURED);
        assertThat(Working.of(Worked.DRAG_LEAN_DRY, inputs).result().origin()).isEqualTo(Origin.DEFAULT);
        StuckShares learned =
                StuckShares.learned(Evidence.NONE.plus(1, 0.3).plus(1, 0.4).plus(1, 0.35), Evidence.NONE);
        assertThat(Working.of(Worked.DRAG_LEAN_DRY, inputs.sticking(learned))
                        .result()
                        .origin())
                .isEqualTo(Origin.LEARNED);
    }

    @ParameterizedTest
    @EnumSource(Worked.class)
    void everyFigureHasItsWorkingOnEveryFamily(Worked worked) {
        for (Family family : Family.values()) {
            SetUp setUp = Examples.instrument(family);
            Map<Position, StringSpec> set = Examples.set(setUp);
            boolean middle =
                    EnumSet.of(Worked.PROUD, Worked.BOWING_ANGLE, Worked.RADIUS).contains(worked);
            boolean ofTuner = worked.name().startsWith("TUNER") || worked == Worked.LEVER_AT_ITS_END;
            Position position = middle ? Position.II : Position.I;
            if (ofTuner && !setUp.tailEnds().get(position).hasFineTuner()) {
                continue;
            }
            Inputs inputs = Inputs.of(setUp, set).about(set.get(position), WindingChoice.USUAL);
            Working working = Working.of(worked, inputs);
            assertThat(working.result().value()).as("%s on %s", worked, family).isEqualTo(worked.value(inputs));
            assertThat(working.result().unit()).isEqualTo(worked.unit());
            boolean sharesOfAll = worked == Worked.TREBLE_SHARE || worked == Worked.BASS_SHARE || worked == Worked.TRIM;
            boolean asGiven = worked == Worked.TIP || worked == Worked.FAR_SIDE_TURNS;
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
        Working turns = Working.of(Worked.TURNS, Inputs.of(bass, Map.of()).about(longest, WindingChoice.USUAL));
        assertThat(turns.terms().get(0).part()).contains(Term.Part.TOTAL_LENGTH);
        assertThat(turns.terms().get(0).moves()).as("what 5 % more would do").isPositive();
    }

    @Test
    void aStringsFigureWantsAString() {
        assertThatThrownBy(() -> Working.of(Worked.STRETCH, Inputs.of(Examples.VIOLIN, Examples.violinSet())))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("string is missing");
        Inputs bare = Inputs.of(Examples.VIOLIN, Map.of());
        assertThat(Working.of(Worked.PROUD, bare.at(Position.II)).result().value())
                .as("where it lies is known before a string is there")
                .isPositive();
        assertThatThrownBy(() -> Working.of(Worked.STRETCH, bare.at(Position.II)))
                .hasMessageContaining("string is missing");
    }
}
