package rosinedpeg.web.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.lesson.BestHands;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.web.drawing.LedgerDrawing;
import rosinedpeg.web.drawing.PracticeDrawing;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** An attempt, moment by moment; in a lesson beside how good hands would have gone on from just before. */
@Controller
class MomentsController {

    /** So many moments are told one by one, the last. */
    private static final int MOST_MOMENTS = 300;

    private final Practices practices;

    MomentsController(Practices practices) {
        this.practices = practices;
    }

    /**
     * Shows what was done, moment by moment.
     *
     * @param at the moment, by how much was done until then; the last when none is given
     * @param best which of what good hands would have done is shown; the last when none is given
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/practice/{id}/moments")
    String moments(
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable Integer at,
            @RequestParam(required = false) @Nullable Integer best,
            Model model) {
        Attempt attempt = practices.get(id);
        List<PracticeLedger.Moment> moments = practices.moments(id);
        int shown = within(at, moments.size());
        Optional<PracticeLedger.Moment> moment = shown == 0 ? Optional.empty() : Optional.of(moments.get(shown - 1));
        PracticeStart start = attempt.now().start();
        PracticeInstrument now = moment.map(PracticeLedger.Moment::after).orElseGet(() -> PracticeInstrument.of(start));
        int beforehand =
                attempt.lesson().map(lesson -> lesson.progress().beforehand()).orElse(0);
        Optional<Beside> beside = attempt.lesson()
                .filter(lesson -> shown > beforehand)
                .map(lesson -> beside(lesson.lesson(), start, moments.subList(0, shown - 1), best));
        Page.lay(
                new MomentsPage(
                        attempt,
                        moments,
                        Math.max(0, moments.size() - MOST_MOMENTS),
                        shown,
                        beforehand,
                        moment,
                        now,
                        PracticeDrawing.of(now, null),
                        beside,
                        LedgerDrawing.of(
                                moments,
                                beforehand,
                                shown,
                                beside.map(Beside::moments).orElse(List.of()),
                                beside.map(Beside::shown).orElse(0)),
                        UUID.randomUUID()),
                model);
        return "practice/moments";
    }

    private static int within(@Nullable Integer asked, int last) {
        return asked == null ? last : Math.max(0, Math.min(last, asked));
    }

    /** What good hands would have done from just before a moment. */
    private static Beside beside(
            Lesson lesson, PracticeStart start, List<PracticeLedger.Moment> before, @Nullable Integer asked) {
        List<Action> until = before.stream().map(PracticeLedger.Moment::action).toList();
        List<PracticeLedger.Moment> best = new ArrayList<>();
        PracticeInstrument now = before.isEmpty()
                ? PracticeInstrument.of(start)
                : before.get(before.size() - 1).after();
        for (Action action : BestHands.of(lesson, new PracticeLedger(start, until))) {
            PracticeLedger.Moment moment = PracticeLedger.Moment.of(now, action);
            now = moment.after();
            best.add(moment);
        }
        List<PracticeLedger.Moment> all = new ArrayList<>(before);
        all.addAll(best);
        int shown = Math.max(Math.min(1, best.size()), within(asked, best.size()));
        return new Beside(
                best,
                shown,
                shown == 0
                        ? Optional.empty()
                        : Optional.of(PracticeDrawing.of(best.get(shown - 1).after(), null)),
                lesson.progress(start, all).reached());
    }

    /**
     * What good hands would have done instead.
     *
     * @param moments it, from just before the moment beside it
     * @param shown which of it is shown, counted from 1; 0 where nothing is to be done
     * @param drawing the instrument then
     * @param reaches whether that leads to what the lesson asks
     */
    record Beside(List<PracticeLedger.Moment> moments, int shown, Optional<PracticeDrawing> drawing, boolean reaches) {

        /** {@return the moment that is shown; null where nothing is to be done} */
        public PracticeLedger.@Nullable Moment moment() {
            return shown == 0 ? null : moments.get(shown - 1);
        }

        /** {@return the instrument then, drawn; null where nothing is to be done} */
        public @Nullable PracticeDrawing drawn() {
            return drawing.orElse(null);
        }
    }

    /** Goes back to a moment. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice/{id}/moments")
    String backTo(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String press,
            @RequestParam(defaultValue = "0") Integer at) {
        practices.backTo(id, Entry.press(press), Math.max(0, at));
        return "redirect:/practice/" + id;
    }

    /**
     * An attempt, moment by moment.
     *
     * @param attempt the attempt
     * @param moments all that was done
     * @param from so many of the first are not told one by one
     * @param shown the moment that is shown, by how much was done until then
     * @param beforehand how much was done before anybody began
     * @param moment the moment that is shown; empty before anything was done
     * @param now the instrument at that moment
     * @param drawing it, drawn
     * @param beside what good hands would have done instead; empty outside a lesson
     * @param line all of it, drawn
     * @param fresh the next press
     */
    private record MomentsPage(
            Attempt attempt,
            List<PracticeLedger.Moment> moments,
            int from,
            int shown,
            int beforehand,
            Optional<PracticeLedger.Moment> moment,
            PracticeInstrument now,
            PracticeDrawing drawing,
            Optional<Beside> beside,
            LedgerDrawing line,
            UUID fresh) {}
}
