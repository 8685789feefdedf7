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

    private final Accounts accounts;
    private final OwnPassword ownPassword;
    private final SecondFactors factors;

    PasswordController(Accounts accounts, OwnPassword ownPassword, SecondFactors factors) {
        this.accounts = accounts;
        this.ownPassword = ownPassword;
        this.factors = factors;
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
        Page.lay(
                new PasswordPage(
                        factors.asked(account.accountId()),
                        ListPage.of(accounts.sessions(account, session.getId()), 0)),
                model);
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
        ownPassword.refusal(account, form.present()).ifPresent(code -> result.rejectValue("present", code));
        PasswordRules.check(result, "wanted", form.wanted(), account.signIn(), account.name(), account.workshopName());
        if (form.wanted().equals(form.present())) {
            result.rejectValue("wanted", "password.same");
        }
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

    /**
     * The page of one's own password.
     *
     * @param secondStep whether a code is asked for after the password
     * @param sessions where one is signed in, what was used last coming first
     */
    record PasswordPage(boolean secondStep, ListPage<SignInSession> sessions) {}

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
