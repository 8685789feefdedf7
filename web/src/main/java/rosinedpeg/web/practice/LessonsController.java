package rosinedpeg.web.practice;

import java.time.Clock;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.web.account.Accounts;
import rosinedpeg.web.drawing.CourseDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** How far people have come with the lessons: one's own on one page, everybody's for a keeper, who also sets them. */
@Controller
class LessonsController {

    private static final int LONGEST_YEARS = 1;

    private final Lessons lessons;
    private final Accounts accounts;
    private final AsShown asShown;
    private final Clock clock;

    LessonsController(Lessons lessons, Accounts accounts, AsShown asShown, Clock clock) {
        this.lessons = lessons;
        this.accounts = accounts;
        this.asShown = asShown;
        this.clock = clock;
    }

    /** One's own course, on one page that prints. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/practice/course")
    String own(@AuthenticationPrincipal SignedIn account, Model model) {
        return course(account, new SetForm(Set.of(), "", ""), model);
    }

    private String course(SignedIn person, SetForm form, Model model) {
        LocalDate today = CurrentWorkshop.today(clock);
        Lessons.Learner learner = lessons.of(person.accountId());
        model.addAttribute("form", form);
        Page.lay(
                new CoursePage(
                        person,
                        Lesson.values(),
                        learner,
                        CourseDrawing.of(learner.course(), today),
                        today,
                        person.accountId()
                                .equals(CurrentWorkshop.account().orElseThrow().accountId())),
                model);
        return "practice/course";
    }

    /** How far everybody has come. */
    @OpenTo(Role.KEEPER)
    @GetMapping("/practice/people")
    String people(@AuthenticationPrincipal SignedIn account, Model model) {
        List<SignedIn> people = accounts.people(account.workshopId()).stream()
                .filter(SignedIn::active)
                .toList();
        Map<UUID, Lessons.Learner> learners =
                lessons.of(people.stream().map(SignedIn::accountId).toList());
        Map<SignedIn, Lessons.Learner> each = new LinkedHashMap<>();
        people.forEach(person -> each.put(
                person, Optional.ofNullable(learners.get(person.accountId())).orElseThrow()));
        LocalDate today = CurrentWorkshop.today(clock);
        Map<SignedIn, View> pegs = new LinkedHashMap<>();
        each.forEach((person, learner) -> pegs.put(person, CourseDrawing.of(learner.course(), today)));
        Page.lay(new PeoplePage(each, pegs, Lesson.values(), today), model);
        return "practice/people";
    }

    /** One person's course, and what is set them. */
    @OpenTo(Role.KEEPER)
    @GetMapping("/practice/people/{id}")
    String person(@PathVariable UUID id, @AuthenticationPrincipal SignedIn account, Model model) {
        SignedIn person = person(id, account);
        Map<Lesson, Optional<LocalDate>> set = lessons.of(id).set();
        return course(
                person,
                new SetForm(
                        set.keySet(),
                        set.values().stream()
                                .flatMap(Optional::stream)
                                .findFirst()
                                .map(LocalDate::toString)
                                .orElse(""),
                        AsShown.mark(set)),
                model);
    }

    private SignedIn person(UUID id, SignedIn account) {
        return accounts.people(account.workshopId()).stream()
                .filter(one -> one.accountId().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("account " + id));
    }

    /** Sets somebody lessons. */
    @OpenTo(Role.KEEPER)
    @PostMapping("/practice/people/{id}")
    String set(
            @PathVariable UUID id,
            @ModelAttribute("form") SetForm form,
            BindingResult result,
            @AuthenticationPrincipal SignedIn account,
            Model model) {
        SignedIn person = person(id, account);
        LocalDate today = CurrentWorkshop.today(clock);
        Optional<LocalDate> until = form.until().isBlank()
                ? Optional.empty()
                : Entry.date(result, "until", form.until(), today, today.plusYears(LONGEST_YEARS));
        if (result.hasErrors()) {
            return course(person, form, model);
        }
        Map<Lesson, Optional<LocalDate>> after = new EnumMap<>(Lesson.class);
        form.lessons().forEach(lesson -> after.put(lesson, until));
        boolean made = Change.made(
                () -> asShown.change(
                        id,
                        form.shown(),
                        () -> AsShown.mark(lessons.of(id).set()),
                        AsShown.mark(after),
                        () -> lessons.set(id, form.lessons(), until)),
                result);
        if (!made) {
            return course(person, form, model);
        }
        return "redirect:/practice/people/" + id;
    }

    /**
     * What is set somebody, as typed.
     *
     * @param lessons which lessons
     * @param until the day they are to be done by
     * @param shown the mark of what was set when it was shown
     */
    record SetForm(Set<Lesson> lessons, String until, String shown) {

        /** What is not sent is empty. */
        SetForm {
            Set<Lesson> sent = EnumSet.noneOf(Lesson.class);
            if (lessons != null) {
                sent.addAll(lessons);
            }
            lessons = sent;
            until = Entry.orEmpty(until);
            shown = Entry.orEmpty(shown);
        }
    }

    /**
     * A course.
     *
     * @param person whose
     * @param lessons what there is to learn
     * @param learner how far they have come
     * @param peg the same, drawn
     * @param today the day it is
     * @param mine whether it is one's own
     */
    private record CoursePage(
            SignedIn person, Lesson[] lessons, Lessons.Learner learner, View peg, LocalDate today, boolean mine) {}

    /**
     * Everybody's course.
     *
     * @param each how far each has come
     * @param pegs the same, drawn
     * @param lessons what there is to learn
     * @param today the day it is
     */
    private record PeoplePage(
            Map<SignedIn, Lessons.Learner> each, Map<SignedIn, View> pegs, Lesson[] lessons, LocalDate today) {}
}
