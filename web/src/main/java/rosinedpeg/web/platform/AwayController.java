package rosinedpeg.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.ResponseStatus;

/** What is shown while the database cannot be reached. */
@Controller
class AwayController {

    private static final String AGAIN_AFTER_SECONDS = "3";

    /** Whatever was asked for, and by whatever method. */
    @OpenToStrangers
    @RequestMapping(
            path = DatabaseAway.NOTICE,
            method = {RequestMethod.GET, RequestMethod.POST})
    @ResponseStatus(HttpStatus.SERVICE_UNAVAILABLE)
    String away(HttpServletRequest request, HttpServletResponse response, Model model) {
        if (Htmx.asks(request)) {
            return "notice :: away";
        }
        boolean asksAgain = HttpMethod.GET.matches(request.getMethod());
        if (asksAgain) {
            response.setHeader("Refresh", AGAIN_AFTER_SECONDS);
        }
        Page.lay(new AwayPage(asksAgain), model);
        return "away";
    }

    /**
     * The server without its database.
     *
     * @param asksAgain whether the page tries again by itself; something that was sent is not sent twice
     */
    record AwayPage(boolean asksAgain) {}
}
