package rosinedpeg.web.demonstration;

import static rosinedpeg.core.setup.Measurable.of;
import static rosinedpeg.core.strings.Position.I;
import static rosinedpeg.core.strings.Position.II;
import static rosinedpeg.core.strings.Position.III;
import static rosinedpeg.core.strings.Position.IV;
import static rosinedpeg.core.strings.Position.V;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnBooleanProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.core.hearing.Octave;
import rosinedpeg.core.hearing.Ringing;
import rosinedpeg.core.hearing.Trueness;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.core.week.BenchHours;
import rosinedpeg.web.account.Accounts;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.buying.Ordered;
import rosinedpeg.web.buying.Purchases;
import rosinedpeg.web.buying.Suppliers;
import rosinedpeg.web.drawer.CaseKits;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.Laid;
import rosinedpeg.web.findings.Note;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.NewInstrument;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.lend.Lending;
import rosinedpeg.web.listen.PitchFrom;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.pegs.PegLook;
import rosinedpeg.web.pegs.PegLooks;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.players.Players;
import rosinedpeg.web.practice.Practices;
import rosinedpeg.web.settling.Settlings;
import rosinedpeg.web.sound.Sounds;
import rosinedpeg.web.trueness.TruenessReadings;
import rosinedpeg.web.week.BenchTimes;
import rosinedpeg.web.week.BenchWeek;
import rosinedpeg.web.week.InTurn;
import rosinedpeg.web.week.WishKind;
import rosinedpeg.web.week.Wishes;

/**
 * Loads Lantern Quay into an empty database: a floating theatre on a reservoir, its pit band's strings, one bench under
 * the stage, and a lending shelf of children's sizes. Dates are counted from the day it is loaded.
 */
@Component
@ConditionalOnBooleanProperty("peg.demo")
class LanternQuay implements ApplicationRunner {

    private static final int MOST_IN_THE_PIT = 20;
    /** By so much the lighter set pulls less. */
    private static final double LIGHTER = 0.95;
    /** And the tenser one more. */
    private static final double TENSER = 1.06;

    private static final String BENCH = "Bench under the stage";
    private static final String KEEPER = "Keeper of the shelf";
    private static final String LEARNER = "village";
    private static final String PASSWORD = "under-the-stage";
    private static final String CURRENCY = "EUR";
    private static final ZoneId ZONE = ZoneId.of("Europe/London");

    private final Accounts accounts;
    private final InventedStrings strings;
    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final PegLooks pegLooks;
    private final Notes notes;
    private final Aftercare aftercare;
    private final Benches benches;
    private final Settlings settlings;
    private final Sounds sounds;
    private final Occasions occasions;
    private final Drawer drawer;
    private final CaseKits caseKits;
    private final Suppliers suppliers;
    private final Purchases purchases;
    private final BenchTimes benchTimes;
    private final Wishes wishes;
    private final InTurn inTurn;
    private final BenchWeek benchWeek;
    private final Lending lending;
    private final Practices practices;
    private final TruenessReadings trueness;
    private final Players players;
    private final Clock clock;
    private final TransactionTemplate transaction;

    LanternQuay(
            Accounts accounts,
            InventedStrings strings,
            Instruments instruments,
            InstrumentNames instrumentNames,
            PegLooks pegLooks,
            Notes notes,
            Aftercare aftercare,
            Benches benches,
            Settlings settlings,
            Sounds sounds,
            Occasions occasions,
            Drawer drawer,
            CaseKits caseKits,
            Suppliers suppliers,
            Purchases purchases,
            BenchTimes benchTimes,
            Wishes wishes,
            InTurn inTurn,
            BenchWeek benchWeek,
            Lending lending,
            Practices practices,
            TruenessReadings trueness,
            Players players,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.accounts = accounts;
        this.strings = strings;
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.pegLooks = pegLooks;
        this.notes = notes;
        this.aftercare = aftercare;
        this.benches = benches;
        this.settlings = settlings;
        this.sounds = sounds;
        this.occasions = occasions;
        this.drawer = drawer;
        this.caseKits = caseKits;
        this.suppliers = suppliers;
        this.purchases = purchases;
        this.benchTimes = benchTimes;
        this.wishes = wishes;
        this.inTurn = inTurn;
        this.benchWeek = benchWeek;
        this.lending = lending;
        this.practices = practices;
        this.trueness = trueness;
        this.players = players;
        this.clock = clock;
        this.transaction = new TransactionTemplate(transactions);
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (accounts.anyWorkshop()) {
            return;
        }
        UUID workshop = UUID.randomUUID();
        CurrentWorkshop.in(
                workshop,
                // Nobody signs anything before there are accounts.
                workshop,
                () -> transaction.execute(status -> {
                    accounts.openWorkshop(workshop, "Lantern Quay", ZONE, ReferenceA.STANDARD);
                    accounts.add(workshop, "bench", BENCH, Role.TECHNICIAN, PASSWORD);
                    accounts.add(workshop, "keeper", KEEPER, Role.KEEPER, PASSWORD);
                    accounts.add(workshop, "pit", "Pit 1", Role.PLAYER, PASSWORD);
                    accounts.add(workshop, LEARNER, "Village 6", Role.PLAYER, PASSWORD);
                    return CurrentWorkshop.in(accounts.find("bench").orElseThrow(), () -> {
                        load();
                        return workshop;
                    });
                }));
    }

