package rosinedpeg.web.account;

import jakarta.servlet.http.HttpSession;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** Changing one's own password. */
@Controller
class PasswordController {

    static final int SHORTEST = 10;
    static final int LONGEST = 100;

    private final Accounts accounts;

    PasswordController(Accounts accounts) {
        this.accounts = accounts;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/password")
    String form(@ModelAttribute("form") PasswordForm form) {
        return "account/password";
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/password")
    String change(
            @ModelAttribute("form") PasswordForm form,
            BindingResult result,
            @AuthenticationPrincipal SignedIn account,
            HttpSession session,
            RedirectAttributes redirect) {
        if (!accounts.knows(account, form.getPresent())) {
            result.rejectValue("present", "password.wrong");
        }
        rejectBadPassword(result, "wanted", form.getWanted());
        if (!form.getWanted().equals(form.getRepeated())) {
            result.rejectValue("repeated", "password.differs");
        }
        if (result.hasErrors()) {
            return "account/password";
        }
        accounts.changePassword(account, form.getWanted(), session.getId());
        redirect.addFlashAttribute("notice", "password.changed");
        return "redirect:/password";
    }

    static void rejectBadPassword(BindingResult result, String field, String password) {
        if (password.length() < SHORTEST || password.length() > LONGEST) {
            result.rejectValue(field, "password.length", new Object[] {SHORTEST, LONGEST}, null);
        }
    }

    /** The three fields. */
    static class PasswordForm {
        private String present = "";
        private String wanted = "";
        private String repeated = "";

        public String getPresent() {
            return present;
        }

        public void setPresent(String present) {
            this.present = present;
        }

        public String getWanted() {
            return wanted;
        }

        public void setWanted(String wanted) {
            this.wanted = wanted;
        }

        public String getRepeated() {
            return repeated;
        }

        public void setRepeated(String repeated) {
            this.repeated = repeated;
        }
    }
}
