package rosinedpeg.web.settling;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.working.SettlingFigure;
import rosinedpeg.core.working.SettlingGrounds;
import rosinedpeg.core.working.Working;
import rosinedpeg.web.drawing.HeardDrawing;
import rosinedpeg.web.drawing.SettlingChart;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.working.WorkingView;

/** Watching new strings settle. */
@Controller
class SettlingController {

    static final Range READING = new Range(-400, 50, Unit.CENT);

    private final Settlings settlings;
    private final Occasions occasions;
    private final WorkingView workings;
    private final Say say;
    private final Clock clock;

    SettlingController(Settlings settlings, Occasions occasions, WorkingView workings, Say say, Clock clock) {
        this.settlings = settlings;
        this.occasions = occasions;
        this.workings = workings;
        this.say = say;
        this.clock = clock;
    }

    /**
     * What settles, or the part of it that fits on a page, newest first.
     *
     * @param from how many have been shown already
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/settling")
    String all(@RequestParam(defaultValue = "0") int from, Model model, HttpServletRequest request) {
        ListPage<SettlingString> part = settlings.page(from);
        Page.lay(
                new AllPage(
                        part,
                        part.shown().stream()
                                .map(string -> chart(string, 420, 150))
                                .toList(),
                        clock.instant()),
                model);
        return Htmx.asks(request) ? "settling/all :: rows" : "settling/all";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/settling/{fittedId}")
    String one(@PathVariable UUID fittedId, Model model) {
        String now = Say.fieldTime(clock.instant(), CurrentWorkshop.zone());
        model.addAttribute("form", new ReadingForm("", now, UUID.randomUUID().toString(), true));
        return show(fittedId, model);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/settling/{fittedId}/readings")
    String read(
            @PathVariable UUID fittedId,
            @ModelAttribute("form") ReadingForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        SettlingString string = settlings.get(fittedId);
        var cents = Entry.number(result, "cents", form.cents(), READING);
        var at = Entry.moment(
                result,
                "readAt",
                form.readAt(),
                string.fittedAt().minusSeconds(60),
                clock.instant().plusSeconds(60),
                CurrentWorkshop.zone(),
                say);
        if (cents.isEmpty() || at.isEmpty()) {
            return show(fittedId, model);
        }
        Instant moment = at.get().isBefore(string.fittedAt()) ? string.fittedAt() : at.get();
        Constraint.SETTLING_READING_ONCE.once(
                () -> settlings.read(fittedId, Entry.press(form.press()), moment, cents.getAsDouble(), form.retuned()));
        redirect.addFlashAttribute("notice", "settling.read");
        return "redirect:/settling/" + fittedId;
    }

    /** Takes a reading back. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/settling/{fittedId}/readings/{readingId}/back")
    String takeBack(@PathVariable UUID fittedId, @PathVariable UUID readingId, RedirectAttributes redirect) {
        settlings.get(fittedId);
        settlings.takeBack(fittedId, readingId);
        redirect.addFlashAttribute("notice", "settling.takenBack");
        return "redirect:/settling/" + fittedId;
    }

    /**
     * Shows how a figure of a settling string came about.
     *
     * @param holds for what it is to hold; a rehearsal when nothing is said
     * @param reading which reading is asked about, from 1; 0 for none
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/settling/{fittedId}/working/{worked}")
    String working(
            @PathVariable UUID fittedId,
            @PathVariable SettlingFigure worked,
            @RequestParam(defaultValue = "REHEARSAL") Steadiness holds,
            @RequestParam(defaultValue = "0") int reading,
            Model model,
            HttpServletRequest request) {
        SettlingString string = settlings.get(fittedId);
        SettlingGrounds grounds = string.grounds(holds, clock.instant());
        model.addAttribute("fitted", fittedId);
        return workings.show(
                string.instrument().id(),
                string.position(),
                () -> Working.of(worked, reading == 0 ? grounds : grounds.atReading(reading)),
                model,
                request);
    }

    private String show(UUID fittedId, Model model) {
        SettlingString string = settlings.get(fittedId);
        Page.lay(
                new OnePage(
                        string,
                        HeardDrawing.of(settlings.strings(string)),
                        occasions.toCome(string.instrument().id()),
                        chart(string, 760, 330),
                        chart(string, 380, 250),
                        clock.instant()),
                model);
        return "settling/one";
    }

    private SettlingChart chart(SettlingString string, double width, double height) {
        return SettlingChart.of(
                string.forecast(),
                string.hoursAt(clock.instant()),
                string.readings().stream()
                        .map(reading -> new double[] {reading.hours(), reading.lostCents()})
                        .toList(),
                width,
                height);
    }

    /**
     * What settles.
     *
     * @param part the strings, newest first
     * @param charts the chart of each
     * @param now the moment it is shown
     */
    record AllPage(ListPage<SettlingString> part, List<SettlingChart> charts, Instant now) {

        /** {@return what a string can have to hold for} */
        public Steadiness[] steadinesses() {
            return Steadiness.values();
        }
    }

    /**
     * A settling string.
     *
     * @param string the string
     * @param heard the strings of its instrument as they are heard
     * @param occasions what it may have to hold for
     * @param chart what it is expected to lose
     * @param narrowChart the same for a phone
     * @param now the moment it is shown
     */
    record OnePage(
            SettlingString string,
            View heard,
            List<Occasion> occasions,
            SettlingChart chart,
            SettlingChart narrowChart,
            Instant now) {

        /** {@return what a string can have to hold for} */
        public Steadiness[] steadinesses() {
            return Steadiness.values();
        }
    }

    /**
     * A reading as it is typed.
     *
     * @param cents from pitch, as typed
     * @param readAt when, as typed
     * @param press the press of the button
     * @param retuned whether it was tuned then
     */
    record ReadingForm(String cents, String readAt, String press, Boolean retuned) {

        /** What is not sent is as on an empty form. */
        ReadingForm {
            cents = cents == null ? "" : cents;
            readAt = readAt == null ? "" : readAt;
            press = press == null ? "" : press;
            retuned = retuned == null || retuned;
        }
    }
}
