package rosinedpeg.web.instrument;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.BridgeDrawing;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;

/** Whether the bridge stands: from a card's gap to the thrust line, and how far each string drags it. */
@Controller
class BridgeController {

    private final Instruments instruments;

    BridgeController(Instruments instruments) {
        this.instruments = instruments;
    }

    @GetMapping("/instruments/{id}/bridge")
    String look(
            @PathVariable UUID id,
            @ModelAttribute("form") BridgeForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Instrument instrument = instruments.get(id);
        SetUp setUp = instrument.setUp();
        double gapMm = 0;
        if (!form.getGap().isBlank()) {
            OptionalDouble read = Entry.number(result, "gap", form.getGap(), Lean.gapRangeMm(setUp));
            gapMm = read.orElse(0);
        }
        Lean lean = Lean.fromGap(gapMm, setUp.value(Quantity.BRIDGE_HEIGHT));
        Thrust thrust = Thrust.of(setUp, lean);
        model.addAttribute("instrument", instrument);
        model.addAttribute("gapRange", Lean.gapRangeMm(setUp));
        model.addAttribute("read", !form.getGap().isBlank() && !result.hasErrors());
        model.addAttribute("lean", lean);
        model.addAttribute("thrust", thrust);
        model.addAttribute("drawing", BridgeDrawing.of(setUp, lean));
        model.addAttribute("drags", drags(instrument));
        model.addAttribute(
                "origin",
                setUp.weakestOrigin(
                        Quantity.BRIDGE_HEIGHT,
                        Quantity.FOOT_DEPTH,
                        Quantity.TOP_THICKNESS,
                        Quantity.FRONT_ANGLE,
                        Quantity.BACK_ANGLE));
        return Htmx.asks(request) ? "instrument/bridge :: stance" : "instrument/bridge";
    }

    private static List<StringDrag> drags(Instrument instrument) {
        List<StringDrag> drags = new ArrayList<>();
        SetUp setUp = instrument.setUp();
        double allN = instrument.specs().values().stream()
                .mapToDouble(setUp::tensionN)
                .sum();
        instrument
                .specs()
                .forEach((position, string) -> drags.add(new StringDrag(
                        position,
                        Drag.ofRaising(setUp, string, Drag.DRY, allN).degrees(),
                        Drag.ofRaising(setUp, string, Drag.GRAPHITED, allN).degrees())));
        return drags;
    }

    /**
     * How far one string leans the bridge on its way from slack to pitch.
     *
     * @param position the string
     * @param dryDeg with dry grooves
     * @param graphitedDeg with graphite in them
     */
    public record StringDrag(Position position, double dryDeg, double graphitedDeg) {}

    /** What is typed. */
    static class BridgeForm {
        private String gap = "";

        public String getGap() {
            return gap;
        }

        public void setGap(String gap) {
            this.gap = gap;
        }
    }
}
