package rosinedpeg.web.buying;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.core.buying.Budget;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.rack.DueString;

/** Which changes a sum of money allows, and what stays undone. */
@Controller
class BudgetController {

    private static final int USUAL_WEEKS = 12;
    /** So many changes are listed at a time of what is done, of what is not, and of what cannot be reckoned. */
    private static final int MOST_SHOWN = 40;
    /** The sum is not shared out among more. */
    private static final int MOST_MEANT = 2000;

    private final Needs needs;
    private final InstrumentNames instrumentNames;

    BudgetController(Needs needs, InstrumentNames instrumentNames) {
        this.needs = needs;
        this.instrumentNames = instrumentNames;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/budget")
    String show(@ModelAttribute("form") BudgetForm form, BindingResult result, Model model) {
        Optional<Price> sum = form.price().isBlank() && form.currency().isBlank()
                ? Optional.empty()
                : Price.read(result, form.price(), form.currency());
        Set<UUID> meant = instrumentNames.meant(form.called(), MOST_MEANT);
        if (!form.called().isBlank() && meant.isEmpty()) {
            result.rejectValue("called", "drawer.caseOf.unknown", new Object[] {form.called()}, null);
        }
        Optional<Allowed> allowed = result.hasErrors()
                ? Optional.empty()
                : sum.map(money -> allowed(
                        money,
                        needs.wanted(form.weeksAhead()),
                        id -> form.called().isBlank() || meant.contains(id)));
        Page.lay(
                new BudgetPage(
                        allowed,
                        allowed.map(form::parts).orElse(List.of()),
                        Needs.WEEKS,
                        form.weeksAhead(),
                        form.more()),
                model);
        return "buying/budget";
    }

    private static Allowed allowed(Price sum, List<Needs.Wanted> due, Predicate<UUID> meant) {
        Map<UUID, List<Needs.Wanted>> byInstrument = new LinkedHashMap<>();
        due.stream()
                .filter(wanted -> meant.test(wanted.due().instrumentId()))
                .forEach(wanted -> byInstrument
                        .computeIfAbsent(wanted.due().instrumentId(), none -> new ArrayList<>())
                        .add(wanted));
        List<Line> lines = byInstrument.values().stream()
                .map(strings -> Line.of(
                        strings.stream()
                                .sorted(Comparator.comparing(
                                        wanted -> wanted.due().position()))
                                .toList(),
                        sum.currency()))
                .sorted(Comparator.comparingDouble(
                                (Line line) -> -line.worn() * line.first().hoursPerWeek())
                        .thenComparing(line -> line.first().instrument()))
                .toList();
        List<Line> priced =
                lines.stream().filter(line -> line.cost().isPresent()).toList();
        Budget budget = Budget.of(
                priced.stream()
                        .map(line -> Budget.Change.of(
                                line.cost().orElseThrow().minor(),
                                line.worn(),
                                line.first().hoursPerWeek()))
                        .toList(),
                sum.minor());
        List<Line> done = new ArrayList<>();
        List<Line> undone = new ArrayList<>();
        for (int i = 0; i < priced.size(); i++) {
            (budget.chosen().contains(i) ? done : undone).add(priced.get(i));
        }
        return new Allowed(
                sum,
                Price.ofMinor(budget.costMinor(), sum.currency()),
                done,
                undone,
                lines.stream().filter(line -> line.cost().isEmpty()).toList(),
                budget);
    }

    /**
     * A change as it is listed.
     *
     * @param strings what is due on the instrument
     * @param worn how far they are used up, added up
     * @param cost what has to be bought for it costs, if that is known
     */
    record Line(List<Needs.Wanted> strings, double worn, Optional<Price> cost) {

        private static Line of(List<Needs.Wanted> strings, String currency) {
            double worn =
                    strings.stream().mapToDouble(wanted -> wanted.due().worn()).sum();
            long minor = 0;
            for (Needs.Wanted wanted : strings) {
                if (wanted.missing()) {
                    Optional<Price> price =
                            wanted.price().filter(one -> one.currency().equals(currency));
                    if (price.isEmpty()) {
                        return new Line(strings, worn, Optional.empty());
                    }
                    minor += price.get().minor();
                }
            }
            return new Line(strings, worn, Optional.of(Price.ofMinor(minor, currency)));
        }

        /** {@return what is told of the instrument itself} */
        public DueString first() {
            return strings.get(0).due();
        }
    }

    /** What becomes of a change. */
    enum Outcome {
        DONE,
        UNDONE,
        UNPRICED
    }

    /** As much as is shown of the changes of which the same becomes. */
    record Part(Outcome outcome, ListPage<Line> lines) {}

    /**
     * What a sum allows.
     *
     * @param sum the sum
     * @param cost what is done costs
     * @param done what is done
     * @param undone what is not
     * @param unpriced what cannot be reckoned, since a price is not known
     * @param budget how good the choice is
     */
    record Allowed(Price sum, Price cost, List<Line> done, List<Line> undone, List<Line> unpriced, Budget budget) {

        /** {@return the changes of which the same is true} */
        List<Line> of(Outcome outcome) {
            return switch (outcome) {
                case DONE -> done;
                case UNDONE -> undone;
                case UNPRICED -> unpriced;
            };
        }

        /** {@return how much of what could be done at best is done; the whole of it when no choice is worth more} */
        public double ofBound() {
            return budget.bound() == 0 ? 1 : budget.worth() / budget.bound();
        }
    }

    /**
     * A sum, as typed.
     *
     * @param price how much
     * @param currency in what
     * @param called how the names of the instruments begin that it is for; empty for all
     * @param weeks how far is looked ahead
     * @param part of which list more is asked for; empty when that is of none
     * @param from how many of that list come before
     */
    record BudgetForm(String price, String currency, String called, String weeks, String part, String from) {
        /** What is not sent is as on an empty form. */
        BudgetForm {
            price = Entry.orEmpty(price);
            currency = Entry.orEmpty(currency);
            called = Entry.orEmpty(called);
            weeks = Entry.orEmpty(weeks);
            part = Entry.orEmpty(part);
            from = Entry.orEmpty(from);
        }

        private Optional<Outcome> outcome() {
            return Arrays.stream(Outcome.values())
                    .filter(one -> one.name().equals(part))
                    .findFirst();
        }

        /** What is listed: of everything the first, or more of one. */
        private List<Part> parts(Allowed allowed) {
            return Arrays.stream(Outcome.values())
                    .filter(outcome -> outcome().isEmpty() || outcome().get() == outcome)
                    .map(outcome ->
                            new Part(outcome, ListPage.of(allowed.of(outcome), ListPage.after(from), MOST_SHOWN)))
                    .filter(one -> !one.lines().shown().isEmpty())
                    .toList();
        }

        /** Where more of a list is, but for which list and after how many. */
        private String more() {
            return UriComponentsBuilder.fromPath("/buying/budget")
                    .queryParam("price", "{price}")
                    .queryParam("currency", "{currency}")
                    .queryParam("called", "{called}")
                    .queryParam("weeks", weeksAhead())
                    .encode()
                    .buildAndExpand(price, currency, called)
                    .toUriString();
        }

        private int weeksAhead() {
            return Needs.weeks(weeks, USUAL_WEEKS);
        }
    }

    /** What a sum allows, once one was typed. */
    private record BudgetPage(
            Optional<Allowed> allowed, List<Part> parts, List<Integer> choices, int weeks, String more) {}
}
