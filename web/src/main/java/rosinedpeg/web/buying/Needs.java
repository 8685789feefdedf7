package rosinedpeg.web.buying;

import static java.util.Objects.requireNonNull;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import rosinedpeg.core.buying.Coming;
import rosinedpeg.core.buying.Shortfall;
import rosinedpeg.core.stock.Level;
import rosinedpeg.web.drawer.CaseKits;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.WantedInCase;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.rack.DueString;
import rosinedpeg.web.rack.DueStrings;
import rosinedpeg.web.rack.Rack;

/** What the coming weeks need, against what lies in the drawer and what is on order. */
@Service
class Needs {

    /** How many weeks can be looked ahead. */
    static final List<Integer> WEEKS = List.of(2, 4, 8, 12, 26);

    /** So many of the strings that a kind is needed for stand beside it. */
    private static final int MOST_BESIDE = 5;

    /** A sum is not shared out among more instruments: the first due first. */
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
        // What is counted and what is listed are of one moment.
        reading.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    }

    /**
     * A string that is due, and how it is met.
     *
     * @param due the string
     * @param how how; empty where nobody knows what to buy for it
     */
    record Met(DueString due, Optional<Shortfall.How> how) {}

    /**
     * What is needed of one kind.
     *
     * @param kind the kind
     * @param supplier who sells it, if that was said
     * @param beside the first strings that are due, as many as stand beside the kind
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
            ListPage<Met> beside,
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
    }

    /**
     * What is needed.
     *
     * @param of what is needed of each kind that somebody entered, of which a string is due or too few lie ready
     * @param usual strings that are due and of a usual kind: nobody knows what to buy for them
     * @param open the orders of which something is still to come
     * @param written how many orders there were when it was looked up
     */
    record Needed(List<Need> of, ListPage<Met> usual, List<Purchase> open, long written) {

        /** {@return whether any string is due of a kind that somebody entered} */
        boolean dueAtAll() {
            return of.stream().anyMatch(need -> need.beside().total() > 0);
        }
    }

    /**
     * The strings that are due, of one kind or of all usual ones.
     *
     * @param kind the kind; empty for the usual ones
     * @param part as many of them as are listed at a time
     */
    record Listed(Optional<StringKind> kind, ListPage<Met> part) {}

    /**
     * A string that is due, and whether it has to be bought.
     *
     * @param due the string
     * @param price what one of its kind costs; empty where nobody knows
     * @param missing whether it has to be bought
     */
    record Wanted(DueString due, Optional<Price> price, boolean missing) {}

    /** {@return how many weeks somebody chose; as many as is usual where nobody chose} */
    static int weeks(String chosen, int usual) {
        return WEEKS.stream()
                .filter(one -> one.toString().equals(chosen.strip()))
                .findFirst()
                .orElse(usual);
    }

    /** {@return what is needed within so many weeks} */
    Needed within(int weeks) {
        return look(weeks, look -> {
            Map<UUID, List<DueStrings.InTurn>> first = look.due.firstOfEach(MOST_BESIDE);
            Function<StringKind, Optional<Price>> prices = drawer.prices();
            List<Need> needs = new ArrayList<>();
            look.entered.forEach(kind -> {
                Shortfall shortfall = look.shortfall(kind);
                if (shortfall.toBuy() > 0 || !shortfall.wants().isEmpty()) {
                    List<Met> beside = first.getOrDefault(kind.id(), List.of()).stream()
                            .map(one -> met(one, shortfall))
                            .toList();
                    needs.add(new Need(
                            kind,
                            look.supplier(kind),
                            new ListPage<>(beside, 0, shortfall.wants().size()),
                            shortfall,
                            look.there(kind),
                            look.coming(kind).stream().mapToInt(Coming::strings).sum(),
                            look.ready(kind),
                            look.cases(kind),
                            prices.apply(kind)));
                }
            });
            return new Needed(needs, look.usual(0), look.open, look.written);
        });
    }

    /**
     * Lists strings that are due within so many weeks.
     *
     * @param weeks within how many
     * @param kindId of which kind; null for those of usual kinds
     * @param from how many come before those that are listed
     * @return as many as a page shows
     */
    Listed listed(int weeks, @Nullable UUID kindId, int from) {
        return look(weeks, look -> {
            Optional<StringKind> kind =
                    look.entered.stream().filter(one -> one.id().equals(kindId)).findFirst();
            return new Listed(kind, kind.map(one -> look.of(one, from)).orElseGet(() -> look.usual(from)));
        });
    }

    /** {@return every string of a kind that somebody entered that is due within so many weeks, on so many instruments at most} */
    List<Wanted> wanted(int weeks) {
        return look(weeks, look -> {
            Function<StringKind, Optional<Price>> prices = drawer.prices();
            Map<UUID, StringKind> kinds =
                    look.entered.stream().collect(Collectors.toMap(StringKind::id, Function.identity()));
            Map<UUID, Optional<Price>> price = new HashMap<>();
            Map<UUID, Shortfall> shortfalls = new HashMap<>();
            List<Wanted> wanted = new ArrayList<>();
            for (DueStrings.InTurn one : look.due.ofFirstInstruments(MOST)) {
                StringKind kind = kinds.get(one.string().kindId());
                if (kind != null) {
                    Shortfall shortfall = shortfalls.computeIfAbsent(kind.id(), first -> look.shortfall(kind));
                    wanted.add(new Wanted(
                            one.string(),
                            requireNonNull(price.computeIfAbsent(kind.id(), first -> prices.apply(kind))),
                            met(one, shortfall)
                                    .how()
                                    .filter(Shortfall.How.MISSING::equals)
                                    .isPresent()));
                }
            }
            return wanted;
        });
    }

    private static Met met(DueStrings.InTurn one, Shortfall shortfall) {
        return new Met(
                one.string(), Optional.of(shortfall.wants().get(one.before()).how()));
    }

    private <T> T look(int weeks, Function<Look, T> at) {
        LocalDate today = CurrentWorkshop.today(clock);
        // What is due may have to be worked out anew, which is more than reading.
        DueStrings due = rack.due(today.plusWeeks(weeks));
        return requireNonNull(reading.execute(read -> at.apply(new Look(due, today))));
    }

    /** What is looked at once for all kinds. */
    private final class Look {

        private final long written = purchases.written();
        private final List<Purchase> open = purchases.open();
        private final DueStrings due;
        private final Map<UUID, List<LocalDate>> days;
        private final List<StringKind> entered = kinds.entered();
        private final Map<UUID, Integer> there = drawer.fresh();
        private final Map<UUID, List<Coming>> coming;
        private final Map<UUID, List<WantedInCase>> cases =
                kits.wanted().stream().collect(Collectors.groupingBy(WantedInCase::kindId));
        private final Set<UUID> inUse = instruments.kindsOn();
        private final Map<String, Supplier> byMaker = suppliers.byMaker();

        Look(DueStrings due, LocalDate today) {
            this.due = due;
            this.days = due.days();
            this.coming = Purchases.coming(open, today);
        }

        private Optional<Supplier> supplier(StringKind kind) {
            return Suppliers.of(kind, byMaker);
        }

        private int there(StringKind kind) {
            return requireNonNull(there.getOrDefault(kind.id(), 0));
        }

        private List<Coming> coming(StringKind kind) {
            return coming.getOrDefault(kind.id(), List.of());
        }

        private List<WantedInCase> cases(StringKind kind) {
            return cases.getOrDefault(kind.id(), List.of());
        }

        private int ready(StringKind kind) {
            return Level.ready(kind.ready(), inUse.contains(kind.id()))
                    + cases(kind).stream().mapToInt(WantedInCase::strings).sum();
        }

        private Shortfall shortfall(StringKind kind) {
            return Shortfall.of(
                    days.getOrDefault(kind.id(), List.of()),
                    there(kind),
                    coming(kind),
                    ready(kind),
                    supplier(kind).map(Supplier::leadDays).orElse(Supplier.USUAL_LEAD_DAYS));
        }

        /** {@return those of a kind that somebody entered, after so many} */
        private ListPage<Met> of(StringKind kind, int from) {
            Shortfall shortfall = shortfall(kind);
            return part(
                    Set.of(kind.id()),
                    shortfall.wants().size(),
                    from,
                    place -> Optional.of(shortfall.wants().get(place).how()));
        }

        /** {@return those of usual kinds, after so many} */
        private ListPage<Met> usual(int from) {
            Map<UUID, List<LocalDate>> usual = new HashMap<>(days);
            entered.forEach(kind -> usual.remove(kind.id()));
            int total = usual.values().stream().mapToInt(List::size).sum();
            return part(usual.keySet(), total, from, place -> Optional.empty());
        }

        private ListPage<Met> part(Set<UUID> kindIds, int total, int from, IntFunction<Optional<Shortfall.How>> how) {
            Pageable window = ListPage.after(Math.min(from, total));
            List<Met> shown = new ArrayList<>();
            for (DueString string : due.of(kindIds, window)) {
                int place = (int) window.getOffset() + shown.size();
                shown.add(new Met(string, how.apply(place)));
            }
            return new ListPage<>(shown, (int) window.getOffset(), total);
        }
    }
}
