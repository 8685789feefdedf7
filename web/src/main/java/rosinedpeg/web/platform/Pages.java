package rosinedpeg.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What every page needs to know. */
@ControllerAdvice
class Pages {

    @ModelAttribute
    void everyPage(Model model, HttpServletRequest request) {
        CurrentWorkshop.account().ifPresent(account -> model.addAttribute("account", account));
        model.addAttribute("zone", CurrentWorkshop.zone());
        model.addAttribute("path", request.getRequestURI());
        model.addAttribute("lengths", Lengths.chosen(request));
        model.addAttribute("wording", Wording.chosen(request));
    }
}
