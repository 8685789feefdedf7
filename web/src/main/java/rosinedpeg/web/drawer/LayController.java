package rosinedpeg.web.drawer;

import static rosinedpeg.web.platform.Entry.orEmpty;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.kinds.KindWords;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** New strings that somebody bought, laid into the drawer. */
@Controller
class LayController {

    /** More are not laid in at a time by hand. */
    private static final int MOST = 200;
    /** Strings that were bought so long ago are not kept. */
    private static final int YEARS = 30;

    private final Drawer drawer;
    private final StringKinds kinds;
    private final KindWords kindWords;
    private final InstrumentNames instrumentNames;
    private final Clock clock;

    LayController(Drawer drawer, StringKinds kinds, KindWords kindWords, InstrumentNames instrumentNames, Clock clock) {
        this.drawer = drawer;
        this.kinds = kinds;
        this.kindWords = kindWords;
        this.instrumentNames = instrumentNames;
        this.clock = clock;
    }

    /** Asks what was bought. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/drawer/new")
    String blank(@RequestParam(required = false) @Nullable UUID kind, Model model) {
        model.addAttribute(
                "form",
                new LayForm(
                        kind,
                        "1",
                        "",
                        "",
                        today().toString(),
                        price(kind).map(one -> one.amount().toPlainString()).orElse(""),
                        price(kind).map(Price::currency).orElse(""),
                        UUID.randomUUID().toString()));
        return show(model);
    }

    private Optional<Price> price(@Nullable UUID kind) {
        return kinds.entered().stream()
                .filter(one -> one.id().equals(kind))
                .findFirst()
                .flatMap(StringKind::price);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/drawer/new")
    String lay(@ModelAttribute("form") LayForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        Optional<StringKind> kind = kinds.entered().stream()
                .filter(one -> one.id().equals(form.kind()))
                .findFirst();
        if (kind.isEmpty()) {
            result.rejectValue("kind", "plan.kind.missing");
        }
        OptionalInt many = Entry.count(result, "many", form.many(), 1, MOST);
        Laid.readPlace(result, form.place());
        Optional<UUID> caseOf = CaseOf.read(result, form.caseOf(), instrumentNames);
        Optional<LocalDate> bought = form.boughtOn().isBlank()
                ? Optional.empty()
                : Entry.date(result, "boughtOn", form.boughtOn(), today().minusYears(YEARS), today());
        Optional<Price> price = Price.read(result, form.price(), form.currency());
        if (result.hasErrors() || kind.isEmpty() || many.isEmpty()) {
            return show(model);
        }
        Laid laid = new Laid(
                kind.get().id(), form.place().strip(), caseOf.orElse(null), bought.orElse(null), price.orElse(null));
        Constraint.DRAWER_STRING_ONCE.once(() -> drawer.lay(laid, many.getAsInt(), Entry.press(form.press())));
        redirect.addFlashAttribute("notice", "drawer.laid");
        redirect.addFlashAttribute(
                "noticeOf",
                many.getAsInt() + " " + kindWords.label(kind.get()) + " "
                        + kind.get().spec().position());
        return "redirect:/drawer/kinds/" + kind.get().id();
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    private String show(Model model) {
        Page.lay(new LayPage(kinds.entered(), MOST), model);
        return "drawer/new";
    }

    /**
     * What was bought, as typed.
     *
     * @param kind what it is
     * @param many how many
     * @param place where they lie
     * @param caseOf the name of the instrument in whose case they lie; empty for the drawer
     * @param boughtOn when; empty when nobody knows
     * @param price what one cost; empty when nobody knows
     * @param currency in what
     * @param press the press of the button
     */
    record LayForm(
            @Nullable UUID kind,
            String many,
            String place,
            String caseOf,
            String boughtOn,
            String price,
            String currency,
            String press) {

        /** What is not sent is as on an empty form. */
        LayForm {
            many = orEmpty(many);
            place = orEmpty(place);
            caseOf = orEmpty(caseOf);
            boughtOn = orEmpty(boughtOn);
            price = orEmpty(price);
            currency = orEmpty(currency);
            press = orEmpty(press);
        }
    }

    /**
     * The page that asks for it.
     *
     * @param kinds what it can be
     * @param most how many can be laid in at a time
     */
    record LayPage(List<StringKind> kinds, int most) {}
}