    private void load() {
        LocalDate today = clock.instant().atZone(ZONE).toLocalDate();
        occasions.enter(new Occasion.What(
                OccasionKind.TERM,
                "Season on the water",
                "",
                today.minusWeeks(3).atStartOfDay(ZONE).toInstant(),
                today.plusWeeks(9).atStartOfDay(ZONE).toInstant(),
                Set.of()));
        Map<Position, StringKind> sluice = strings.violin("Sluice", 1);
        Map<Position, StringKind> ember = strings.violinGut("Ember");
        Map<Position, StringKind> sprat = strings.halfViolin("Sprat");
        Map<Position, StringKind> minnow = strings.quarterViolin("Minnow");
        Map<Position, StringKind> reed = strings.viola("Reed");
        Map<Position, StringKind> barge = strings.cello("Barge");
        Map<Position, StringKind> keel = strings.bass("Keel");
        Map<Position, StringKind> weir = strings.violin("Weir", LIGHTER);
        // Nobody has tried it here yet.
        strings.violin("Lock", TENSER);
        Map<Position, StringKind> heron = strings.viola("Heron");
        Map<Position, StringKind> anchor = strings.cello("Anchor");
        Seasons seasons = new Seasons(instruments, sounds, clock.instant());

        layIn(sluice, "top shelf", 96, "21.50", Map.of(I, 3, II, 1, III, 2, IV, 2));
        layIn(sluice, "top shelf", 20, "22.00", Map.of(I, 2, III, 1));
        layIn(weir, "top shelf", 60, "18.50", Map.of(II, 1, IV, 1));
        layIn(ember, "top shelf", 210, "38.00", Map.of(II, 1, III, 2, IV, 2));
        layIn(reed, "second shelf", 75, "29.00", Map.of(I, 2, II, 2, III, 2, IV, 1));
        layIn(barge, "second shelf", 130, "61.00", Map.of(I, 1, III, 2, IV, 2));
        layIn(keel, "long box", 300, "94.00", Map.of(I, 2, II, 2, III, 2));
        layIn(sprat, "box of the lending shelf", 160, "9.50", Map.of(I, 9, II, 4, III, 3, IV, 2));
        layIn(minnow, "box of the lending shelf", 160, "9.50", Map.of(I, 4, II, 2));

        UUID ferryLane = suppliers.add("Ferry Lane", 5);
        suppliers.buy(InventedStrings.TIDEWICK, Optional.of(ferryLane));
        suppliers.buy(InventedStrings.CORROWYN, Optional.of(suppliers.add("Upstream post", 12)));
        UUID order = UUID.randomUUID();
        purchases.write(
                order,
                Optional.of(ferryLane),
                List.of(
                        new Ordered(IV.in(sprat).id(), 3, Optional.empty()),
                        new Ordered(III.in(minnow).id(), 2, Optional.empty())),
                0);
        purchases.send(order, 0, Optional.of(day(2)));

        UUID pit1 = add("Pit 1 violin", Family.VIOLIN, "4/4", 14, Demand.CONCERT, TailEnd.FORK_TUNER);
        players.say(pit1, Set.of(accounts.find("pit").orElseThrow().personId()));
        measure(
                pit1,
                30,
                Map.of(
                        of(Quantity.VIBRATING_LENGTH), 328.5,
                        of(Quantity.BRIDGE_HEIGHT), 33.2,
                        of(Quantity.AFTERLENGTH), 55.0,
                        of(Quantity.BACK_ANGLE), 13.8));
        measure(
                pit1,
                9,
                Map.of(
                        of(Quantity.BRIDGE_GAP), 0.9,
                        of(Quantity.STRING_HEIGHT, I), 28.6,
                        of(Quantity.STRING_HEIGHT, II), 32.6,
                        of(Quantity.STRING_HEIGHT, III), 32.9,
                        of(Quantity.STRING_HEIGHT, IV), 30.6,
                        of(Quantity.BRIDGE_GROOVE_DEPTH, III), 0.34,
                        of(Quantity.BRIDGE_GROOVE_DEPTH, IV), 0.48));
        measure(
                pit1,
                9,
                Map.of(
                        of(Quantity.PEGBOX_LENGTH), 77.0,
                        of(Quantity.PEGBOX_WIDTH_AT_NUT), 15.4,
                        of(Quantity.PEGBOX_WIDTH_AT_END), 11.2,
                        of(Quantity.PEGBOX_DEPTH), 20.0,
                        of(Quantity.SHAFT_DIAMETER), 7.4,
                        of(Quantity.TUNER_SCREW_LEFT, I), 2.2,
                        of(Quantity.TUNER_SCREW_IN, I), 4.6,
                        of(Quantity.LEVER_TO_TOP, I), 5.1));
        collar(pit1, III, 900, 10.2);
        collar(pit1, III, 480, 8.4);
        collar(pit1, III, 30, 6.1);
        // The one that is changed on stage lies in the case.
        caseKits.want(pit1, Map.of(I, 1));
        drawer.lay(
                new Laid(I.in(sluice).id(), "", pit1, day(20), new Price(new BigDecimal("22.00"), CURRENCY)),
                1,
                UUID.randomUUID());
        seasons.fit(pit1, List.of(sluice, sluice, weir, weir), sluice, Map.of(I, 24, II, 124, III, 60, IV, 60), 1.1);
        instruments.guard(pit1, false, true);
        UUID worn = instruments.get(pit1).string(III).orElseThrow().fittedId();
        hearTrueness(worn, 58, PitchFrom.HEARD, new Octave(3.4, 1.7), new Ringing(2.3e-4, 0.8, 9));
        hearTrueness(worn, 24, PitchFrom.TYPED, Octave.once(1.5), null);
        hearTrueness(worn, 2, PitchFrom.HEARD, new Octave(-4.9, 1.9), new Ringing(2.4e-4, 2.1, 9));

        UUID pit2 = add("Pit 2 violin", Family.VIOLIN, "4/4", 12, Demand.CONCERT, TailEnd.FORK_TUNER);
        measure(pit2, 30, Map.of(of(Quantity.VIBRATING_LENGTH), 326.0));
        seasons.fit(pit2, List.of(sluice, weir, weir), sluice, Map.of(I, 40, II, 90, III, 50, IV, 50), 1);
        UUID settling = instruments.fit(pit2, II, II.in(sluice).id(), hoursAgo(19), Before.NOTHING, true);
        settlings.read(settling, UUID.randomUUID(), hoursAgo(17.5), -63, true);
        settlings.read(settling, UUID.randomUUID(), hoursAgo(14), -48, true);
        settlings.read(settling, UUID.randomUUID(), hoursAgo(3), -71, true);
        // It went on in the middle of a rehearsal.
        aftercare.owe(pit2, StepKind.WIPE_FINGERBOARD, List.of(II));
        aftercare.owe(pit2, StepKind.GRAPHITE, List.of(II));
        aftercare.restock(pit2, List.of(II), List.of());

        UUID pit3 = add("Pit 3 violin", Family.VIOLIN, "4/4", 10, Demand.CONCERT, TailEnd.FORK_TUNER);
        seasons.fit(pit3, List.of(ember, sluice, ember), ember, Map.of(I, 20, II, 34, III, 34, IV, 34), 0.9);

        UUID pit4 = fiveStrings();
        seasons.fit(pit4, List.of(sluice, sluice), sluice, Map.of(I, 30, II, 45, III, 45, IV, 45), 1.15);
        instruments.fit(pit4, V, strings.lowC("Sluice").id(), daysAgo(45), Before.NOTHING, false);

        UUID pit5 = add("Pit 5 viola", Family.VIOLA, "16½", 12, Demand.CONCERT, TailEnd.FORK_TUNER);
        seasons.fit(pit5, List.of(reed, heron, heron), reed, Map.of(I, 60, II, 140, III, 70, IV, 70), 1.05);
        halfDone(pit5, II.in(reed));

        UUID pit6 = add("Pit 6 viola", Family.VIOLA, "16", 9, Demand.CONCERT, TailEnd.FORK_TUNER);
        measure(pit6, 30, Map.of(of(Quantity.VIBRATING_LENGTH), 371.0, of(Quantity.BRIDGE_HEIGHT), 38.5));
        measure(pit6, 1, Map.of(of(Quantity.BRIDGE_GAP), 2.1));
        lookAtPeg(pit6, II, 4, Set.of(PegSign.CREEPS_BACK, PegSign.BOTH_BANDS_SHINY));
        seasons.fit(pit6, List.of(reed, reed, heron), reed, Map.of(I, 38, II, 38, III, 38, IV, 38), 1);
        // Its two sets take turns; the one that was on before rests in the drawer.
        heron.forEach(
                (position, kind) -> instruments.fit(pit6, position, kind.id(), daysAgo(12), Before.NOTHING, true));
        inTurn.begin(pit6, 2, clock.instant().atZone(ZONE).toLocalDate());

        UUID pit8 = add("Pit 8 cello", Family.CELLO, "4/4", 14, Demand.CONCERT, TailEnd.FORK_TUNER);
        measure(
                pit8,
                30,
                Map.of(
                        of(Quantity.VIBRATING_LENGTH), 691.0,
                        of(Quantity.AFTERLENGTH), 106.0,
                        of(Quantity.BRIDGE_GROOVE_DEPTH, I), 0.62,
                        of(Quantity.LEVER_TO_TOP, I), 1.1));
        seasons.fit(pit8, List.of(barge, anchor), barge, Map.of(II, 160, III, 160, IV, 160), 0.95);
        instruments.fit(
                pit8,
                I,
                I.in(barge).id(),
                daysAgo(160),
                Before.signs(Set.of(WearSign.WINDING_OPEN, WearSign.COLOUR_GONE)),
                false);

        UUID pit9 = add("Pit 9 cello", Family.CELLO, "4/4", 12, Demand.CONCERT, TailEnd.FORK_TUNER);
        seasons.fit(pit9, List.of(barge, barge, anchor), barge, Map.of(I, 70, II, 70, III, 70, IV, 70), 1.1);

        notes.write(
                pit9,
                new Note.Written(
                        "Open seam at the lower treble bout, buzzes on IV. Not to be worked on before it is glued."),
                true);

        UUID pit11 = add("Pit 11 bass", Family.BASS, "3/4", 12, Demand.STUDY, TailEnd.SLOT);
        measure(pit11, 30, Map.of(of(Quantity.VIBRATING_LENGTH), 1058.0));
        seasons.fit(pit11, List.of(keel), keel, Map.of(I, 300, II, 300, III, 300, IV, 420), 0.95);

        UUID half = add("Lending ½ violin 3", Family.VIOLIN, "1/2", 3, Demand.LOAN, TailEnd.FORK_TUNER);
        for (Position position : List.of(I, II, III, IV)) {
            instruments.fit(half, position, position.in(sprat).id(), null, Before.NOTHING, false);
        }

        lookAtPeg(half, IV, 12, Set.of(PegSign.CREAKS, PegSign.JERKS));

        UUID quarter = add("Lending ¼ violin 1", Family.VIOLIN, "1/4", 2, Demand.LOAN, TailEnd.FORK_TUNER);
        seasons.fit(quarter, List.of(minnow), minnow, Map.of(I, 200, II, 200, III, 200, IV, 200), 0.9);

        enter(OccasionKind.REHEARSAL, "Pit rehearsal", 2, LocalTime.of(18, 30), LocalTime.of(21, 0));
        enter(OccasionKind.REHEARSAL, "Dress rehearsal", 10, LocalTime.of(18, 30), LocalTime.of(21, 30));
        enter(OccasionKind.CONCERT, "Opening night", 12, LocalTime.of(19, 30), LocalTime.of(22, 0));
        pegsTreated(quarter);
        lend(half, quarter, seasons, sprat, minnow);
        planWeek(pit2, pit3, pit4, pit9);
    }

