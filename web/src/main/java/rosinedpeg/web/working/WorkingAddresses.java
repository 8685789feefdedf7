package rosinedpeg.web.working;

import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.working.CollarFigure;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.core.working.TimeFigure;
import rosinedpeg.core.working.TimeGrounds;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.web.platform.Say;

/** Where the working of a figure or of a judgement is shown. In templates: {@code @workings}. */
@Component("workings")
public class WorkingAddresses {

    private final Say say;

    WorkingAddresses(Say say) {
        this.say = say;
    }

    /** {@return the address for a figure of a string that is worn} */
    public String wear(UUID instrument, Position position, WearFigure figure) {
        return "/instruments/" + instrument + "/strings/" + position + "/working/" + figure;
    }

    /** {@return the address for a figure of a peg that wears its way in} */
    public String collar(UUID instrument, Position position, CollarFigure figure) {
        return "/instruments/" + instrument + "/pegs/" + position + "/working/" + figure;
    }

    /** {@return the address for the load on the treble foot, with what each string carries of what it carries at pitch} */
    public String treble(UUID instrument, Map<Position, Double> carriedN, Map<Position, Double> wholeN) {
        return carrying(instrument, InstrumentFigure.TREBLE_SHARE, carriedN, wholeN);
    }

    /** {@return the address for what new strings together press more than those they replace} */
    public String loadChange(UUID instrument, Map<Position, Double> newN, Map<Position, Double> presentN) {
        return carrying(instrument, InstrumentFigure.LOAD_CHANGE, newN, presentN);
    }

    private String carrying(
            UUID instrument, InstrumentFigure figure, Map<Position, Double> carriedN, Map<Position, Double> wholeN) {
        return of(instrument, figure)
                .queryParam("carries", say.ofEach(wholeN, carriedN))
                .queryParam("whole", say.ofEach(wholeN, wholeN))
                .toUriString();
    }

    /** {@return the address for the usual time of a plan} */
    public String time(UUID instrument, ChangePlan plan) {
        TimeGrounds grounds = TimeGrounds.of(plan);
        return UriComponentsBuilder.fromPath("/instruments/" + instrument + "/time/" + TimeFigure.USUAL_TIME)
                .queryParam("forAll", grounds.forAllMinutes())
                .queryParam("each", say.ofEach(plan.tensionsBeforeN(), grounds.ofEachMinutes()))
                .toUriString();
    }

    /**
     * The address for the figure that a judgement rests on.
     *
     * @param instrument the instrument
     * @param finding the judgement
     * @param kind the kind of string that is judged, null for the one that is on
     * @return the address; null where no figure that was worked out is behind it
     */
    public String behind(UUID instrument, Finding finding, UUID kind) {
        Position position = finding.concerns().orElse(null);
        if (finding.kind() == FindingKind.STRING_DUE) {
            return wear(instrument, position, WearFigure.WORN);
        }
        if (finding.kind() == FindingKind.COLLAR_RUNS_OUT) {
            return collar(instrument, position, CollarFigure.MONTHS_TO_WALL);
        }
        return InstrumentFigure.behind(finding.kind())
                .filter(figure -> position != null || figure != InstrumentFigure.LOAD_RISE)
                .map(figure -> {
                    UriComponentsBuilder address = of(instrument, figure);
                    if (position != null) {
                        address.queryParam("string", position);
                    }
                    if (kind != null) {
                        address.queryParam("kind", kind);
                    }
                    return address.toUriString();
                })
                .orElse(null);
    }

    private static UriComponentsBuilder of(UUID instrument, InstrumentFigure figure) {
        return UriComponentsBuilder.fromPath("/instruments/" + instrument + "/working/" + figure);
    }
}
