package rosinedpeg.web.plan;

import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.plan.Material;
import rosinedpeg.web.drawer.CaseKits;
import rosinedpeg.web.drawing.Tool;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.CurrentWorkshop;
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
    private final AsShown asShown;

    KitController(Habits habits, CaseKits cases, AsShown asShown) {
        this.habits = habits;
        this.cases = cases;
        this.asShown = asShown;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/kit")
    @Transactional(readOnly = true)
    String kit(@RequestParam(defaultValue = "") String from, Model model) {
        Set<Material> kit = habits.kit();
        model.addAttribute("form", new KitForm(kit, AsShown.mark(kit)));
        return show(from, model);
    }

    private String show(String from, Model model) {
        Page.lay(
                new KitPage(
                        Tool.laidOut(EnumSet.complementOf(EnumSet.copyOf(OF_THE_CHANGE))),
                        ListPage.of(cases.stocked(), ListPage.after(from))),
                model);
        return "plan/kit";
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/kit")
    String change(
            @ModelAttribute("form") KitForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        boolean made = Change.made(
                () -> asShown.change(
                        CurrentWorkshop.person(),
                        form.shown(),
                        () -> AsShown.mark(habits.kit()),
                        AsShown.mark(form.materials()),
                        () -> habits.setKit(form.materials())),
                result,
                "kit.meanwhile");
        if (!made) {
            return show("", model);
        }
        redirect.addFlashAttribute("notice", "kit.recorded");
        return "redirect:/kit";
    }

    /**
     * A kit, as ticked.
     *
     * @param materials what is in it
     * @param shown the mark of it as it was shown
     */
    record KitForm(Set<Material> materials, String shown) {

        /** What is not sent is as on an empty form. */
        KitForm {
            Set<Material> ticked = EnumSet.noneOf(Material.class);
            ticked.addAll(Entry.ticked(materials));
            materials = ticked;
            shown = Entry.orEmpty(shown);
        }
    }

    /**
     * Somebody's kit.
     *
     * @param laidOut how everything that can be lies on the cloth
     * @param cases the cases in which strings are to lie
     */
    record KitPage(Map<Material, Tool> laidOut, ListPage<CaseKits.Stocked> cases) {}
}
