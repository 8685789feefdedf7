package rosinedpeg.web.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** The people of a workshop, looked after by its keeper. */
@Controller
class PeopleController {

    private static final String LAST_KEEPER = "people.last";

    private final Accounts accounts;
    private final OneTimeLinks links;
    private final Leaving leaving;
    private final AsShown asShown;

    PeopleController(Accounts accounts, OneTimeLinks links, Leaving leaving, AsShown asShown) {
        this.accounts = accounts;
        this.links = links;
        this.leaving = leaving;
        this.asShown = asShown;
    }

    @OpenTo(Role.KEEPER)
    @GetMapping("/people")
    String people(@ModelAttribute("form") PersonForm form, @AuthenticationPrincipal SignedIn account, Model model) {
        Page.lay(
                new PeoplePage(
                        accounts.people(account.workshopId()),
                        links.invitations(account.workshopId()),
                        Role.values(),
                        accounts.lastBackup()),
                model);
        return "account/people";
    }

    @OpenTo(Role.KEEPER)
    @PostMapping("/people")
    String add(
            @ModelAttribute("form") PersonForm form,
            BindingResult result,
            @AuthenticationPrincipal SignedIn account,
            Model model,
            RedirectAttributes redirect) {
        Optional<String> name = name(result, form, account, Optional.empty());
        if (result.hasErrors()) {
            return people(form, account, model);
        }
        hand(
                links.invite(account.workshopId(), name.orElseThrow(), form.role()),
                "people.invited",
                name.get(),
                redirect);
        return "redirect:/people";
    }

    /** {@return the name, where nobody else of the workshop is called so; what is wrong with it is noted beside its field} */
    private Optional<String> name(BindingResult result, PersonForm form, SignedIn account, Optional<SignedIn> ofWhom) {
        Optional<String> name = Entry.text(result, "name", form.name(), Accounts.LONGEST_NAME);
        name.filter(one -> accounts.isCalled(account.workshopId(), one, ofWhom))
                .ifPresent(taken -> result.rejectValue("name", "people.name.taken"));
        return name;
    }

    /** What somebody is called, and what they may do. */
    @OpenTo(Role.KEEPER)
    @GetMapping("/people/{id}")
    String person(@PathVariable UUID id, @AuthenticationPrincipal SignedIn account, Model model) {
        SignedIn person = accounts.person(account.workshopId(), id);
        model.addAttribute("form", PersonForm.of(person));
        return show(person, model);
    }

    private static String show(SignedIn person, Model model) {
        Page.lay(new PersonPage(person, Role.values()), model);
        return "account/person";
    }

    /** Changes what somebody is called, also where they signed before, and what they may do. Nobody changes their own role. */
    @OpenTo(Role.KEEPER)
    @PostMapping("/people/{id}")
    String change(
            @PathVariable UUID id,
            @ModelAttribute("form") PersonForm form,
            BindingResult result,
            @AuthenticationPrincipal SignedIn account,
            Model model,
            RedirectAttributes redirect) {
        SignedIn person = accounts.person(account.workshopId(), id);
        Optional<String> name = name(result, form, account, Optional.of(person));
        if (result.hasErrors()) {
            return show(person, model);
        }
        Role role = id.equals(account.accountId()) ? account.role() : form.role();
        AtomicBoolean kept = new AtomicBoolean(true);
        boolean made = Change.made(
                () -> asShown.change(
                        id,
                        form.shown(),
                        () -> PersonForm.of(accounts.person(account.workshopId(), id))
                                .shown(),
                        AsShown.mark(name.orElseThrow(), role),
                        () -> kept.set(accounts.change(person, name.get(), role))),
                result);
        if (!made) {
            return show(person, model);
        }
        tell(kept.get() ? "people.changed" : LAST_KEEPER, name.get(), redirect);
        return "redirect:/people";
    }

    /** Shows a link once; nobody can read it again. */
    private static void hand(String secret, String notice, String name, RedirectAttributes redirect) {
        tell(notice, name, redirect);
        redirect.addFlashAttribute(
                "handed",
                ServletUriComponentsBuilder.fromCurrentContextPath()
                        .pathSegment("join", secret)
                        .toUriString());
    }

    private static void tell(String notice, String name, RedirectAttributes redirect) {
        redirect.addFlashAttribute("notice", notice);
        redirect.addFlashAttribute("noticeOf", name);
    }

    /** Ends an invitation that nobody has used. */
    @OpenTo(Role.KEEPER)
    @PostMapping("/people/invitations/{id}/take-back")
    String takeBack(@PathVariable UUID id, @AuthenticationPrincipal SignedIn account) {
        links.takeBack(account.workshopId(), id);
        return "redirect:/people";
    }

    /** Makes a link for somebody who has forgotten their password. */
    @OpenTo(Role.KEEPER)
    @PostMapping("/people/{id}/forgotten")
    String forgotten(@PathVariable UUID id, @AuthenticationPrincipal SignedIn account, RedirectAttributes redirect) {
        hand(links.forgotten(account.workshopId(), id), "people.forgotten.made", "", redirect);
        return "redirect:/people";
    }

    static void rejectBadSignIn(BindingResult result, String field, String signIn) {
        String name = signIn.strip();
        if (name.length() > Accounts.LONGEST_SIGN_IN || !name.matches("[A-Za-z0-9][A-Za-z0-9.@_-]+")) {
            result.rejectValue(field, "people.signIn.shape");
        }
    }

    @OpenTo(Role.KEEPER)
    @PostMapping("/people/{id}/active")
    String setActive(
            @PathVariable UUID id,
            @RequestParam boolean active,
            @AuthenticationPrincipal SignedIn account,
            RedirectAttributes redirect) {
        if (!id.equals(account.accountId()) && !accounts.setActive(account.workshopId(), id, active)) {
            tell(LAST_KEEPER, "", redirect);
        }
        return "redirect:/people";
    }

    /** Takes somebody away; what they recorded stays. Nobody takes themselves away, so that somebody keeps the workshop. */
    @OpenTo(Role.KEEPER)
    @PostMapping("/people/{id}/remove")
    String remove(@PathVariable UUID id, @AuthenticationPrincipal SignedIn account, RedirectAttributes redirect) {
        if (!id.equals(account.accountId())) {
            tell(leaving.remove(account.workshopId(), id) ? "people.removed" : LAST_KEEPER, "", redirect);
        }
        return "redirect:/people";
    }

    /**
     * Somebody, as typed.
     *
     * @param name their name
     * @param role what they may do
     * @param shown the mark of both as they were shown
     */
    record PersonForm(String name, Role role, String shown) {

        /** What is not sent is as on an empty form. */
        PersonForm {
            name = name == null ? "" : name;
            role = role == null ? Role.PLAYER : role;
            shown = Entry.orEmpty(shown);
        }

        private static PersonForm of(SignedIn person) {
            return new PersonForm(person.name(), person.role(), AsShown.mark(person.name(), person.role()));
        }
    }

    /**
     * Who works here.
     *
     * @param people everybody
     * @param invitations who was invited and has not come yet
     * @param roles what somebody can be
     * @param lastBackup when everything was backed up last; empty where it never was
     */
    record PeoplePage(
            List<SignedIn> people,
            List<OneTimeLinks.Link> invitations,
            Role[] roles,
            Optional<LastBackup> lastBackup) {}

    /**
     * One of them.
     *
     * @param person who
     * @param roles what somebody can be
     */
    record PersonPage(SignedIn person, Role[] roles) {}
}
