package rosinedpeg.web.buying;

import static java.util.Objects.requireNonNull;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import rosinedpeg.core.buying.Coming;
import rosinedpeg.core.buying.Shortfall;
import rosinedpeg.core.stock.Level;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawer.CaseKits;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.WantedInCase;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.rack.Rack;

/** What the coming weeks need, against what lies in the drawer and what is on order. */
@Service
class Needs {

    /** How many weeks can be looked ahead. */
    static final List<Integer> WEEKS = List.of(2, 4, 8, 12, 26);

    /** So many of the strings that a kind is needed for stand beside it. */
    private static final int MOST_BESIDE = 5;

    /** More instruments are not looked at: the first due first. */
    private static final int MOST = 2000;

    private final Rack rack;
    private final Instruments instruments;
    private final StringKinds kinds;
    private final Drawer drawer;
    private final CaseKits kits;
    private final Purchases purchases;
    private final Suppliers suppliers;
    private final Clock clock;
    private final TransactionTemplate reading;

    Needs(
            Rack rack,
            Instruments instruments,
            StringKinds kinds,
            Drawer drawer,
            CaseKits kits,
            Purchases purchases,
            Suppliers suppliers,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.rack = rack;
        this.instruments = instruments;
        this.kinds = kinds;
        this.drawer = drawer;
        this.kits = kits;
        this.purchases = purchases;
        this.suppliers = suppliers;
        this.clock = clock;
        this.reading = new TransactionTemplate(transactions);
        reading.setReadOnly(true);
    }

    /**
     * A string that is due.
     *
     * @param instrumentId on which instrument
     * @param instrument what that is called
     * @param position which string
     * @param on the day it is due; today when it is due already
     * @param overdue whether it is
     * @param worn how far the string is used up
     * @param hoursPerWeek how much the instrument is played
     */
    record Due(
            UUID instrumentId,
            String instrument,
            Position position,
            LocalDate on,
            boolean overdue,
            double worn,
            double hoursPerWeek) {}

    /**
     * A string that is due, and how it is met.
     *
     * @param due the string
     * @param how how; empty where nobody knows what to buy for it
     */
    record Met(Due due, Optional<Shortfall.How> how) {}

    /**
     * What is needed of one kind.
     *
     * @param kind the kind
     * @param supplier who sells it, if that was said
     * @param due the strings that are due, the first first
     * @param shortfall how each of them is met, and what is missing
     * @param there how many lie in the drawer
     * @param coming how many are on order
     * @param ready how many are to lie ready, those in cases among them
     * @param cases the cases it is to lie in
     * @param price what one costs: what its packet says, or what was paid last; empty where nobody knows
     */
    record Need(
            StringKind kind,
            Optional<Supplier> supplier,
            List<Due> due,
            Shortfall shortfall,
            int there,
            int coming,
            int ready,
            List<WantedInCase> cases,
            Optional<Price> price) {

        /** {@return whether any of it is to be bought, or comes too late} */
        boolean wanting() {
            return shortfall.toBuy() > 0
                    || shortfall.wants().stream().anyMatch(want -> want.how() == Shortfall.How.COMING_LATE);
        }

        /** {@return each string that is due, with how it is met} */
        public List<Met> met() {
            List<Met> met = new ArrayList<>();
            for (int i = 0; i < due.size(); i++) {
                met.add(new Met(due.get(i), Optional.of(shortfall.wants().get(i).how())));
            }
            return met;
        }

        /** {@return those of them that stand beside the kind; the others open} */
        public ListPage<Met> beside() {
            return ListPage.of(met(), 0, MOST_BESIDE);
        }
    }

    /**
     * What is needed.
     *
     * @param of what is needed of each kind that somebody entered, of which a string is due or too few lie ready
     * @param usual strings that are due and of a usual kind: nobody knows what to buy for them
     */
    record Needed(List<Need> of, List<Met> usual) {}

    /** {@return how many weeks somebody chose; as many as is usual where nobody chose} */
    static int weeks(String chosen, int usual) {
        return WEEKS.stream()
                .filter(one -> one.toString().equals(chosen.strip()))
                .findFirst()
                .orElse(usual);
    }

    /** {@return what is needed within so many weeks} */
    Needed within(int weeks) {
        Instant now = clock.instant();
        Instant until = now.plus(7L * weeks, ChronoUnit.DAYS);
        // What is due may have to be worked out anew, which is more than reading.
        List<UUID> ids = rack.dueBy(until, MOST);
        return requireNonNull(reading.execute(read -> of(ids, now, until)));
    }

    private Needed of(List<UUID> ids, Instant now, Instant until) {
        LocalDate today = now.atZone(CurrentWorkshop.zone()).toLocalDate();
        Map<UUID, List<Due>> dueByKind = new HashMap<>();
        List<Due> usual = new ArrayList<>();
        for (Standing standing : instruments.standings(ids).values()) {
            for (StringOn string : standing.strings()) {
                Instant dueAt = string.dueAt(now);
                if (!dueAt.isAfter(until)) {
                    LocalDate day = dueAt.atZone(CurrentWorkshop.zone()).toLocalDate();
                    Due due = new Due(
                            standing.id(),
                            standing.name(),
                            string.position(),
                            day,
                            string.state().isDue(),
                            string.wear().worn(),
                            string.wornBy().hoursPerWeek());
                    if (string.kind().isUsual()) {
                        usual.add(due);
                    } else {
                        dueByKind
                                .computeIfAbsent(string.kind().id(), none -> new ArrayList<>())
                                .add(due);
                    }
                }
            }
        }
        Comparator<Due> asTheyComeDue =
                Comparator.comparing(Due::on).thenComparing(Due::instrument).thenComparing(Due::position);
        dueByKind.values().forEach(due -> due.sort(asTheyComeDue));
        usual.sort(asTheyComeDue);
        Map<UUID, Integer> there = drawer.fresh();
        Function<StringKind, Optional<Price>> prices = drawer.prices();
        Map<UUID, List<Coming>> coming = purchases.coming(today);
        Map<UUID, List<WantedInCase>> cases =
                kits.wanted().stream().collect(Collectors.groupingBy(WantedInCase::kindId));
        Set<UUID> inUse = instruments.kindsOn();
        Map<String, Supplier> byMaker = suppliers.byMaker();
        List<Need> needs = new ArrayList<>();
        for (StringKind kind : kinds.entered()) {
            Optional<Supplier> supplier = Suppliers.of(kind, byMaker);
            List<Due> due = dueByKind.getOrDefault(kind.id(), List.of());
            List<Coming> onOrder = coming.getOrDefault(kind.id(), List.of());
            List<WantedInCase> inCases = cases.getOrDefault(kind.id(), List.of());
            int ready = Level.ready(kind.ready(), inUse.contains(kind.id()))
                    + inCases.stream().mapToInt(WantedInCase::strings).sum();
            Shortfall shortfall = Shortfall.of(
                    due.stream().map(Due::on).toList(),
                    there.getOrDefault(kind.id(), 0),
                    onOrder,
                    ready,
                    supplier.map(Supplier::leadDays).orElse(Supplier.USUAL_LEAD_DAYS));
            if (shortfall.toBuy() > 0 || !due.isEmpty()) {
                needs.add(new Need(
                        kind,
                        supplier,
                        due,
                        shortfall,
                        requireNonNull(there.getOrDefault(kind.id(), 0)),
                        onOrder.stream().mapToInt(Coming::strings).sum(),
                        ready,
                        inCases,
                        prices.apply(kind)));
            }
        }
        return new Needed(
                needs, usual.stream().map(due -> new Met(due, Optional.empty())).toList());
    }
}
