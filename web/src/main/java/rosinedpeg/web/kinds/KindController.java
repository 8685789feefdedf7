package rosinedpeg.web.kinds;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.MapBindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.usual.Pull;
import rosinedpeg.web.drawing.FitDrawing;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** The kinds of string of the workshop: what there are, and what their packets say. */
@Controller
class KindController {

    /** So many are listed at a time. */
    private static final int MOST_SHOWN = 40;

    private final StringKinds kinds;

    KindController(StringKinds kinds) {
        this.kinds = kinds;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/strings")
    String all(@RequestParam(defaultValue = "0") int from, Model model) {
        Page.lay(new KindsPage(ListPage.of(kinds.entered(), from, MOST_SHOWN)), model);
        return "kinds/kinds";
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/strings/new")
    String blank(@ModelAttribute("form") KindForm form, BindingResult result, Model model, HttpServletRequest request) {
        // What is still missing is no fault yet.
        Page.lay(page(Optional.empty(), form), model);
        return Htmx.asks(request) ? "kinds/kind :: follows" : "kinds/kind";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/strings/new")
    String add(@ModelAttribute("form") KindForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        Optional<TypedPacket> packet = TypedPacket.read(result, form);
        if (result.hasErrors() || packet.isEmpty()) {
            return shown(Optional.empty(), form, model);
        }
        return kept(
                () -> kinds.add(List.of(packet.get().packaged())),
                Optional.empty(),
                form,
                result,
                model,
                redirect,
                "kind.added");
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/strings/{id}")
    String one(@PathVariable UUID id, Model model) {
        StringKind kind = kinds.entered(id);
        KindForm form = KindForm.of(kind);
        model.addAttribute("form", form);
        Page.lay(page(Optional.of(kind), form), model);
        return "kinds/kind";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/strings/{id}")
    String change(
            @PathVariable UUID id,
            @ModelAttribute("form") KindForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        StringKind kind = kinds.entered(id);
        Optional<TypedPacket> packet = TypedPacket.read(result, form);
        if (packet.isPresent() && packet.get().packaged().size().family() != kind.family()) {
            result.rejectValue("size", "kind.otherFamily");
        }
        if (result.hasErrors() || packet.isEmpty()) {
            return shown(Optional.of(kind), form, model);
        }
        return kept(
                () -> kinds.change(id, form.version(), packet.get().packaged()),
                Optional.of(kind),
                form,
                result,
                model,
                redirect,
                "kind.changed");
    }

    /** Takes out a kind that was never put on anything. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/strings/{id}/remove")
    String remove(@PathVariable UUID id, RedirectAttributes redirect) {
        StringKind kind = kinds.entered(id);
        try {
            kinds.remove(id);
        } catch (DataIntegrityViolationException onRecord) {
            redirect.addFlashAttribute("notice", "kind.onRecord");
            return "redirect:/strings/" + id;
        }
        redirect.addFlashAttribute("notice", "kind.removed");
        redirect.addFlashAttribute("noticeOf", kind.maker() + " " + kind.line());
        return "redirect:/strings";
    }

    private String kept(
            Runnable keep,
            Optional<StringKind> kind,
            KindForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect,
            String done) {
        try {
            if (!Change.made(keep, result)) {
                return shown(kind, form, model);
            }
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.STRING_KIND_ONCE.isViolatedBy(complaint)) {
                throw complaint;
            }
            result.rejectValue("line", "kind.there");
            return shown(kind, form, model);
        }
        redirect.addFlashAttribute("notice", done);
        redirect.addFlashAttribute("noticeOf", form.maker() + " " + form.line() + " " + form.position());
        return "redirect:/strings";
    }

    private static String shown(Optional<StringKind> kind, KindForm form, Model model) {
        Page.lay(page(kind, form), model);
        return "kinds/kind";
    }

    private static KindPage page(Optional<StringKind> kind, KindForm form) {
        return new KindPage(kind, Follows.of(TypedPacket.read(unheard(), form)), Choices.ALL);
    }

    /** Takes what is wrong where nobody is to be told. */
    private static BindingResult unheard() {
        return new MapBindingResult(new HashMap<>(), "form");
    }

    /**
     * The kinds of string of the workshop.
     *
     * @param kinds those that somebody entered
     */
    record KindsPage(ListPage<StringKind> part) {}

    /**
     * A kind of string, as its packet describes it.
     *
     * @param kind the kind as it is on record; empty for a new one
     * @param follows what follows from what was typed; empty while that is not enough
     * @param choices what can be chosen
     */
    record KindPage(Optional<StringKind> kind, Optional<Follows> follows, Choices choices) {}

    /**
     * The string that follows from what was typed.
     *
     * @param packet what was typed
     * @param packaged the string
     * @param doubts what cannot be so, or has to be looked at again
     * @param drawing it against the instrument it is made for
     */
    record Follows(Packet packet, Packaged packaged, List<Packet.Doubt> doubts, FitDrawing drawing) {

        private static Optional<Follows> of(Optional<TypedPacket> typed) {
            return typed.map(there -> new Follows(
                    there.packet(),
                    there.packaged(),
                    there.doubts(),
                    FitDrawing.of(there.packet().setUp(), there.packaged().spec())));
        }
    }

    /** What can be chosen. */
    record Choices(
            List<Size> sizes,
            Position[] positions,
            StringCore[] cores,
            Winding[] windings,
            StringEnd[] ends,
            KindForm.Known[] known,
            Pull.Gauge[] gauges) {

        private static final Choices ALL = new Choices(
                Arrays.stream(Family.values())
                        .flatMap(family -> Size.of(family).stream())
                        .toList(),
                Position.values(),
                StringCore.values(),
                Winding.values(),
                StringEnd.values(),
                KindForm.Known.values(),
                Pull.Gauge.values());
    }
}
