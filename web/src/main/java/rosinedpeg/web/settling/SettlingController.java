package rosinedpeg.web.settling;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Instant;
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
import rosinedpeg.web.diary.Diary;
import rosinedpeg.web.drawing.SettlingChart;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.working.WorkingView;

/** Watching new strings settle. */
@Controller
class SettlingController {

    private static final Range READING = new Range(-400, 50, Unit.CENT);

    private final Settlings settlings;
    private final Diary diary;
    private final WorkingView workings;
    private final Say say;
    private final Clock clock;

    SettlingController(Settlings settlings, Diary diary, WorkingView workings, Say say, Clock clock) {
        this.settlings = settlings;
        this.diary = diary;
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
        model.addAttribute("part", part);
        model.addAttribute("steadinesses", Steadiness.values());
        model.addAttribute("now", clock.instant());
        model.addAttribute("occasions", diary.toCome());
        model.addAttribute(
                "charts",
                part.shown().stream().map(string -> chart(string, 420, 150)).toList());
        return Htmx.asks(request) ? "settling/all :: rows" : "settling/all";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/settling/{fittedId}")
    String one(@PathVariable UUID fittedId, Model model) {
        ReadingForm form = new ReadingForm();
        form.setPress(UUID.randomUUID().toString());
        form.setReadAt(Say.fieldTime(clock.instant(), CurrentWorkshop.zone()));
        model.addAttribute("form", form);
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
        var cents = Entry.number(result, "cents", form.getCents(), READING);
        var at = Entry.moment(
                result,
                "readAt",
                form.getReadAt(),
                string.fittedAt().minusSeconds(60),
                clock.instant().plusSeconds(60),
                CurrentWorkshop.zone(),
                say);
        if (cents.isEmpty() || at.isEmpty()) {
            return show(fittedId, model);
        }
        Instant moment = at.get().isBefore(string.fittedAt()) ? string.fittedAt() : at.get();
        Constraint.SETTLING_READING_ONCE.once(
                () -> settlings.read(fittedId, press(form), moment, cents.getAsDouble(), form.isRetuned()));
        redirect.addFlashAttribute("notice", "settling.read");
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

    private static UUID press(ReadingForm form) {
        return Entry.press(form.getPress());
    }

    private String show(UUID fittedId, Model model) {
        SettlingString string = settlings.get(fittedId);
        model.addAttribute("string", string);
        model.addAttribute("steadinesses", Steadiness.values());
        model.addAttribute("now", clock.instant());
        model.addAttribute("occasions", diary.toCome());
        model.addAttribute("chart", chart(string, 760, 330));
        model.addAttribute("narrowChart", chart(string, 380, 250));
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

    /** A reading as it is typed. */
    static class ReadingForm {
        private String cents = "";
        private String readAt = "";
        private String press = "";
        private boolean retuned = true;

        public String getCents() {
            return cents;
        }

        public void setCents(String cents) {
            this.cents = cents;
        }

        public String getReadAt() {
            return readAt;
        }

        public void setReadAt(String readAt) {
            this.readAt = readAt;
        }

        public String getPress() {
            return press;
        }

        public void setPress(String press) {
            this.press = press;
        }

        public boolean isRetuned() {
            return retuned;
        }

        public void setRetuned(boolean retuned) {
            this.retuned = retuned;
        }
    }
}
