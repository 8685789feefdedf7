package rosinedpeg.web.account;

import jakarta.servlet.http.HttpSession;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
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
    String form(
            @ModelAttribute("form") PasswordForm form,
            BindingResult result,
            @AuthenticationPrincipal SignedIn account,
            HttpSession session,
            Model model) {
        return show(account, session, model);
    }

    private String show(SignedIn account, HttpSession session, Model model) {
        Page.lay(new PasswordPage(ListPage.of(accounts.sessions(account, session.getId()), 0)), model);
        return "account/password";
    }

    /** Ends what was left signed in elsewhere. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/password/sign-out-elsewhere")
    String signOutElsewhere(
            @AuthenticationPrincipal SignedIn account, HttpSession session, RedirectAttributes redirect) {
        accounts.endOtherSessions(account, session.getId());
        redirect.addFlashAttribute("notice", "sessions.ended");
        return "redirect:/password";
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/password")
    String change(
            @ModelAttribute("form") PasswordForm form,
            BindingResult result,
            @AuthenticationPrincipal SignedIn account,
            HttpSession session,
            Model model,
            RedirectAttributes redirect) {
        if (!accounts.knows(account, form.present())) {
            result.rejectValue("present", "password.wrong");
        }
        rejectBadPassword(result, "wanted", form.wanted());
        if (!form.wanted().equals(form.repeated())) {
            result.rejectValue("repeated", "password.differs");
        }
        if (result.hasErrors()) {
            return show(account, session, model);
        }
        accounts.changePassword(account, form.wanted(), session.getId());
        redirect.addFlashAttribute("notice", "password.changed");
        return "redirect:/password";
    }

    static void rejectBadPassword(BindingResult result, String field, String password) {
        if (password.length() < SHORTEST || password.length() > LONGEST) {
            result.rejectValue(field, "password.length", new Object[] {SHORTEST, LONGEST}, null);
        }
    }

    /**
     * The page of one's own password.
     *
     * @param sessions where one is signed in, what was used last coming first
     */
    record PasswordPage(ListPage<SignInSession> sessions) {}

    /**
     * The three fields.
     *
     * @param present the password as it is
     * @param wanted as it shall be
     * @param repeated the same again
     */
    record PasswordForm(String present, String wanted, String repeated) {

        /** What is not sent is as on an empty form. */
        PasswordForm {
            present = present == null ? "" : present;
            wanted = wanted == null ? "" : wanted;
            repeated = repeated == null ? "" : repeated;
        }
    }
}
