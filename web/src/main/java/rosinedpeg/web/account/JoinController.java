package rosinedpeg.web.account;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.platform.OpenToStrangers;
import rosinedpeg.web.platform.Page;

/** The page that a one-time link leads to: whoever has it chooses how they sign in. */
@Controller
class JoinController {

    private final OneTimeLinks links;

    JoinController(OneTimeLinks links) {
        this.links = links;
    }

    @OpenToStrangers
    @GetMapping("/join/{secret}")
    String ask(@PathVariable String secret, @ModelAttribute("form") JoinForm form, BindingResult result, Model model) {
        return show(secret, model);
    }

    @OpenToStrangers
    @PostMapping("/join/{secret}")
    String join(@PathVariable String secret, @ModelAttribute("form") JoinForm form, BindingResult result, Model model) {
        Optional<OneTimeLinks.Link> link = links.find(secret);
        if (link.isEmpty()) {
            return show(secret, model);
        }
        if (link.get().accountId().isEmpty()) {
            PeopleController.rejectBadSignIn(result, "signIn", link.get().numbered(form.signIn()));
        }
        PasswordRules.check(
                result,
                "password",
                form.password(),
                form.signIn(),
                link.get().name(),
                link.get().workshop());
        if (!form.password().equals(form.repeated())) {
            result.rejectValue("repeated", "password.differs");
        }
        if (result.hasErrors()) {
            return show(secret, model);
        }
        return switch (links.use(secret, form.signIn(), form.password())) {
            case LET_IN -> "redirect:/sign-in?joined";
            case GONE -> show(secret, model);
            case SIGN_IN_TAKEN -> {
                result.rejectValue("signIn", "people.signIn.taken");
                yield show(secret, model);
            }
        };
    }

    private String show(String secret, Model model) {
        Page.lay(new JoinPage(secret, links.find(secret), SignInController.VIOLIN), model);
        return "account/join";
    }

    /**
     * How somebody wants to sign in.
     *
     * @param signIn the name
     * @param password the password
     * @param repeated the same again
     */
    record JoinForm(String signIn, String password, String repeated) {

        /** What is not sent is as on an empty form. */
        JoinForm {
            signIn = signIn == null ? "" : signIn;
            password = password == null ? "" : password;
            repeated = repeated == null ? "" : repeated;
        }
    }

    /**
     * The page a one-time link leads to.
     *
     * @param secret the secret of the link
     * @param link what it is for; empty where it no longer holds
     * @param violin a drawing
     */
    record JoinPage(String secret, Optional<OneTimeLinks.Link> link, InstrumentDrawing violin) {}
}
