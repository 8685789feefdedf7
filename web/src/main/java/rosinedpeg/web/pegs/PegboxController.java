package rosinedpeg.web.pegs;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import rosinedpeg.core.clearance.Clearance;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.clearance.Touch;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;
import rosinedpeg.web.drawing.DrawingFile;
import rosinedpeg.web.drawing.PegboxDrawing;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;

/** Looks into the pegbox: how every string winds, and whether it keeps clear. */
@Controller
class PegboxController {

    private final Instruments instruments;

    private final TouchWords touchWords;
    private final DrawingFile files;
    private final Words words;

    PegboxController(Instruments instruments, TouchWords touchWords, DrawingFile files, Words words) {
        this.instruments = instruments;
        this.touchWords = touchWords;
        this.files = files;
        this.words = words;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/pegbox")
    String look(
            @PathVariable UUID id, @ModelAttribute("form") PegboxForm form, Model model, HttpServletRequest request) {
        show(id, form, model);
        return Htmx.asks(request) ? "pegs/pegbox :: inside" : "pegs/pegbox";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/pegbox.svg")
    ResponseEntity<byte[]> file(@PathVariable UUID id, @ModelAttribute("form") PegboxForm form) {
        Instrument instrument = instruments.strung(id);
        StrungPegbox pegbox = wound(instrument, form);
        List<Touch> touches = pegbox.touches();
        PegboxDrawing drawing = PegboxDrawing.of(pegbox, instrument.specs().values(), touches, null);
        String told = touches.isEmpty() ? words.say("pegbox.clear") : touchWords.all(touches);
        return files.of(
                "pegbox",
                words.say("pegbox.title", instrument.name()),
                told,
                1,
                List.of(drawing.above(), drawing.side()));
    }

    private static StrungPegbox wound(Instrument instrument, PegboxForm form) {
        List<Lock> locks = Lock.of(instrument.setUp().family());
        if (!locks.contains(form.getLock())) {
            form.setLock(locks.get(0));
        }
        Map<Position, WindingChoice> choices = new EnumMap<>(Position.class);
        instrument
                .specs()
                .keySet()
                .forEach(position -> choices.put(
                        position,
                        new WindingChoice(
                                form.getLock(),
                                form.getWall(),
                                Way.OVER_THE_TOP,
                                form.getFarSide().contains(position) ? HoleSide.FAR_SIDE : HoleSide.KNOB_SIDE)));
        return new StrungPegbox(instrument.setUp(), instrument.specs(), choices);
    }

    private void show(UUID id, PegboxForm form, Model model) {
        Instrument instrument = instruments.strung(id);
        Map<Position, StringSpec> specs = instrument.specs();
        StrungPegbox pegbox = wound(instrument, form);
        List<Touch> touches = pegbox.touches();
        List<Wound> rows = new ArrayList<>();
        for (Position position : specs.keySet()) {
            rows.add(new Wound(
                    position,
                    pegbox.winding(position),
                    pegbox.coveredBy(position),
                    pegbox.clearances(position).get(0)));
        }
        model.addAttribute("instrument", instrument);
        model.addAttribute("drawing", PegboxDrawing.of(pegbox, specs.values(), touches, null));
        model.addAttribute("touches", touches);
        model.addAttribute("rows", rows);
        model.addAttribute("byCrank", !instrument.setUp().pegKind().holdsByFriction());
        model.addAttribute("locks", Lock.of(instrument.setUp().family()));
        model.addAttribute("walls", Wall.values());
    }

    /**
     * How one string winds.
     *
     * @param position the string
     * @param plan how it winds
     * @param coveredBy what lies over its peg
     * @param nearest what it comes nearest to
     */
    public record Wound(Position position, WindingPlan plan, Set<Position> coveredBy, Clearance nearest) {}

    /** The choices of the page. */
    static class PegboxForm {
        private Lock lock = Lock.FAR_SIDE_THEN_CROSS;
        private Wall wall = Wall.SMALL_GAP;
        private Set<Position> farSide = EnumSet.noneOf(Position.class);

        public Lock getLock() {
            return lock;
        }

        public void setLock(Lock lock) {
            this.lock = lock;
        }

        public Wall getWall() {
            return wall;
        }

        public void setWall(Wall wall) {
            this.wall = wall;
        }

        public Set<Position> getFarSide() {
            return farSide;
        }

        public void setFarSide(Set<Position> farSide) {
            this.farSide = farSide;
        }
    }
}
