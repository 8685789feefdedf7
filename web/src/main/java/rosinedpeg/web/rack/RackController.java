package rosinedpeg.web.rack;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** The first page. */
@Controller
class RackController {

    private final Rack rack;

    RackController(Rack rack) {
        this.rack = rack;
    }

    /**
     * The rack, or the part of it that fits on a page, what most wants hands first.
     *
     * @param find part of a name, to show only those
     * @param from how many have been shown already
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/")
    String rack(
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "0") int from,
            Model model,
            HttpServletRequest request) {
        Page.lay(rack.page(find.trim(), from), model);
        return Htmx.asks(request) ? "rack/rack :: rows" : "rack/rack";
    }
}
