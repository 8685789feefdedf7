package rosinedpeg.web.instrument;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.working.Inputs;
import rosinedpeg.core.working.Worked;
import rosinedpeg.core.working.Working;
import rosinedpeg.web.drawer.StringKind;
import rosinedpeg.web.drawer.StringKinds;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;

/** How a figure of an instrument came about: in place where scripts run, on a page of its own otherwise. */
@Controller
class WorkingController {

    private final Instruments instruments;
    private final StringKinds kinds;

    WorkingController(Instruments instruments, StringKinds kinds) {
        this.instruments = instruments;
        this.kinds = kinds;
    }

    /**
     * Shows the working of one figure.
     *
     * @param worked which figure
     * @param asked what it is asked about: a string, another kind of string, how it is wound, what each string carries
     */
    @GetMapping("/instruments/{id}/working/{worked}")
    String show(
            @PathVariable UUID id, @PathVariable Worked worked, Asked asked, Model model, HttpServletRequest request) {
        Instrument instrument = instruments.get(id);
        Working working;
        try {
            working = Working.of(worked, inputs(instrument, asked));
        } catch (IllegalArgumentException notAskedSo) {
            throw new NotFoundException("working of " + worked + " of " + id);
        }
        Map<Measurable, LocalDate> measuredOn = new LinkedHashMap<>();
        instruments
                .history(id)
                .forEach((measurable, measured) ->
                        measuredOn.put(measurable, measured.get(0).on()));
        model.addAttribute("instrument", instrument);
        model.addAttribute("working", working);
        model.addAttribute("string", asked.string());
        model.addAttribute("measuredOn", measuredOn);
        model.addAttribute("nudge", Working.NUDGE);
        return Htmx.asks(request) ? "instrument/working :: working" : "instrument/working";
    }

    private Inputs inputs(Instrument instrument, Asked asked) {
        SetUp setUp = asked.gap() == null
                ? instrument.setUp()
                : instrument.setUp().measured(Map.of(Measurable.of(Quantity.BRIDGE_GAP), asked.gap()));
        Inputs inputs = Inputs.of(setUp, instrument.specs()).sticking(instrument.stuck());
        Optional<StringSpec> string = asked.kind() == null
                ? Optional.ofNullable(asked.string())
                        .flatMap(instrument::string)
                        .map(on -> on.kind().spec())
                : kinds.of(setUp.family(), asked.string()).stream()
                        .filter(kind -> kind.id().equals(asked.kind()))
                        .map(StringKind::spec)
                        .findFirst();
        if (asked.string() != null && setUp.positions().contains(asked.string())) {
            inputs = inputs.at(asked.string());
        }
        if (string.isPresent()) {
            inputs = inputs.about(string.get(), asked.choice());
        }
        if (asked.carries() != null) {
            List<Position> positions = setUp.positions();
            inputs = inputs.carrying(ofEach(positions, asked.carries()), ofEach(positions, asked.whole()));
        }
        return inputs;
    }

    private static Map<Position, Double> ofEach(List<Position> positions, List<Double> valuesN) {
        if (valuesN == null || valuesN.size() != positions.size() || valuesN.contains(null)) {
            throw new IllegalArgumentException("wants one tension for each of " + positions);
        }
        Map<Position, Double> ofEach = new EnumMap<>(Position.class);
        positions.forEach(position -> ofEach.put(position, valuesN.get(position.number() - 1)));
        return ofEach;
    }

    /**
     * What a figure is asked about.
     *
     * @param string which string, or null
     * @param kind another kind of string than the one that is on, or null
     * @param lock how its tip is held; the usual way when null
     * @param wall what its turns do at the wall; a small gap when null
     * @param way over or under its shaft; over when null
     * @param farSide whether it is wound on the side away from its knob; not when null
     * @param carries what each string carries in N, I first; all at pitch when null
     * @param whole what each string carries at pitch in N, I first; needed with what they carry
     * @param gap the bridge's gap as it was read just now, in mm; as measured last when null
     */
    record Asked(
            Position string,
            UUID kind,
            Lock lock,
            Wall wall,
            Way way,
            Boolean farSide,
            List<Double> carries,
            List<Double> whole,
            Double gap) {

        WindingChoice choice() {
            return new WindingChoice(
                    lock == null ? WindingChoice.USUAL.lock() : lock,
                    wall == null ? WindingChoice.USUAL.wall() : wall,
                    way == null ? WindingChoice.USUAL.way() : way,
                    Boolean.TRUE.equals(farSide) ? HoleSide.FAR_SIDE : HoleSide.KNOB_SIDE);
        }
    }
}
