package rosinedpeg.web.findings;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import rosinedpeg.web.platform.Page;
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
        List<Symptom> symptoms = Symptom.of(instrument.setUp());
        Map<Place, InstrumentDrawing.Ring> places = InstrumentDrawing.places(instrument.setUp());
        places.keySet().retainAll(symptoms.stream().map(Symptom::place).toList());
        Page.lay(
                new SymptomPage(
                        instrument,
                        drawing(instrument),
                        places,
                        Optional.ofNullable(pointedAt),
                        // What is done at the place that was pointed at stands first.
                        symptoms.stream()
                                .sorted(Comparator.comparing(one -> one.place() != pointedAt))
                                .toList(),
                        Optional.ofNullable(symptom),
                        Math.max(0, no),
                        found),
                model);
        return "findings/symptoms";
    }

    private static InstrumentDrawing drawing(Instrument instrument) {
        Map<Position, Double> diametersMm = new EnumMap<>(Position.class);
        instrument.specs().forEach((position, spec) -> diametersMm.put(position, spec.diameterMm()));
        return InstrumentDrawing.of(instrument.setUp(), diametersMm, Map.of(), Place.WHOLE, null);
    }

    /**
     * From what an instrument does to what is behind it.
     *
     * @param instrument the instrument
     * @param drawing it, to be pointed at
     * @param places what can be pointed at
     * @param place what was
     * @param symptoms what it can do, at that place first
     * @param symptom what it does
     * @param looked after how many looks nothing was found
     * @param seen whether the next one found it
     */
    record SymptomPage(
            Instrument instrument,
            InstrumentDrawing drawing,
            Map<Place, InstrumentDrawing.Ring> places,
            Optional<Place> place,
            List<Symptom> symptoms,
            Optional<Symptom> symptom,
            int looked,
            boolean seen) {

        private List<Suspicion> suspicions() {
            return symptom.map(one -> one.suspicions(instrument.setUp().pegKind()))
                    .orElse(List.of());
        }

        /** {@return how many suspicions are ruled out} */
        public int no() {
            return Math.min(looked, suspicions().size());
        }

        /** {@return those} */
        public List<Suspicion> ruledOut() {
            return suspicions().subList(0, no());
        }

        /** {@return what is to be looked for now; empty when everything is ruled out} */
        public Optional<Suspicion> now() {
            return suspicions().stream().skip(no()).findFirst();
        }

        /** {@return whether that was found} */
        public boolean found() {
            return seen && now().isPresent();
        }
    }
}
