package rosinedpeg.web.account;

import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.ResponseStatus;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.platform.OpenToStrangers;
import rosinedpeg.web.platform.Page;

/** The sign-in page; Spring Security answers its post. */
@Controller
class SignInController {

    static final InstrumentDrawing VIOLIN = InstrumentDrawing.of(
            SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4")), Map.of(), Map.of(), Place.WHOLE, null);

    private final Accounts accounts;
    private final boolean demonstration;

    SignInController(Accounts accounts, @Value("${peg.demo}") boolean demonstration) {
        this.accounts = accounts;
        this.demonstration = demonstration;
    }

    @OpenToStrangers
    @GetMapping("/sign-in")
    String signIn(Model model) {
        if (!demonstration && !accounts.anyWorkshop()) {
            return "redirect:/begin";
        }
        Page.lay(new SignInPage(demonstration, VIOLIN), model);
        return "account/sign-in";
    }

    /** Told in place of a part of a page, by whatever method it was asked for. */
    @OpenToStrangers
    @RequestMapping(
            path = "/signed-out",
            method = {RequestMethod.GET, RequestMethod.POST})
    @ResponseStatus(HttpStatus.UNAUTHORIZED)
    String signedOut() {
        return "notice :: signedOut";
    }

    /**
     * The way in.
     *
     * @param demonstration whether this is the demonstration, whose sign-ins are told
     * @param violin a drawing
     */
    record SignInPage(boolean demonstration, InstrumentDrawing violin) {}
}
