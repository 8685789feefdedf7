package rosinedpeg.web.bench;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawer.Held;
import rosinedpeg.web.drawer.InDrawer;
import rosinedpeg.web.kinds.KindWords;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;

/** At the bench: a packet is held against what the run needs before it is opened. */
@Controller
class PacketController {

    private final Benches benches;
    private final BenchPages pages;
    private final StringKinds kinds;
    private final KindWords kindWords;
    private final Words words;

    PacketController(Benches benches, BenchPages pages, StringKinds kinds, KindWords kindWords, Words words) {
        this.benches = benches;
        this.pages = pages;
        this.kinds = kinds;
        this.kindWords = kindWords;
        this.words = words;
    }

    /**
     * Tells whether it is the right string.
     *
     * @param code what is on the packet, typed or scanned
     */
    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/packet")
    String packet(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String code,
            Model model,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        PacketPage page = benches.hold(id, code)
                .map(held -> told(benches.get(id), held))
                .orElseGet(() -> new PacketPage("stop", words.say("bench.packet.over"), Map.of()));
        if (Htmx.asks(request)) {
            Page.lay(page, model);
            return "bench/packet :: held";
        }
        redirect.addFlashAttribute("held", page);
        return "redirect:/bench/" + id;
    }

    private PacketPage told(Run run, Held held) {
        Optional<Step> now = run.state().now();
        Map<Position, InDrawer> packets =
                now.map(step -> pages.packets(run, step)).orElse(Map.of());
        String called = held.string().map(this::called).orElse("");
        String place = held.place().map(Position::name).orElse("");
        Optional<String> asked = now.filter(step -> step.kind().beginsWithString())
                .map(Step::position)
                .map(Position::name);
        return switch (held.verdict()) {
            case UNKNOWN -> new PacketPage("stop", words.say("bench.packet.UNKNOWN"), packets);
            case WRONG -> new PacketPage("stop", words.say("bench.packet.WRONG", called), packets);
            case RIGHT, INSTEAD ->
                asked.filter(other -> !other.equals(place))
                        .map(other ->
                                new PacketPage("stop", words.say("bench.packet.other", called, place, other), packets))
                        .orElseGet(() -> new PacketPage(
                                "good", words.say("bench.packet." + held.verdict(), called, place), packets));
        };
    }

    private String called(InDrawer string) {
        StringKind kind = kinds.all().get(string.kindId());
        return kind == null
                ? string.written()
                : kindWords.label(kind) + " " + kind.spec().position();
    }

    /**
     * What a packet is.
     *
     * @param style how that is marked
     * @param says it in a sentence
     * @param packets what comes from the drawer by now
     */
    record PacketPage(String style, String says, Map<Position, InDrawer> packets) {}
}
