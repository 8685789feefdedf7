package rosinedpeg.web.account;

import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.platform.OpenToStrangers;

/** The sign-in page; Spring Security answers its post. */
@Controller
class SignInController {

    private static final InstrumentDrawing VIOLIN = InstrumentDrawing.of(
            SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4")), Map.of(), Map.of(), Place.WHOLE, null);

    private final boolean demonstration;

    SignInController(@Value("${peg.demo}") boolean demonstration) {
        this.demonstration = demonstration;
    }

    @OpenToStrangers
    @GetMapping("/sign-in")
    String signIn(Model model) {
        model.addAttribute("demonstration", demonstration);
        model.addAttribute("violin", VIOLIN);
        return "account/sign-in";
    }
}
