package rosinedpeg.web.buying;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.drawer.Laid;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Cells;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Palette;
import rosinedpeg.web.platform.Paper;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;

/** One order: as it is sent, on its way, and in. */
@Controller
class PurchaseController {

    private final Purchases purchases;
    private final StringKinds kinds;
    private final PurchaseText text;
    private final Paper paper;
    private final Palette palette;
    private final Words words;
    private final Clock clock;

    PurchaseController(
            Purchases purchases,
            StringKinds kinds,
            PurchaseText text,
            Paper paper,
            Palette palette,
            Words words,
            Clock clock) {
        this.purchases = purchases;
        this.kinds = kinds;
        this.text = text;
        this.paper = paper;
        this.palette = palette;
        this.words = words;
        this.clock = clock;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/{id}")
    String one(@PathVariable UUID id, Model model) {
        Purchase purchase = purchases.get(id);
        Map<Integer, String> came = new HashMap<>();
        purchase.lines().forEach(line -> came.put(line.number(), String.valueOf(line.toCome())));
        model.addAttribute(
                "form",
                new CameForm(came, "", purchase.version(), UUID.randomUUID().toString()));
        return show(purchase, model);
    }

    private String show(Purchase purchase, Model model) {
        Map<UUID, StringKind> known = kinds.all();
        Page.lay(new PurchasePage(purchase, known, text.of(purchase, known), today()), model);
        return "buying/purchase";
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    /** The order as a table. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/{id}/order.csv")
    ResponseEntity<byte[]> table(@PathVariable UUID id) {
        return Cells.answer(words.say("buying.file"), PurchaseText.table(purchases.get(id), kinds.all()));
    }

    /** The order on paper. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/{id}/order.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable UUID id) {
        Purchase purchase = purchases.get(id);
        return Paper.answer(
                words.say("buying.file"),
                paper.sheets(
                        "buying/sheet",
                        new OrderSheet(
                                purchase,
                                text.lines(purchase, kinds.all()),
                                CurrentWorkshop.zone(),
                                palette.colours())));
    }

    /** Says that it was sent today, or that it was not. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying/{id}/sent")
    String send(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam(defaultValue = "true") boolean sent,
            RedirectAttributes redirect) {
        Change.make(
                () -> purchases.send(id, version, sent ? Optional.of(today()) : Optional.empty()),
                sent ? "buying.sent" : "buying.notSent",
                "",
                redirect);
        return "redirect:/buying/" + id;
    }

    /** Throws it away; only while it was not sent. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying/{id}/away")
    String throwAway(@PathVariable UUID id, @RequestParam int version, RedirectAttributes redirect) {
        Change.make(() -> purchases.throwAway(id, version), "buying.away", "", redirect);
        return "redirect:/buying";
    }

    /** What is still to come does not come any more. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying/{id}/given-up")
    String giveUp(@PathVariable UUID id, @RequestParam int version, RedirectAttributes redirect) {
        Change.make(() -> purchases.giveUp(id, version), "buying.givenUp", "", redirect);
        return "redirect:/buying/" + id;
    }

    /** Lays what has come into the drawer. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying/{id}/in")
    String arrive(
            @PathVariable UUID id,
            @ModelAttribute("form") CameForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Purchase purchase = purchases.get(id);
        UUID press = Entry.press(form.press());
        if (purchases.isIn(press)) {
            return "redirect:/buying/" + id;
        }
        Map<Integer, Integer> came = new LinkedHashMap<>();
        for (Purchase.Line line : purchase.lines()) {
            String typed = form.came().getOrDefault(line.number(), "");
            if (!typed.isBlank()) {
                // Of an order that was changed since it was seen nothing is laid in; that is told, and not a range.
                int most = form.version() == purchase.version() ? line.toCome() : line.strings();
                OptionalInt many = Entry.count(result, "came[" + line.number() + "]", typed, 0, most);
                many.ifPresent(strings -> came.put(line.number(), strings));
            }
        }
        Laid.readPlace(result, form.place());
        int strings = came.values().stream().mapToInt(Integer::intValue).sum();
        if (strings == 0 && !result.hasErrors()) {
            result.reject("buying.in.none");
        }
        if (result.hasErrors()) {
            return show(purchase, model);
        }
        Change.make(
                () -> Constraint.DRAWER_STRING_ONCE.once(() ->
                        purchases.arrive(id, form.version(), came, form.place().strip(), press)),
                "buying.in",
                "",
                redirect);
        redirect.addFlashAttribute("noticeOf", strings);
        return "redirect:/buying/" + id;
    }

    /**
     * What came, as typed.
     *
     * @param came how many of each line
     * @param place where they lie
     * @param version of the order that was seen
     * @param press the press of the button
     */
    record CameForm(Map<Integer, String> came, String place, int version, String press) {
        /** What is not sent is as on an empty form. */
        CameForm {
            came = came == null ? new HashMap<>() : came;
            place = Entry.orEmpty(place);
            press = Entry.orEmpty(press);
        }
    }

    /** One order. */
    private record PurchasePage(Purchase purchase, Map<UUID, StringKind> kinds, String text, LocalDate today) {

        /** {@return how far it has come} */
        public Purchase.State state() {
            return purchase.state();
        }
    }
}
