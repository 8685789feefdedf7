package rosinedpeg.web.plan;

import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.plan.Material;
import rosinedpeg.web.drawer.CaseKits;
import rosinedpeg.web.drawing.Tool;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** What somebody has in their kit, so that plans can tick it. */
@Controller
class KitController {

    /** What comes with the change itself and is in nobody's kit. */
    private static final Set<Material> OF_THE_CHANGE =
            EnumSet.of(Material.NEW_STRING, Material.STRING_PACKET, Material.TAILPIECE);

    private final Habits habits;
    private final CaseKits cases;

    KitController(Habits habits, CaseKits cases) {
        this.habits = habits;
        this.cases = cases;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/kit")
    @Transactional(readOnly = true)
    String kit(@RequestParam(defaultValue = "") String from, Model model) {
        Page.lay(
                new KitPage(
                        habits.kit(),
                        Tool.laidOut(EnumSet.complementOf(EnumSet.copyOf(OF_THE_CHANGE))),
                        ListPage.of(cases.stocked(), ListPage.after(from))),
                model);
        return "plan/kit";
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/kit")
    String change(@RequestParam(required = false) Set<Material> materials, RedirectAttributes redirect) {
        habits.setKit(Entry.ticked(materials));
        redirect.addFlashAttribute("notice", "kit.recorded");
        return "redirect:/kit";
    }

    /**
     * Somebody's kit.
     *
     * @param kit what is in it
     * @param laidOut how everything that can be lies on the cloth
     * @param cases the cases in which strings are to lie
     */
    record KitPage(Set<Material> kit, Map<Material, Tool> laidOut, ListPage<CaseKits.Stocked> cases) {}
}
