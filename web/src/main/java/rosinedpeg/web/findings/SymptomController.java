package rosinedpeg.web.findings;

import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.causes.Symptom;
import rosinedpeg.core.causes.Symptom.Suspicion;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;

/** Leads from what an instrument does to what is behind it, one check at a time. The address holds all of the answers. */
@Controller
class SymptomController {

    private final Instruments instruments;

    SymptomController(Instruments instruments) {
        this.instruments = instruments;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/symptoms")
    String ask(
            @PathVariable UUID id,
            @RequestParam(required = false) Place place,
            @RequestParam(required = false) Symptom symptom,
            @RequestParam(defaultValue = "0") int no,
            @RequestParam(defaultValue = "false") boolean found,
            Model model) {
        Instrument instrument = instruments.get(id);
        Place pointedAt = symptom == null ? place : symptom.place();
        model.addAttribute("instrument", instrument);
        model.addAttribute("drawing", drawing(instrument));
        model.addAttribute("places", InstrumentDrawing.places(instrument.setUp()));
        model.addAttribute("place", pointedAt);
        // What is done at the place that was pointed at stands first.
        model.addAttribute(
                "symptoms",
                Arrays.stream(Symptom.values())
                        .sorted(Comparator.comparing(one -> one.place() != pointedAt))
                        .toList());
        model.addAttribute("symptom", symptom);
        if (symptom != null) {
            List<Suspicion> suspicions = symptom.suspicions();
            int ruledOut = Math.max(0, Math.min(no, suspicions.size()));
            model.addAttribute("ruledOut", suspicions.subList(0, ruledOut));
            model.addAttribute("now", ruledOut < suspicions.size() ? suspicions.get(ruledOut) : null);
            model.addAttribute("found", found && ruledOut < suspicions.size());
            model.addAttribute("no", ruledOut);
        }
        return "findings/symptoms";
    }

    private static InstrumentDrawing drawing(Instrument instrument) {
        Map<Position, Double> diametersMm = new EnumMap<>(Position.class);
        instrument.specs().forEach((position, spec) -> diametersMm.put(position, spec.diameterMm()));
        return InstrumentDrawing.of(instrument.setUp(), diametersMm, Map.of(), Place.WHOLE, null);
    }
}
