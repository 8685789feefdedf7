package rosinedpeg.web.lend;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Component;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.lending.ShelfWear;
import rosinedpeg.core.lending.Turn;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.wear.WearState;
import rosinedpeg.web.drawing.ShelfDrawing;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.Say;

/** Puts together what the pages of the shelf show. */
@Component
class LendPages {

    /** So many late ones are told at once. */
    private static final int MOST_LATE = 30;
    /** What wears is told by so many of the loans that came back last. */
    private static final int MOST_RETURNED = 300;

    /** So many characters find room under a peg of the drawing. */
    private static final int LONGEST_LABEL = 13;

    private final Lending lending;
    private final Instruments instruments;
    private final Say say;
    private final Clock clock;

    LendPages(Lending lending, Instruments instruments, Say say, Clock clock) {
        this.lending = lending;
        this.instruments = instruments;
        this.say = say;
        this.clock = clock;
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    /**
     * One instrument of the shelf.
     *
     * @param id its id
     * @param name what it is called
     * @param size its size, as makers write it
     * @param out who has it; empty while it is at home
     * @param next who is promised it next
     * @param want how many of its strings are due, of unknown age or gone
     * @param before who had it last, where it is at home
     */
    record Line(
            UUID id,
            String name,
            String size,
            Optional<Lent> out,
            Optional<Lent> next,
            int want,
            Optional<Lent> before) {

        /** {@return what it came back with that asks for something before it goes out again} */
        public List<Finding> came() {
            return before.flatMap(Lent::backLook)
                    .map(look -> look.findings().stream()
                            .filter(finding ->
                                    finding.refer() || finding.severity().compareTo(Severity.TODAY) >= 0)
                            .toList())
                    .orElse(List.of());
        }
    }

    /**
     * The shelf.
     *
     * @param part the part of it that is shown
     * @param lines what stands in that part
     * @param drawing of it; empty when nothing is on the shelf
     * @param count how many are out and late
     * @param late the late ones
     * @param today the day
     */
    record ShelfPage(
            ListPage<UUID> part,
            List<Line> lines,
            Optional<View> drawing,
            LoanRepository.Count count,
            List<Lent> late,
            LocalDate today) {}

    ShelfPage shelf(int from) {
        ListPage<UUID> part = lending.onShelf(from);
        Map<UUID, Instrument> shown = instruments.of(part.shown());
        Map<UUID, Optional<Lent>> out = new HashMap<>();
        Map<UUID, Optional<Lent>> next = new HashMap<>();
        for (Lent lent : lending.open(part.shown())) {
            (lent.isOut() ? out : next).putIfAbsent(lent.instrumentId(), Optional.of(lent));
        }
        Map<UUID, Lent> before = lending.lastReturned(
                part.shown().stream().filter(id -> !out.containsKey(id)).toList());
        List<Line> lines = shown.values().stream()
                .sorted(Comparator.comparing((Instrument one) -> one.setUp().family())
                        .thenComparing(one -> -one.setUp().value(Quantity.VIBRATING_LENGTH))
                        .thenComparing(Instrument::name))
                .map(one -> new Line(
                        one.id(),
                        one.name(),
                        one.setUp().size().code(),
                        out.getOrDefault(one.id(), Optional.empty()),
                        next.getOrDefault(one.id(), Optional.empty()),
                        want(one),
                        Optional.ofNullable(before.get(one.id()))))
                .toList();
        return new ShelfPage(
                part,
                lines,
                lines.isEmpty() ? Optional.empty() : Optional.of(drawn(lines, shown)),
                lending.count(),
                lending.late(MOST_LATE),
                today());
    }

    private static int want(Instrument one) {
        long due = one.strings().stream()
                .filter(string -> string.state() == WearState.DUE
                        || string.state() == WearState.CHANGE_NOW
                        || string.state() == WearState.AGE_UNKNOWN)
                .count();
        return (int) due + one.setUp().positions().size() - one.strings().size();
    }

    private View drawn(List<Line> lines, Map<UUID, Instrument> shown) {
        List<ShelfDrawing.Hung> hung = new ArrayList<>();
        int shared = sharedStart(lines);
        for (Line line : lines) {
            Instrument instrument = shown.get(line.id());
            if (instrument != null) {
                Map<Position, Strands.Strand> strands = new EnumMap<>(Position.class);
                instrument.strings().forEach(string -> strands.put(string.position(), string.strand("on")));
                hung.add(new ShelfDrawing.Hung(
                        instrument.setUp(),
                        shortened(line.name().substring(shared)),
                        line.out().map(lent -> say.shortDay(lent.days().until())),
                        line.out()
                                .filter(lent -> lent.days().lateDays(today()) > 0)
                                .isPresent(),
                        strands));
            }
        }
        return ShelfDrawing.of(hung);
    }

    /** Whole words that all names begin with say nothing of any of them. */
    private static int sharedStart(List<Line> lines) {
        String first = lines.get(0).name();
        int shared = 0;
        for (int end = first.indexOf(' ') + 1; end > 0; end = first.indexOf(' ', end) + 1) {
            String start = first.substring(0, end);
            if (lines.size() == 1
                    || !lines.stream().allMatch(line -> line.name().startsWith(start))) {
                break;
            }
            shared = end;
        }
        return shared;
    }

    private static String shortened(String name) {
        return name.length() <= LONGEST_LABEL ? name : name.substring(0, LONGEST_LABEL - 1) + "…";
    }

    /** {@return the strings on an instrument that fall due while it is out, with the day of each} */
    Map<Position, LocalDate> dueOutThere(Lent lent) {
        Instant now = clock.instant();
        ZoneId zone = CurrentWorkshop.zone();
        Map<Position, LocalDate> due = new EnumMap<>(Position.class);
        Standing standing = instruments.standings(List.of(lent.instrumentId())).get(lent.instrumentId());
        if (standing != null && lent.backAt().isEmpty()) {
            for (StringOn string : standing.strings()) {
                LocalDate on = string.dueAt(now).atZone(zone).toLocalDate();
                if (string.fittedAt().isPresent() && lent.days().fallsDueOutThere(on)) {
                    due.put(string.position(), on);
                }
            }
        }
        return due;
    }

    /**
     * One loan at the turn of a term.
     *
     * @param lent the loan
     * @param next who has the instrument after that
     * @param home how long it is at home between the two; empty when nobody has it next
     * @param due the strings that are due before it goes out again
     */
    record AtTurn(Lent lent, Optional<Lent> next, Optional<Turn.Home> home, List<Position> due) {}

    /**
     * The loans of which the same becomes at a turn.
     *
     * @param does what
     * @param part as many of them as are shown, in the order of their days
     */
    record TurnGroup(Turn.Does does, ListPage<AtTurn> part) {}

    /**
     * The turn of a term.
     *
     * @param turn the day
     * @param groups what becomes of the loans, by sorts; no sort of which there is none
     * @param home what stands on the shelf and is promised to nobody in the days of the turn
     * @param around how many days before and after belong to it
     * @param today the day
     * @param all how many loans and names there are altogether
     * @param asked what of it was asked for
     */
    record TurnPage(
            LocalDate turn,
            List<TurnGroup> groups,
            ListPage<String> home,
            int around,
            LocalDate today,
            int all,
            TurnAsked asked) {

        /** {@return whether some of what was asked for is not shown yet} */
        public boolean more() {
            return home.left() > 0
                    || groups.stream().anyMatch(group -> group.part().left() > 0);
        }

        /** {@return whether some that can stay out longer are shown} */
        public boolean mayStay() {
            return groups.stream()
                    .anyMatch(group -> group.does() == Turn.Does.LATE || group.does() == Turn.Does.COMES_BACK);
        }
    }

    /**
     * What of a turn is asked for: the beginning of everything, more of one sort, or the whole.
     *
     * @param part of which sort, by its name; {@value #HOME} of what is at home; empty for all
     * @param from how many of that sort come before
     * @param whole whether all of it is asked for, as for paper
     */
    record TurnAsked(String part, int from, boolean whole) {

        static final String HOME = "HOME";

        /** More than any shelf has. */
        private static final int WHOLE = 100_000;

        private boolean isFor(String sort) {
            return part.isEmpty() || part.equals(sort);
        }

        /** What of a sort is looked up: of another than is asked for, no more than whether there is any. */
        private Pageable window(String sort) {
            return whole
                    ? PageRequest.of(0, WHOLE)
                    : isFor(sort) ? ListPage.after(part.isEmpty() ? 0 : from) : PageRequest.of(0, 1);
        }
    }

    TurnPage turn(LocalDate turn, TurnAsked asked) {
        Map<Turn.Does, Pageable> windows = new EnumMap<>(Turn.Does.class);
        for (Turn.Does does : Turn.Does.values()) {
            windows.put(does, asked.window(does.name()));
        }
        Map<Turn.Does, ListPage<Lent>> at = lending.at(turn, windows);
        ListPage<String> home = lending.atHome(turn, asked.window(TurnAsked.HOME));
        int all = home.total() + at.values().stream().mapToInt(ListPage::total).sum();
        at.keySet().removeIf(does -> !asked.isFor(does.name()));
        List<UUID> ids = at.values().stream()
                .flatMap(part -> part.shown().stream().map(Lent::instrumentId))
                .distinct()
                .toList();
        Map<UUID, Standing> standings = instruments.standings(ids);
        Map<UUID, List<Lent>> promised =
                lending.open(ids).stream().filter(Lent::isPromised).collect(Collectors.groupingBy(Lent::instrumentId));
        List<TurnGroup> groups = at.entrySet().stream()
                .filter(one -> !one.getValue().shown().isEmpty())
                .map(one -> new TurnGroup(
                        one.getKey(),
                        one.getValue()
                                .flatMap(lent -> Optional.of(atTurn(
                                        lent, promised.getOrDefault(lent.instrumentId(), List.of()), standings)))))
                .toList();
        return new TurnPage(
                turn,
                groups,
                asked.isFor(TurnAsked.HOME) ? home : new ListPage<>(List.of(), 0, 0),
                Turn.AROUND_DAYS,
                today(),
                all,
                asked);
    }

    private AtTurn atTurn(Lent lent, List<Lent> promised, Map<UUID, Standing> standings) {
        Optional<Lent> next = !lent.isOut()
                ? Optional.empty()
                : promised.stream()
                        .min(Comparator.comparing(other -> other.days().from()));
        LocalDate again =
                next.map(other -> other.days().from()).orElse(lent.days().until());
        LocalDate before = lent.isOut() ? again : lent.days().from();
        Standing standing = standings.get(lent.instrumentId());
        List<StringOn> due = standing == null
                ? List.of()
                : standing.strings().stream().filter(dueBy(before)).toList();
        List<StringCore> cores =
                due.stream().map(string -> string.kind().spec().core()).toList();
        LocalDate back =
                lent.days().until().isBefore(today()) ? today() : lent.days().until();
        return new AtTurn(
                lent,
                next,
                next.map(other -> Turn.Home.between(back, back.isAfter(again) ? back : again, cores)),
                due.stream().map(StringOn::position).toList());
    }

    private Predicate<StringOn> dueBy(LocalDate day) {
        Instant now = clock.instant();
        ZoneId zone = CurrentWorkshop.zone();
        return string -> !string.dueAt(now).atZone(zone).toLocalDate().isAfter(day);
    }

    /**
     * What wears.
     *
     * @param childs on children's sizes
     * @param full on full sizes
     * @param most how many of the last loans it rests on at most
     */
    record WearPage(ShelfWear childs, ShelfWear full, int most) {}

    WearPage wear() {
        List<Lent> returned = lending.lookedAtTwice(MOST_RETURNED);
        Map<UUID, Instrument> of = instruments.of(
                returned.stream().map(Lent::instrumentId).distinct().toList());
        Predicate<Lent> childs = lent -> {
            Instrument instrument = of.get(lent.instrumentId());
            return instrument != null && instrument.setUp().size().forChildren();
        };
        return new WearPage(wear(returned, childs), wear(returned, childs.negate()), MOST_RETURNED);
    }

    private ShelfWear wear(List<Lent> returned, Predicate<Lent> which) {
        return ShelfWear.of(returned.stream()
                .filter(which)
                .map(lent -> new ShelfWear.Returned(
                        lent.days().daysOut(today()),
                        lent.outLook().orElseThrow().findings(),
                        lent.backLook().orElseThrow().findings()))
                .toList());
    }
}
