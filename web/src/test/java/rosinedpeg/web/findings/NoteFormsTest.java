package rosinedpeg.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.strings.Position;
import tools.jackson.databind.json.JsonMapper;

/** Notes as they are kept are read for ever after; a line here is never changed. */
class NoteFormsTest {

    private final NoteForms forms = new NoteForms(JsonMapper.shared());

    static Stream<Arguments> kept() {
        return Stream.of(
                Arguments.of(
                        new Note.WentWrong(new Mishap(Mishap.Kind.STRING_BROKE, Position.I, BreakPlace.NUT), true),
                        """
                        {"mishap":"STRING_BROKE","position":"I","place":"NUT","instrumentAtFault":true}"""),
                Arguments.of(new Note.WentWrong(Mishap.of(Mishap.Kind.MUST_STOP, null), false), """
                        {"mishap":"MUST_STOP","position":null,"place":null,"instrumentAtFault":false}"""),
                Arguments.of(new Note.WorkDone(PlanKind.GRAPHITE), """
                        {"work":"GRAPHITE"}"""),
                Arguments.of(
                        new Note.BegunAllTheSame(
                                List.of(
                                        new Note.Written("Open seam."),
                                        new Note.WentWrong(Mishap.of(Mishap.Kind.PEG_STUCK, Position.II), false)),
                                List.of(Finding.on(
                                        Position.III,
                                        FindingKind.PEG_CRACKED,
                                        Severity.STOPS,
                                        Figure.measured(2.5, Unit.DEGREE)))),
                        """
                        {"referrals":[{"text":"Open seam.","mishap":null},\
                        {"text":null,"mishap":{"mishap":"PEG_STUCK","position":"II","place":null,\
                        "instrumentAtFault":false}}],\
                        "findings":[{"finding":"PEG_CRACKED","severity":"STOPS","position":"III","refer":false,\
                        "figures":[{"value":2.5,"unit":"DEGREE","origin":"MEASURED"}]}]}"""));
    }

    @ParameterizedTest
    @MethodSource("kept")
    void aNoteIsReadAsItWasKept(Note note, String form) {
        assertThat(forms.arguments(note)).isEqualTo(form);
        assertThat(forms.read(note.kind(), null, form)).isEqualTo(note);
    }
}
