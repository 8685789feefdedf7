package rosinedpeg.web.working;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.working.Ingredient;
import rosinedpeg.core.working.SettlingFigure;
import rosinedpeg.core.working.TuningFigure;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.core.working.Working;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;

/** Shows how a figure came about, wherever it stands. */
@Component
public class WorkingView {

    private final Instruments instruments;

    WorkingView(Instruments instruments) {
        this.instruments = instruments;
    }

    /**
     * Shows a working: in place where scripts ask for it, on a page of its own otherwise.
     *
     * @param instrumentId the instrument it belongs to
     * @param string the string it is about, or null
     * @param working works it out
     * @return the view
     * @throws NotFoundException when the figure cannot be asked so
     */
    public String show(
            UUID instrumentId, Position string, Supplier<Working> working, Model model, HttpServletRequest request) {
        try {
            model.addAttribute("working", working.get());
        } catch (IllegalArgumentException notAskedSo) {
            throw new NotFoundException("working of " + request.getRequestURI());
        }
        Map<Measurable, LocalDate> measuredOn = new LinkedHashMap<>();
        instruments
                .history(instrumentId)
                .forEach((measurable, measured) ->
                        measuredOn.put(measurable, measured.get(0).on()));
        model.addAttribute("instrument", instruments.get(instrumentId));
        model.addAttribute("string", string);
        model.addAttribute("measuredOn", measuredOn);
        model.addAttribute("nudge", Ingredient.NUDGE);
        model.addAttribute("better", better((Working) model.getAttribute("working")));
        return Htmx.asks(request) ? "working/one :: working" : "working/one";
    }

    /** {@return what makes the figure better known beside measuring: a word of {@code working.better}, or null} */
    private static String better(Working working) {
        if (working.worked() instanceof SettlingFigure) {
            return "reading";
        }
        if (working.worked() instanceof WearFigure) {
            return "look";
        }
        return working.worked() instanceof TuningFigure ? "tuning" : null;
    }
}
