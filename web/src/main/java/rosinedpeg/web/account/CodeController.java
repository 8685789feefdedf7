package rosinedpeg.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.platform.OpenToStrangers;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.SignedIn;

/** The second step of signing in, for whoever wants one: after the password a code. */
@Controller
class CodeController {

    private final SecondFactors factors;
    private final AccountOfSession sessions;
    private final Guesses guesses;
    private final SignInLimiter.RightAtLast rightAtLast;

    CodeController(
            SecondFactors factors, AccountOfSession sessions, Guesses guesses, SignInLimiter.RightAtLast rightAtLast) {
        this.factors = factors;
        this.sessions = sessions;
        this.guesses = guesses;
        this.rightAtLast = rightAtLast;
    }

    @OpenToStrangers
    @GetMapping("/sign-in/code")
    String ask(HttpServletRequest request, Model model) {
        return sessions.waiting(request).isPresent() ? show(Optional.empty(), model) : "redirect:/sign-in";
    }

    @OpenToStrangers
    @PostMapping("/sign-in/code")
    String signIn(
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Optional<SignedIn> waiting = sessions.waiting(request);
        if (waiting.isEmpty()) {
            return "redirect:/sign-in";
        }
        SignedIn account = waiting.get();
        Optional<String> refusal = guesses.refusal(
                Guesses.Of.CODE,
                account.accountId().toString(),
                () -> factors.take(account.accountId(), code),
                "secondStep.wrong");
        if (refusal.isPresent()) {
            RightsLog.tell("A code was refused", account.accountId());
            return show(refusal, model);
        }
        sessions.letIn(account, request);
        RightsLog.tell("Signed in with a code", account.accountId());
        return "redirect:" + rightAtLast.whereTo(account, request, response);
    }

    private static String show(Optional<String> wrong, Model model) {
        Page.lay(new CodePage(wrong, SignInController.VIOLIN), model);
        return "account/code";
    }

    /**
     * Asks for the code.
     *
     * @param wrong what is to be said against the one that was typed
     * @param violin a drawing
     */
    record CodePage(Optional<String> wrong, InstrumentDrawing violin) {}
}
