package rosinedpeg.web.account;

import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.drawing.QrPicture;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** A second step for one's own sign-in: set up, and left off again. */
@Controller
class SecondStepController {

    static final String ADDRESS = "/password/second-step";

    private final SecondFactors factors;
    private final OwnPassword ownPassword;

    SecondStepController(SecondFactors factors, OwnPassword ownPassword) {
        this.factors = factors;
        this.ownPassword = ownPassword;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping(ADDRESS)
    String show(@AuthenticationPrincipal SignedIn account, Model model) {
        return show(account, Optional.empty(), model);
    }

    private String show(SignedIn account, Optional<String> wrong, Model model) {
        Optional<SecondFactors.Offered> offered = factors.offered(account);
        Page.lay(
                new SecondStepPage(
                        factors.asked(account.accountId()),
                        account.secondStepDue(),
                        factors.recoveryCodesLeft(account.accountId()),
                        SecondFactors.RECOVERY_CODES,
                        offered.map(SecondFactors.Offered::letters),
                        offered.map(one -> QrPicture.of(one.address())),
                        wrong),
                model);
        return "account/second-step";
    }

    /** Begins, or leaves it off: both want the password. */
    @OpenTo(Role.PLAYER)
    @PostMapping(ADDRESS)
    String change(
            @RequestParam(defaultValue = "") String password,
            @AuthenticationPrincipal SignedIn account,
            Model model,
            RedirectAttributes redirect) {
        Optional<String> refusal = ownPassword.refusal(account, password);
        if (refusal.isPresent()) {
            return show(account, refusal, model);
        }
        if (factors.asked(account.accountId())) {
            factors.remove(account.accountId());
            redirect.addFlashAttribute("notice", "secondStep.removed");
            return "redirect:/password";
        }
        factors.offer(account);
        return "redirect:" + ADDRESS;
    }

    /** The first code: the telephone has taken the secret over. */
    @OpenTo(Role.PLAYER)
    @PostMapping(ADDRESS + "/first-code")
    String confirm(
            @RequestParam(defaultValue = "") String code,
            @AuthenticationPrincipal SignedIn account,
            Model model,
            RedirectAttributes redirect) {
        Optional<List<String>> codes = factors.confirm(account, code);
        if (codes.isEmpty()) {
            return factors.offered(account).isPresent()
                    ? show(account, Optional.of("secondStep.wrong"), model)
                    : "redirect:" + ADDRESS;
        }
        redirect.addFlashAttribute("recoveryCodes", codes.get());
        return "redirect:" + ADDRESS;
    }

    /**
     * The second step of somebody.
     *
     * @param asked whether it is asked for
     * @param due whether nothing else is open before it is set up
     * @param recoveryCodesLeft how many codes on paper are left
     * @param recoveryCodesMade how many there were
     * @param letters the secret that waits to be taken over by a telephone, in letters
     * @param picture the same as a picture
     * @param wrong what is to be said against what was typed
     */
    record SecondStepPage(
            boolean asked,
            boolean due,
            int recoveryCodesLeft,
            int recoveryCodesMade,
            Optional<String> letters,
            Optional<QrPicture> picture,
            Optional<String> wrong) {}
}
