package rosinedpeg.web.working;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.working.Ingredient;
import rosinedpeg.core.working.SettlingFigure;
import rosinedpeg.core.working.TuningFigure;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.core.working.Working;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.Page;

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
     * @param string the string it is about, if it is about one
     * @param working works it out
     * @return the view
     * @throws NotFoundException when the figure cannot be asked so
     */
    public String show(
            UUID instrumentId,
            @Nullable Position string,
            Supplier<Working> working,
            Model model,
            HttpServletRequest request) {
        Map<Measurable, LocalDate> measuredOn = new LinkedHashMap<>();
        instruments
                .history(instrumentId)
                .forEach((measurable, measured) ->
                        measuredOn.put(measurable, measured.get(0).on()));
        Working shown = worked(working, request);
        return show(
                new WorkingPage(
                        shown,
                        Optional.of(instruments.get(instrumentId)),
                        Optional.ofNullable(string),
                        measuredOn,
                        better(shown)),
                model,
                request);
    }

    /**
     * Shows a working of a string that came off an instrument or may go on it, the same way: nothing can be read or seen on it
     * there.
     *
     * @param instrumentId the instrument it was on, or is looked at for
     * @param string where it was, or would be
     * @param working works it out
     * @return the view
     * @throws NotFoundException when the figure cannot be asked so
     */
    public String showNotOn(
            UUID instrumentId, Position string, Supplier<Working> working, Model model, HttpServletRequest request) {
        return show(
                new WorkingPage(
                        worked(working, request),
                        Optional.of(instruments.get(instrumentId)),
                        Optional.of(string),
                        Map.of(),
                        Optional.empty()),
                model,
                request);
    }

    /**
     * Shows a working of something that is on no instrument, the same way.
     *
     * @param working works it out
     * @return the view
     * @throws NotFoundException when the figure cannot be asked so
     */
    String show(Supplier<Working> working, Model model, HttpServletRequest request) {
        return show(
                new WorkingPage(
                        worked(working, request), Optional.empty(), Optional.empty(), Map.of(), Optional.empty()),
                model,
                request);
    }

    private static String show(WorkingPage page, Model model, HttpServletRequest request) {
        Page.lay(page, model);
        return Htmx.asks(request) ? "working/one :: working" : "working/one";
    }

    private static Working worked(Supplier<Working> working, HttpServletRequest request) {
        try {
            return working.get();
        } catch (IllegalArgumentException notAskedSo) {
            throw new NotFoundException("working of " + request.getRequestURI());
        }
    }

    /** {@return what makes the figure better known beside measuring: a word of {@code working.better}} */
    private static Optional<String> better(Working working) {
        if (working.worked() instanceof SettlingFigure) {
            return Optional.of("reading");
        }
        if (working.worked() instanceof WearFigure) {
            return Optional.of("look");
        }
        return working.worked() instanceof TuningFigure ? Optional.of("tuning") : Optional.empty();
    }

    /**
     * How a figure came about.
     *
     * @param working the formula with its numbers
     * @param instrument the instrument it belongs to; empty for what is on none
     * @param string the string it is about
     * @param measuredOn when each quantity was measured last
     * @param better what makes the figure better known beside measuring
     */
    record WorkingPage(
            Working working,
            Optional<Instrument> instrument,
            Optional<Position> string,
            Map<Measurable, LocalDate> measuredOn,
            Optional<String> better) {

        /** {@return by how much an ingredient is moved to see what hangs on it} */
        public double nudge() {
            return Ingredient.NUDGE;
        }
    }
}
