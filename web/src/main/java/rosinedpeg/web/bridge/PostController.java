package rosinedpeg.web.bridge;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.SchoolsChart;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;

/** What is left on the sound post when strings are off, and how much this post wants. */
@Controller
class PostController {

    /** In per cent. A post may want more than the usual, never less. */
    private static final Range HELD_FROM = percent(LoadBands.HELD_FROM);

    private static final Range LIGHT_FROM = percent(LoadBands.LIGHT_FROM);
    private static final Range THIN_FROM = percent(LoadBands.THIN_FROM);

    private final Instruments instruments;
    private final Say say;

    PostController(Instruments instruments, Say say) {
        this.instruments = instruments;
        this.say = say;
    }

    private static Range percent(Range shares) {
        return new Range(100 * shares.low(), 100 * shares.high(), shares.unit());
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/post")
    String look(@PathVariable UUID id, Model model) {
        Instrument instrument = instruments.strung(id);
        model.addAttribute("form", BandsForm.of(instrument));
        return show(instrument, model);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/post")
    String change(
            @PathVariable UUID id,
            @ModelAttribute("form") BandsForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Instrument instrument = instruments.strung(id);
        OptionalDouble held = Entry.number(result, "held", form.held(), HELD_FROM);
        OptionalDouble light = Entry.number(result, "light", form.light(), LIGHT_FROM);
        OptionalDouble thin = Entry.number(result, "thin", form.thin(), THIN_FROM);
        if (light.isPresent() && held.isPresent() && light.getAsDouble() >= held.getAsDouble()) {
            result.rejectValue("light", "post.falls", new Object[] {form.held()}, null);
        }
        if (thin.isPresent() && light.isPresent() && thin.getAsDouble() >= light.getAsDouble()) {
            result.rejectValue("thin", "post.falls", new Object[] {form.light()}, null);
        }
        if (result.hasErrors()) {
            return show(instrument, model);
        }
        try {
            instruments.setBands(
                    id,
                    form.version(),
                    new LoadBands(held.getAsDouble() / 100, light.getAsDouble() / 100, thin.getAsDouble() / 100));
        } catch (OptimisticLockingFailureException meanwhile) {
            LoadBands now = instruments.get(id).bands();
            result.reject(
                    "post.meanwhile",
                    new Object[] {Say.percent(now.heldFrom()), Say.percent(now.lightFrom()), Say.percent(now.thinFrom())
                    },
                    null);
            return show(instruments.strung(id), model);
        }
        redirect.addFlashAttribute("notice", "post.changed");
        return "redirect:/instruments/" + id + "/post";
    }

    private String show(Instrument instrument, Model model) {
        LoadBands bands = instrument.bands();
        List<Off> offs = offs(instrument);
        View picture = SchoolsChart.of(
                offs.stream()
                        .map(off -> new SchoolsChart.Row(
                                off.off().stream().map(Enum::name).collect(Collectors.joining(" ")),
                                off.shares().treble(),
                                false,
                                ""))
                        .toList(),
                bands.heldFrom(),
                bands.thinFrom(),
                say);
        Page.lay(new PostPage(instrument, offs, picture), model);
        return "bridge/post";
    }

    /** Each string off by itself, then each pair of neighbours. */
    private static List<Off> offs(Instrument instrument) {
        List<Position> positions = instrument.setUp().positions();
        Map<Position, Double> allN = instrument.setUp().tensionsN(instrument.specs());
        InstrumentLoad load = new InstrumentLoad(instrument.setUp(), allN);
        List<List<Position>> sets = new ArrayList<>();
        positions.forEach(position -> sets.add(List.of(position)));
        for (int i = 1; i < positions.size(); i++) {
            sets.add(positions.subList(i - 1, i + 1));
        }
        return sets.stream()
                .map(off -> {
                    Map<Position, Double> leftN = new EnumMap<>(allN);
                    leftN.keySet().removeAll(off);
                    LoadShares shares = load.shares(leftN);
                    LoadBands bands = instrument.bands();
                    return new Off(List.copyOf(off), leftN, shares, bands.of(shares.treble()), bands.refuse(shares));
                })
                .toList();
    }

    /**
     * Some strings off, all others at pitch.
     *
     * @param off which
     * @param leftN what the others carry, in N
     * @param shares what is left
     * @param band what that means for the post
     * @param refused whether a plan that does this is refused
     */
    record Off(List<Position> off, Map<Position, Double> leftN, LoadShares shares, LoadBand band, boolean refused) {}

    /**
     * The limits of the bands, in per cent.
     *
     * @param held from where the post is held
     * @param light from where it is lightly held
     * @param thin from where it is thinly held
     * @param version the instrument as it was seen
     */
    record BandsForm(String held, String light, String thin, Integer version) {

        /** What is not sent is as on an empty form. */
        BandsForm {
            held = held == null ? "" : held;
            light = light == null ? "" : light;
            thin = thin == null ? "" : thin;
            version = Objects.requireNonNullElse(version, 0);
        }

        static BandsForm of(Instrument instrument) {
            LoadBands bands = instrument.bands();
            return new BandsForm(
                    Say.percent(bands.heldFrom()),
                    Say.percent(bands.lightFrom()),
                    Say.percent(bands.thinFrom()),
                    instrument.version());
        }
    }

    /**
     * What is left on the post.
     *
     * @param instrument the instrument
     * @param offs each string off by itself, then each pair of neighbours
     * @param picture the load of each, drawn
     */
    record PostPage(Instrument instrument, List<Off> offs, View picture) {

        /** {@return what every string carries at pitch, in N} */
        public Map<Position, Double> whole() {
            return instrument.setUp().tensionsN(instrument.specs());
        }

        /** {@return how well the load is known} */
        public Origin origin() {
            return InstrumentLoad.origin(instrument.setUp());
        }

        /** {@return whether this post wants no more than any other} */
        public boolean usual() {
            return instrument.bands().equals(LoadBands.USUAL);
        }
    }
}
