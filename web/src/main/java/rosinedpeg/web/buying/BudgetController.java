package rosinedpeg.web.buying;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import rosinedpeg.core.buying.Budget;
import rosinedpeg.core.buying.Shortfall;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** Which changes a sum of money allows, and what stays undone. */
@Controller
class BudgetController {

    private static final List<Integer> WEEKS = List.of(4, 8, 12, 16, 26);
    private static final int USUAL_WEEKS = 12;
    private static final int LONGEST_NAME = 80;

    private final Needs needs;

    BudgetController(Needs needs) {
        this.needs = needs;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/budget")
    String show(@ModelAttribute("form") BudgetForm form, BindingResult result, Model model) {
        Optional<Price> sum = form.price().isBlank() && form.currency().isBlank()
                ? Optional.empty()
                : Price.read(result, form.price(), form.currency());
        if (form.called().strip().length() > LONGEST_NAME) {
            result.rejectValue("called", "entry.text.most", new Object[] {LONGEST_NAME}, null);
        }
        Optional<Allowed> allowed = result.hasErrors() ? Optional.empty() : sum.map(money -> allowed(money, form));
        Page.lay(new BudgetPage(allowed, WEEKS, form.weeksAhead()), model);
        return "buying/budget";
    }

    private Allowed allowed(Price sum, BudgetForm form) {
        String beginning = form.called().strip().toLowerCase(Locale.ROOT);
        Map<UUID, List<Wanted>> byInstrument = new LinkedHashMap<>();
        needs.within(form.weeksAhead()).of().stream()
                .flatMap(need -> need.met().stream()
                        .map(met -> new Wanted(met.due(), need.price(), met.how() == Shortfall.How.MISSING)))
                .filter(wanted ->
                        wanted.due().instrument().toLowerCase(Locale.ROOT).startsWith(beginning))
                .forEach(wanted -> byInstrument
                        .computeIfAbsent(wanted.due().instrumentId(), none -> new ArrayList<>())
                        .add(wanted));
        List<Job> priced = new ArrayList<>();
        List<Job> unpriced = new ArrayList<>();
        byInstrument.values().forEach(strings -> {
            Job job = new Job(strings);
            (job.costMinor(sum.currency()).isPresent() ? priced : unpriced).add(job);
        });
        Comparator<Job> mostFirst = Comparator.comparingDouble(job -> -job.worn() * job.hoursPerWeek());
        priced.sort(mostFirst);
        unpriced.sort(mostFirst);
        Budget budget = Budget.of(
                priced.stream()
                        .map(job -> Budget.Change.of(
                                job.costMinor(sum.currency()).orElseThrow(), job.worn(), job.hoursPerWeek()))
                        .toList(),
                minor(sum.amount()));
        List<Job> done = budget.chosen().stream().map(priced::get).toList();
        List<Job> undone = priced.stream().filter(job -> !done.contains(job)).toList();
        return new Allowed(
                sum,
                price(budget.costMinor(), sum.currency()),
                lines(done, sum.currency()),
                lines(undone, sum.currency()),
                lines(unpriced, sum.currency()),
                budget);
    }

    private static long minor(BigDecimal amount) {
        return amount.movePointRight(2).setScale(0, RoundingMode.DOWN).longValueExact();
    }

    private static Price price(long minor, String currency) {
        return new Price(BigDecimal.valueOf(minor, 2), currency);
    }

    private static List<Line> lines(List<Job> jobs, String currency) {
        return jobs.stream()
                .map(job -> new Line(job.strings(), job.costMinor(currency).map(minor -> price(minor, currency))))
                .toList();
    }

    /** A string that is due, and whether it has to be bought. */
    record Wanted(Needs.Due due, Optional<Price> price, boolean missing) {}

    /** All that is due on one instrument. */
    private record Job(List<Wanted> strings) {

        /** {@return what has to be bought for it costs; empty when a price is not known, or in another currency} */
        Optional<Long> costMinor(String currency) {
            long sum = 0;
            for (Wanted wanted : strings) {
                Optional<Price> price =
                        wanted.price().filter(one -> one.currency().equals(currency));
                if (wanted.missing() && price.isEmpty()) {
                    return Optional.empty();
                }
                sum += wanted.missing() ? minor(price.orElseThrow().amount()) : 0;
            }
            return Optional.of(sum);
        }

        double worn() {
            return strings.stream().mapToDouble(wanted -> wanted.due().worn()).sum();
        }

        double hoursPerWeek() {
            return strings.get(0).due().hoursPerWeek();
        }
    }

    /**
     * A change as it is listed.
     *
     * @param strings what is due on the instrument
     * @param cost what has to be bought for it costs, if that is known
     */
    record Line(List<Wanted> strings, Optional<Price> cost) {

        /** {@return what is told of the instrument itself} */
        public Needs.Due first() {
            return strings.get(0).due();
        }
    }

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
     */
    record BudgetForm(String price, String currency, String called, String weeks) {
        /** What is not sent is as on an empty form. */
        BudgetForm {
            price = Entry.orEmpty(price);
            currency = Entry.orEmpty(currency);
            called = Entry.orEmpty(called);
            weeks = Entry.orEmpty(weeks);
        }

        private int weeksAhead() {
            return Stream.ofNullable(weeks)
                    .flatMap(
                            typed -> WEEKS.stream().filter(one -> one.toString().equals(typed.strip())))
                    .findFirst()
                    .orElse(USUAL_WEEKS);
        }
    }

    /** What a sum allows, once one was typed. */
    private record BudgetPage(Optional<Allowed> allowed, List<Integer> choices, int weeks) {}
}
