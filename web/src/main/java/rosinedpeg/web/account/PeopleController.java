package rosinedpeg.web.account;

import java.util.List;
import java.util.UUID;
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
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** The people of a workshop, looked after by its keeper. */
@Controller
class PeopleController {

    private final Accounts accounts;

    PeopleController(Accounts accounts) {
        this.accounts = accounts;
    }

    @OpenTo(Role.KEEPER)
    @GetMapping("/people")
    String people(@ModelAttribute("form") PersonForm form, @AuthenticationPrincipal SignedIn account, Model model) {
        Page.lay(new PeoplePage(accounts.people(account.workshopId()), Role.values()), model);
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
        Entry.text(result, "name", form.name(), 80);
        rejectBadSignIn(result, "signIn", form.signIn());
        PasswordController.rejectBadPassword(result, "password", form.password());
        if (!result.hasErrors()
                && !accounts.add(
                        account.workshopId(), form.signIn(), form.name().strip(), form.role(), form.password())) {
            result.rejectValue("signIn", "people.signIn.taken");
        }
        if (result.hasErrors()) {
            return people(form, account, model);
        }
        redirect.addFlashAttribute("notice", "people.added");
        return "redirect:/people";
    }

    static void rejectBadSignIn(BindingResult result, String field, String signIn) {
        if (!signIn.strip().matches("[A-Za-z0-9][A-Za-z0-9.@_-]{1,59}")) {
            result.rejectValue(field, "people.signIn.shape");
        }
    }

    @OpenTo(Role.KEEPER)
    @PostMapping("/people/{id}/active")
    String setActive(@PathVariable UUID id, @RequestParam boolean active, @AuthenticationPrincipal SignedIn account) {
        if (!id.equals(account.accountId())) {
            accounts.setActive(account.workshopId(), id, active);
        }
        return "redirect:/people";
    }

    /**
     * A new person.
     *
     * @param signIn what they sign in with
     * @param name their name
     * @param role what they may do
     * @param password their first password
     */
    record PersonForm(String signIn, String name, Role role, String password) {

        /** What is not sent is as on an empty form. */
        PersonForm {
            signIn = signIn == null ? "" : signIn;
            name = name == null ? "" : name;
            role = role == null ? Role.PLAYER : role;
            password = password == null ? "" : password;
        }
    }

    /**
     * Who works here.
     *
     * @param people everybody
     * @param roles what somebody can be
     */
    record PeoplePage(List<SignedIn> people, Role[] roles) {}
}
