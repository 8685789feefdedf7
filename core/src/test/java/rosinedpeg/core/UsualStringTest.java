package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.core.working.InstrumentGrounds;
import rosinedpeg.core.working.Working;

/** A string that nobody knows: it fits what it is on, holds, can be changed, and claims nothing. */
class UsualStringTest {

    static Stream<SetUp> instruments() {
        List<SetUp> all = new ArrayList<>();
        for (Family family : Family.values()) {
            Size.of(family).forEach(size -> all.add(SetUp.unmeasured(size)));
        }
        all.add(tuned("VIOLIN", "4/4", "E5 A4 D4 G3 C3"));
        all.add(tuned("VIOLA", "16", "E5 A4 D4 G3 C3"));
        all.add(tuned("BASS", "3/4", "G2 D2 A1 E1 B0"));
        all.add(tuned("BASS", "3/4", "A2 E2 B1 F#1"));
        all.add(tuned("VIOLIN", "4/4", "E5 A4 D4 A3"));
        return all.stream();
    }

    private static SetUp tuned(String family, String size, String strings) {
        return new SetUp(
                Size.of(Family.valueOf(family), size),
                false,
                ReferenceA.STANDARD,
                Arrays.stream(strings.split(" ")).map(Pitch::of).toList(),
                Map.of(),
                Map.of());
    }

    @ParameterizedTest
    @MethodSource("instruments")
    void goesOnEveryInstrumentOfEveryCore(SetUp setUp) {
        for (StringCore core : UsualString.cores(setUp.size())) {
            Map<Position, StringSpec> set = new EnumMap<>(Position.class);
            setUp.positions().forEach(position -> set.put(position, UsualString.of(setUp, position, core)));
            FitCheck check = FitCheck.of(setUp, set);
            set.forEach((position, string) -> {
                assertThat(check.judge(position, string))
                        .as("%s %s %s %s", setUp.family(), setUp.size().code(), position, string)
                        .allSatisfy(finding -> assertThat(finding.kind()).isEqualTo(FindingKind.FITS))
                        .allSatisfy(finding -> assertThat(finding.figures())
                                .extracting(Figure::origin)
                                .containsOnly(Origin.DEFAULT));
                double atPitchN = setUp.elasticity(string).tensionN();
                assertThat(string.breakingTensionN()).as("%s", string).isGreaterThan(1.1 * atPitchN);
            });
            ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(setUp, set, set));
            assertThat(plan.refusals()).isEmpty();
        }
    }

    /** The string of another core, size or pitch follows from the string equation. */
    @ParameterizedTest
    @CsvSource({
        "VIOLIN, 4/4, E5 A4 D4 G3, II, SYNTHETIC, 54, 0.68, 1400",
        "VIOLIN, 4/4, E5 A4 D4 G3, II, GUT, 50.76, 0.714, 980",
        "VIOLIN, 4/4, E5 A4 D4 G3, I, GUT, 78, 0.26, 10600",
        "VIOLIN, 1/2, E5 A4 D4 G3, II, SYNTHETIC, 46.921, 0.7295, 1400",
        "VIOLIN, 4/4, E5 A4 D4 G3 C3, V, SYNTHETIC, 44, 1.048, 1500",
        "CELLO, 4/4, A3 D3 G2 C2, IV, ROPE_STEEL, 135, 1.65, 12000",
        "BASS, 3/4, G2 D2 A1 E1, I, SYNTHETIC, 282, 1.4205, 10181.8"
    })
    void followsFromTheUsualOne(
            String family,
            String size,
            String open,
            Position position,
            StringCore core,
            double n,
            double mm,
            double ea) {
        StringSpec string = UsualString.of(tuned(family, size, open), position, core);
        assertThat(string.tensionN()).isCloseTo(n, within(0.01));
        assertThat(string.diameterMm()).isCloseTo(mm, within(0.001));
        assertThat(string.axialStiffnessN()).isCloseTo(ea, within(0.1));
    }

    /** One string tuned away is the usual one; all of them together, or one far away, are other strings. */
    @ParameterizedTest
    @CsvSource({
        "VIOLIN, E5 A4 D4 A3, IV, G3",
        "VIOLIN, E5 A4 D4 C3, IV, C3",
        "BASS, A2 E2 B1 F#1, I, A2",
        "VIOLIN, E5 A4 D4 G3 C3, V, C3"
    })
    void isMadeForThePitchThatSuchStringsAreMadeFor(String family, String open, Position position, String pitch) {
        String size = Size.of(Family.valueOf(family)).get(0).code();
        assertThat(UsualString.of(tuned(family, size, open), position).nominalPitch())
                .isEqualTo(Pitch.of(pitch));
    }

    /** However well the instrument was measured, what rests on an unknown string is a default. */
    @Test
    void makesWhatRestsOnItADefault() {
        Map<Measurable, Double> everything = new LinkedHashMap<>();
        Examples.VIOLIN.figures().forEach((measurable, figure) -> everything.put(measurable, figure.value()));
        SetUp measured = Examples.VIOLIN.measured(everything);
        Map<Position, StringSpec> unknown = new EnumMap<>(Position.class);
        Map<Position, StringSpec> known = new EnumMap<>(Position.class);
        measured.positions().forEach(position -> {
            StringSpec usual = UsualString.of(measured, position);
            unknown.put(position, usual);
            known.put(position, usual.assuming(Set.of()));
        });
        assertThat(turns(measured, known)).isEqualTo(Origin.MEASURED);
        assertThat(turns(measured, unknown)).isEqualTo(Origin.DEFAULT);
        assertThat(stepTurns(measured, known)).isEqualTo(Origin.MEASURED);
        assertThat(stepTurns(measured, unknown)).isEqualTo(Origin.DEFAULT);
    }

    private static Origin turns(SetUp setUp, Map<Position, StringSpec> strings) {
        InstrumentGrounds grounds =
                InstrumentGrounds.of(setUp, strings).about(Position.II.in(strings), WindingChoice.USUAL);
        return Working.of(InstrumentFigure.TURNS, grounds).result().origin();
    }

    private static Origin stepTurns(SetUp setUp, Map<Position, StringSpec> strings) {
        return ChangePlanner.plan(ChangeRequest.usual(setUp, strings, Map.of(Position.II, Position.II.in(strings))))
                .steps()
                .stream()
                .filter(step -> step.figures().containsKey(StepFigure.TURNS))
                .map(step -> step.figures().get(StepFigure.TURNS).origin())
                .findFirst()
                .orElseThrow();
    }
}