    private void lend(
            UUID half,
            UUID quarter,
            Seasons seasons,
            Map<Position, StringKind> sprat,
            Map<Position, StringKind> minnow) {
        Map<String, UUID> shelf = new TreeMap<>(Map.of("½ violin 3", half, "¼ violin 1", quarter));
        int days = 100;
        for (String name : LendingShelf.more()) {
            String size = LendingShelf.size(name).code();
            UUID one = add("Lending " + name, Family.VIOLIN, size, 3, Demand.LOAN, TailEnd.FORK_TUNER);
            Map<Position, StringKind> set = size.equals("1/2") ? sprat : minnow;
            seasons.fit(one, List.of(set), set, Map.of(I, days, II, days, III, days, IV, days), 1);
            shelf.put(name, one);
            days += 25;
        }
        new LendingShelf(lending, clock.instant().atZone(ZONE).toLocalDate(), shelf).load();
        UUID lentOut = Optional.ofNullable(shelf.get("½ violin 3")).orElseThrow();
        new Learners(practices, instruments.get(lentOut))
                .learns(accounts.find(LEARNER).orElseThrow());
    }

    /** The bench before opening night: short hours, and a Thursday on which three instruments come back at once. */
    private void planWeek(UUID pit2, UUID pit3, UUID pit4, UUID pit9) {
        LocalDate today = clock.instant().atZone(ZONE).toLocalDate();
        LocalDate thursday = today.plusDays(1).with(TemporalAdjusters.next(DayOfWeek.THURSDAY));
        Map<DayOfWeek, BenchHours> weekdays = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY)) {
            weekdays.put(day, BenchHours.of("9:30-12:00"));
        }
        benchTimes.usually(BENCH, weekdays);
        benchTimes.usually(KEEPER, Map.of(DayOfWeek.SATURDAY, BenchHours.of("10-12")));
        benchTimes.otherwise(BENCH, thursday, thursday, BenchHours.of("10-12"));
        wishes.away(UUID.randomUUID(), pit9, today, today.plusDays(6), "the seam is glued");
        for (UUID away : List.of(pit2, pit3, pit4)) {
            wishes.away(UUID.randomUUID(), away, today, thursday.minusDays(1), "on the barge");
        }
        wishes.ask(
                UUID.randomUUID(),
                pit2,
                WishKind.OTHER,
                List.of(),
                "chin rest fitted, seams looked over",
                45,
                null,
                thursday);
        wishes.ask(UUID.randomUUID(), pit3, WishKind.OTHER, List.of(), "tail adjuster replaced", 50, null, thursday);
        wishes.ask(UUID.randomUUID(), pit4, WishKind.PEG_SERVICE, List.of(), "", null, null, thursday);
        benchWeek.pinFirst(pit3);
    }

    /** Pegs treated from the first step to the last. */
    private void pegsTreated(UUID instrumentId) {
        Instrument instrument = instruments.get(instrumentId);
        Schools schools = Schools.usual(instrument.setUp().family());
        ChangePlan plan = new RepairPlanner(instrument.setUp(), instrument.specs(), schools, instrument.particulars())
                .pegService(Map.of(IV, PegCondition.STICKS));
        UUID run = benches.start(instrumentId, plan, Map.of(), Reason.SERVICE, false);
        for (Step step : plan.steps()) {
            benches.record(run, Press.now(UUID.randomUUID(), step.index()), new BenchEntry.Done(step.index()));
        }
    }

    private void hearTrueness(UUID fittedId, int daysAgo, PitchFrom from, Octave octave, @Nullable Ringing ringing) {
        trueness.record(
                fittedId,
                UUID.randomUUID(),
                hoursAgo(24.0 * daysAgo),
                from,
                new Trueness(Optional.of(octave), Optional.ofNullable(ringing)));
    }

    private void layIn(
            Map<Position, StringKind> set, String place, int daysAgo, String each, Map<Position, Integer> packets) {
        packets.forEach((position, many) -> drawer.lay(
                new Laid(position.in(set).id(), place, null, day(daysAgo), new Price(new BigDecimal(each), CURRENCY)),
                many,
                UUID.randomUUID()));
    }

    private UUID add(String name, Family family, String size, double hoursPerWeek, Demand demand, TailEnd firstTuner) {
        return instruments.add(new NewInstrument(
                name,
                Size.of(family, size),
                false,
                new ReferenceA(demand == Demand.LOAN ? 440 : 442),
                family.openStrings(),
                List.of(firstTuner, TailEnd.SLOT, TailEnd.SLOT, TailEnd.SLOT),
                false,
                family.usualPegs(),
                hoursPerWeek,
                demand));
    }

    private UUID fiveStrings() {
        List<Pitch> openStrings = new ArrayList<>(Family.VIOLIN.openStrings());
        openStrings.add(InventedStrings.LOW_C);
        return instruments.add(new NewInstrument(
                "Pit 4 violin, five strings",
                Size.of(Family.VIOLIN, "4/4"),
                true,
                new ReferenceA(442),
                openStrings,
                List.of(TailEnd.FORK_TUNER, TailEnd.SLOT, TailEnd.SLOT, TailEnd.SLOT, TailEnd.SLOT),
                false,
                PegKind.TAPERED_WOOD,
                8,
                Demand.CONCERT));
    }

    private void measure(UUID instrument, int daysAgo, Map<Measurable, Double> values) {
        instruments.measure(instrument, values, day(daysAgo), UUID.randomUUID());
    }

    private void collar(UUID instrument, Position position, int daysAgo, double mm) {
        measure(instrument, daysAgo, Map.of(of(Quantity.COLLAR_TO_WALL, position), mm));
    }

    private void lookAtPeg(UUID instrument, Position position, int daysAgo, Set<PegSign> signs) {
        PegKind pegs = instruments.get(instrument).setUp().pegKind();
        pegLooks.record(
                instrument,
                new PegLook(
                        position,
                        Optional.of(pegs),
                        signs,
                        Optional.empty(),
                        null,
                        day(daysAgo),
                        CurrentWorkshop.person()),
                Map.of(),
                UUID.randomUUID());
    }

    private LocalDate day(int daysAgo) {
        return daysAgo(daysAgo).atZone(ZONE).toLocalDate();
    }

    /** Leaves a run at the moment the new string is to be locked at its peg. */
    private void halfDone(UUID instrumentId, StringKind kind) {
        Instrument instrument = instruments.get(instrumentId);
        ChangePlan plan = ChangePlanner.plan(
                ChangeRequest.usual(instrument.setUp(), instrument.specs(), Map.of(II, kind.spec())));
        UUID run = benches.start(instrumentId, plan, Map.of(II, kind.id()), Reason.BEFORE_PERFORMANCE, true);
        List<BenchEntry> entries = new ArrayList<>();
        for (Step step : plan.steps()) {
            if (step.kind() == StepKind.LOCK_FAR_SIDE_THEN_CROSS) {
                break;
            }
            if (step.kind() == StepKind.TUNE_AND_STRAIGHTEN) {
                entries.add(new BenchEntry.Gap(0.4));
            }
            entries.add(new BenchEntry.Done(step.index()));
        }
        for (int i = 0; i < entries.size(); i++) {
            benches.record(run, Press.now(UUID.randomUUID(), i), entries.get(i));
        }
    }

    private void enter(OccasionKind kind, String name, int inDays, LocalTime from, LocalTime until) {
        LocalDate day = clock.instant().atZone(ZONE).toLocalDate().plusDays(inDays);
        occasions.enter(new Occasion.What(
                kind,
                name,
                "",
                day.atTime(from).atZone(ZONE).toInstant(),
                day.atTime(until).atZone(ZONE).toInstant(),
                instrumentNames.meant("Pit", MOST_IN_THE_PIT)));
    }

    private Instant daysAgo(int days) {
        return clock.instant().minus(Duration.ofDays(days));
    }

    private Instant hoursAgo(double hours) {
        return clock.instant().minusSeconds(Math.round(hours * 3600));
    }
}
