package rosinedpeg.web.account;

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
        model.addAttribute("people", accounts.people(account.workshopId()));
        model.addAttribute("roles", Role.values());
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
        Entry.text(result, "name", form.getName(), 80);
        if (!form.getSignIn().strip().matches("[A-Za-z0-9][A-Za-z0-9.@_-]{1,59}")) {
            result.rejectValue("signIn", "people.signIn.shape");
        }
        PasswordController.rejectBadPassword(result, "password", form.getPassword());
        if (!result.hasErrors()
                && !accounts.add(
                        account.workshopId(),
                        form.getSignIn(),
                        form.getName().strip(),
                        form.getRole(),
                        form.getPassword())) {
            result.rejectValue("signIn", "people.signIn.taken");
        }
        if (result.hasErrors()) {
            return people(form, account, model);
        }
        redirect.addFlashAttribute("notice", "people.added");
        return "redirect:/people";
    }

    @OpenTo(Role.KEEPER)
    @PostMapping("/people/{id}/active")
    String setActive(@PathVariable UUID id, @RequestParam boolean active, @AuthenticationPrincipal SignedIn account) {
        if (!id.equals(account.accountId())) {
            accounts.setActive(account.workshopId(), id, active);
        }
        return "redirect:/people";
    }

    /** A new person. */
    static class PersonForm {
        private String signIn = "";
        private String name = "";
        private Role role = Role.PLAYER;
        private String password = "";

        public String getSignIn() {
            return signIn;
        }

        public void setSignIn(String signIn) {
            this.signIn = signIn;
        }

        public String getName() {
            return name;
        }

        public void setName(String name) {
            this.name = name;
        }

        public Role getRole() {
            return role;
        }

        public void setRole(Role role) {
            this.role = role;
        }

        public String getPassword() {
            return password;
        }

        public void setPassword(String password) {
            this.password = password;
        }
    }
}
