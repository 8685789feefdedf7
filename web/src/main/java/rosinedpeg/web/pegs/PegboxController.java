package rosinedpeg.web.pegs;

import jakarta.servlet.http.HttpServletRequest;
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
import rosinedpeg.core.setup.PegKind;
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
import rosinedpeg.web.platform.Page;
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
        Page.lay(page(instruments.strung(id), form), model);
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
        Lock lock = lock(instrument, form);
        Wall wall = form.wall().on(instrument.setUp().pegKind());
        Map<Position, WindingChoice> choices = new EnumMap<>(Position.class);
        instrument
                .specs()
                .keySet()
                .forEach(position -> choices.put(
                        position,
                        new WindingChoice(
                                lock,
                                wall,
                                Way.OVER_THE_TOP,
                                form.farSide().contains(position) ? HoleSide.FAR_SIDE : HoleSide.KNOB_SIDE)));
        return new StrungPegbox(instrument.setUp(), instrument.specs(), choices);
    }

    /** The lock that was chosen, or the first one of a family that does not know it. */
    private static Lock lock(Instrument instrument, PegboxForm form) {
        List<Lock> locks = Lock.of(instrument.setUp().family());
        return locks.contains(form.lock()) ? form.lock() : locks.get(0);
    }

    private static PegboxPage page(Instrument instrument, PegboxForm form) {
        Map<Position, StringSpec> specs = instrument.specs();
        StrungPegbox pegbox = wound(instrument, form);
        List<Touch> touches = pegbox.touches();
        return new PegboxPage(
                instrument,
                PegboxDrawing.of(pegbox, specs.values(), touches, null),
                touches,
                specs.keySet().stream()
                        .map(position -> new Wound(
                                position,
                                pegbox.winding(position),
                                pegbox.coveredBy(position),
                                pegbox.clearances(position).get(0)))
                        .toList(),
                lock(instrument, form),
                form.wall().on(instrument.setUp().pegKind()));
    }

    /**
     * The inside of the pegbox.
     *
     * @param instrument the instrument
     * @param drawing the pegbox with its strings
     * @param touches what touches, or nearly
     * @param rows how each string winds
     * @param lock how the strings are locked
     * @param wall how near to the wall they are wound
     */
    record PegboxPage(
            Instrument instrument, PegboxDrawing drawing, List<Touch> touches, List<Wound> rows, Lock lock, Wall wall) {

        /** {@return whether the strings are wound by a key instead of a peg's knob} */
        public boolean byKey() {
            return instrument.setUp().pegKind() == PegKind.MACHINE_HEAD;
        }

        /** {@return the locks of its family} */
        public List<Lock> locks() {
            return Lock.of(instrument.setUp().family());
        }

        /** {@return how near to the wall a string can be wound} */
        public List<Wall> walls() {
            return Wall.of(instrument.setUp().pegKind());
        }
    }

    /**
     * How one string winds.
     *
     * @param position the string
     * @param plan how it winds
     * @param coveredBy what lies over its peg
     * @param nearest what it comes nearest to
     */
    record Wound(Position position, WindingPlan plan, Set<Position> coveredBy, Clearance nearest) {}

    /**
     * The choices of the page.
     *
     * @param lock how the strings are locked
     * @param wall how near to the wall they are wound
     * @param farSide those whose hole is on the far side
     */
    record PegboxForm(Lock lock, Wall wall, Set<Position> farSide) {

        /** What is not sent is as on an empty form. */
        PegboxForm {
            lock = lock == null ? Lock.FAR_SIDE_THEN_CROSS : lock;
            wall = wall == null ? Wall.SMALL_GAP : wall;
            farSide = farSide == null ? EnumSet.noneOf(Position.class) : farSide;
        }
    }
}
