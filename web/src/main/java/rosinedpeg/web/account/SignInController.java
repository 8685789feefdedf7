package rosinedpeg.web.account;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The sign-in page; Spring Security answers its post. */
@Controller
class SignInController {

    private final boolean demonstration;

    SignInController(@Value("${peg.demo}") boolean demonstration) {
        this.demonstration = demonstration;
    }

    @GetMapping("/sign-in")
    String signIn(Model model) {
        model.addAttribute("demonstration", demonstration);
        return "account/sign-in";
    }
}
