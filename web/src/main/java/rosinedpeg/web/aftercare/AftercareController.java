package rosinedpeg.web.aftercare;

import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;

/** Ticks off what is owed, and takes down the care of strings and bow. */
@Controller
class AftercareController {

    private final Aftercare aftercare;

    AftercareController(Aftercare aftercare) {
        this.aftercare = aftercare;
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/owed/{work}/done")
    String done(@PathVariable UUID id, @PathVariable UUID work, RedirectAttributes redirect) {
        aftercare.done(id, work);
        redirect.addFlashAttribute("notice", "aftercare.done");
        return "redirect:/instruments/" + id + "#aftercare";
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/care")
    String care(
            @PathVariable UUID id,
            @RequestParam CareKind kind,
            @RequestParam(defaultValue = "") String press,
            RedirectAttributes redirect) {
        UUID pressed = Entry.press(press);
        Constraint.CARE_ONCE.once(() -> aftercare.care(id, kind, pressed));
        redirect.addFlashAttribute("notice", "care.recorded");
        return "redirect:/instruments/" + id + "#care";
    }
}
