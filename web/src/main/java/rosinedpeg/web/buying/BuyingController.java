package rosinedpeg.web.buying;

import static java.util.Objects.requireNonNull;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** What to buy: what is missing, from whom, and by when an order has to be sent. */
@Controller
class BuyingController {

    private static final int USUAL_WEEKS = 4;
    /** No more of one kind are ordered at a time. */
    static final int MOST = 999;

    private final Needs needs;
    private final Purchases purchases;
    private final Clock clock;

    BuyingController(Needs needs, Purchases purchases, Clock clock) {
        this.needs = needs;
        this.purchases = purchases;
        this.clock = clock;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying")
    String show(@ModelAttribute("form") OrderForm form, BindingResult result, Model model) {
        return show(form, model);
    }

    private String show(OrderForm form, Model model) {
        int weeks = form.weeksAhead();
        LocalDate today = CurrentWorkshop.today(clock);
        Needs.Needed needed = needs.within(weeks);
        Map<Optional<Supplier>, List<Needs.Need>> bySupplier = needed.of().stream()
                .filter(Needs.Need::wanting)
                .collect(Collectors.groupingBy(Needs.Need::supplier, LinkedHashMap::new, Collectors.toList()));
        List<Group> groups = bySupplier.entrySet().stream()
                .map(each -> new Group(each.getKey(), each.getValue(), today, UUID.randomUUID()))
                .sorted(Comparator.comparing((Group group) -> group.sendBy().orElse(LocalDate.MAX))
                        .thenComparing(
                                group -> group.supplier().map(Supplier::name).orElse("")))
                .toList();
        Page.lay(
                new BuyingPage(
                        groups,
                        needed.dueAtAll(),
                        needed.usual(),
                        needed.open(),
                        purchases.closed(form.skipped()),
                        needed.written(),
                        weeks,
                        Needs.WEEKS,
                        MOST),
                model);
        return "buying/buying";
    }

    /** Lists every string that a kind is needed for, or every one that is due of a kind that nobody entered. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/due")
    String due(DueForm form, Model model, HttpServletRequest request) {
        Needs.Listed listed = needs.listed(form.weeksAhead(), form.kind(), ListPage.after(form.from()));
        if (form.kind() != null && (listed.kind().isEmpty() || listed.part().total() == 0)) {
            // Nothing is due of it any more.
            return "redirect:/buying?weeks=" + form.weeksAhead();
        }
        Page.lay(new DuePage(listed.kind(), listed.part(), form.weeksAhead()), model);
        return Htmx.asks(request) ? "buying/due :: more" : "buying/due";
    }

    /** Writes an order to one supplier. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying")
    String write(@ModelAttribute("form") OrderForm form, BindingResult result, Model model) {
        List<Ordered> wanted = new ArrayList<>();
        form.many().forEach((kind, typed) -> {
            OptionalInt many =
                    typed.isBlank() ? OptionalInt.of(0) : Entry.count(result, "many[" + kind + "]", typed, 0, MOST);
            many.ifPresent(strings -> {
                if (strings > 0) {
                    wanted.add(new Ordered(kind, strings, Optional.empty()));
                }
            });
        });
        if (wanted.isEmpty() && !result.hasErrors()) {
            result.reject("buying.none");
        }
        if (result.hasErrors()) {
            return show(form, model);
        }
        UUID press = Entry.press(form.press());
        try {
            purchases.write(press, Optional.ofNullable(form.supplier()), wanted, requireNonNull(form.seen()));
        } catch (OptimisticLockingFailureException meanwhile) {
            result.reject("buying.meanwhile");
            return show(form, model);
        }
        return "redirect:/buying/" + press;
    }

    /**
     * An order as it is being written.
     *
     * @param supplier who it goes to; null where that was not said
     * @param many how many of each kind, as typed
     * @param press the press of the button
     * @param seen how many orders there were when it was seen what is missing
     * @param weeks how far is looked ahead
     * @param from how many orders that are in come before those that are listed
     */
    record OrderForm(
            @Nullable UUID supplier,
            Map<UUID, String> many,
            String press,
            @Nullable Long seen,
            String weeks,
            String from) {

        /** What is not sent is as on an empty form. */
        OrderForm {
            many = many == null ? new HashMap<>() : many;
            press = Entry.orEmpty(press);
            seen = seen == null ? Long.valueOf(-1) : seen;
            weeks = Entry.orEmpty(weeks);
            from = Entry.orEmpty(from);
        }

        private int weeksAhead() {
            return Needs.weeks(weeks, USUAL_WEEKS);
        }

        private int skipped() {
            return ListPage.after(from);
        }
    }

    /**
     * What a list of strings that are due is asked for.
     *
     * @param kind of which kind; null for those of usual kinds
     * @param weeks how far is looked ahead
     * @param from how many come before those that are listed
     */
    record DueForm(@Nullable UUID kind, String weeks, String from) {

        /** What is not sent is as on an empty form. */
        DueForm {
            weeks = Entry.orEmpty(weeks);
            from = Entry.orEmpty(from);
        }

        private int weeksAhead() {
            return Needs.weeks(weeks, USUAL_WEEKS);
        }
    }

    /** Strings that are due. */
    private record DuePage(Optional<StringKind> kind, ListPage<Needs.Met> part, int weeks) {}

    /**
     * What is bought from one supplier.
     *
     * @param supplier who; empty where nobody said
     * @param needs what
     * @param today today
     * @param press the press of its button
     */
    record Group(Optional<Supplier> supplier, List<Needs.Need> needs, LocalDate today, UUID press) {

        /** {@return days from sending until it is there} */
        public int leadDays() {
            return supplier.map(Supplier::leadDays).orElse(Supplier.USUAL_LEAD_DAYS);
        }

        /** {@return the last day on which an order comes in time for everything; empty when nothing is due} */
        public Optional<LocalDate> sendBy() {
            return needs.stream()
                    .flatMap(need -> need.shortfall().sendBy().stream())
                    .min(Comparator.naturalOrder());
        }

        /** {@return whether it comes too late for something, even if it is sent today} */
        public boolean late() {
            return sendBy().filter(day -> day.isBefore(today)).isPresent();
        }

        /** {@return the day it is there if it is sent today} */
        public LocalDate comesOn() {
            return today.plusDays(leadDays());
        }

        /** {@return how many strings are to be bought} */
        public int strings() {
            return needs.stream().mapToInt(need -> need.shortfall().toBuy()).sum();
        }
    }

    /** What to buy. */
    private record BuyingPage(
            List<Group> groups,
            boolean dueAtAll,
            ListPage<Needs.Met> usual,
            List<Purchase> open,
            ListPage<Purchase> closed,
            long written,
            int weeks,
            List<Integer> choices,
            int most) {

        /** {@return how many strings are to be bought altogether} */
        public int strings() {
            return groups.stream().mapToInt(Group::strings).sum();
        }
    }
}
