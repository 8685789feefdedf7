package rosinedpeg.web.working;

import static java.util.Objects.requireNonNull;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.working.CollarFigure;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.core.working.PacketFigure;
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

    /** {@return the address for a figure of a kind of string, as it follows from its packet} */
    public String packet(Packet packet, PacketFigure figure) {
        return AskedPacket.of(packet)
                .in(UriComponentsBuilder.fromPath("/strings/working/" + figure))
                .encode()
                .toUriString();
    }

    /** {@return the address for the load on the treble foot, with what each string carries of what it carries at pitch} */
    public String treble(UUID instrument, Map<Position, Double> carriedN, Map<Position, Double> wholeN) {
        return carrying(instrument, InstrumentFigure.TREBLE_SHARE, carriedN, wholeN);
    }

    /** {@return the same for the load on the bass foot} */
    public String bass(UUID instrument, Map<Position, Double> carriedN, Map<Position, Double> wholeN) {
        return carrying(instrument, InstrumentFigure.BASS_SHARE, carriedN, wholeN);
    }

    /** {@return the address for what new strings together press more than those they replace} */
    public String loadChange(UUID instrument, Map<Position, Double> newN, Map<Position, Double> presentN) {
        return carrying(instrument, InstrumentFigure.LOAD_CHANGE, newN, presentN);
    }

    private String carrying(
            UUID instrument, InstrumentFigure figure, Map<Position, Double> carriedN, Map<Position, Double> wholeN) {
        return carrying(instrument, figure, say.ofEach(wholeN, carriedN), say.ofEach(wholeN, wholeN));
    }

    /**
     * The address for a figure that follows from what the strings carry.
     *
     * @param instrument the instrument
     * @param figure the figure
     * @param carries what each string carries, in N, as {@link Say#ofEach} writes it
     * @param whole what each carries at pitch, written the same way
     * @return the address
     */
    public String carrying(UUID instrument, InstrumentFigure figure, String carries, String whole) {
        // Digits, points and commas need no escape; a plan asks for two of these for each of its steps.
        return "/instruments/" + instrument + "/working/" + figure + "?carries=" + carries + "&whole=" + whole;
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
     * @param kind the kind of string that is judged, if not the one that is on
     * @return the address, where a figure that was worked out is behind it
     */
    public @Nullable String behind(UUID instrument, Finding finding, @Nullable UUID kind) {
        Position position = finding.concerns().orElse(null);
        if (finding.kind() == FindingKind.STRING_DUE) {
            return wear(instrument, requireNonNull(position), WearFigure.WORN);
        }
        if (finding.kind() == FindingKind.COLLAR_RUNS_OUT) {
            return collar(instrument, requireNonNull(position), CollarFigure.MONTHS_TO_WALL);
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

    /**
     * The address for a figure of a step.
     *
     * @param position the step's string, where it is one's own
     * @param kind the kind of string that is put on, if not the one that is on
     * @param winding how it is wound
     * @param trimmed whether the figure holds for the string once it is cut to length
     * @param raisedTo the share of its tension that the step raises a string to
     */
    static String ofStep(
            UUID instrument,
            InstrumentFigure figure,
            @Nullable Position position,
            @Nullable UUID kind,
            Optional<WindingChoice> winding,
            boolean trimmed,
            Optional<Double> raisedTo) {
        UriComponentsBuilder address = of(instrument, figure)
                .queryParamIfPresent("string", Optional.ofNullable(position))
                .queryParamIfPresent("kind", Optional.ofNullable(kind));
        winding.ifPresent(wound -> address.queryParam("lock", wound.lock())
                .queryParam("wall", wound.wall())
                .queryParam("way", wound.way())
                .queryParam("farSide", wound.side() == HoleSide.FAR_SIDE));
        if (trimmed) {
            address.queryParam("trimmed", true);
        }
        return address.queryParamIfPresent("raisedTo", raisedTo).toUriString();
    }

    private static UriComponentsBuilder of(UUID instrument, InstrumentFigure figure) {
        return UriComponentsBuilder.fromPath("/instruments/" + instrument + "/working/" + figure);
    }
}
