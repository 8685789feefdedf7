package rosinedpeg.web;

import static java.util.Objects.requireNonNull;
import static java.util.stream.Collectors.toSet;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.persistence.EntityManagerFactory;
import java.math.BigDecimal;
import java.sql.Date;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import java.util.function.IntConsumer;
import java.util.function.Supplier;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.jsoup.Jsoup;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.scheduling.config.ScheduledTask;
import org.springframework.scheduling.config.ScheduledTaskHolder;
import org.springframework.transaction.IllegalTransactionStateException;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import rosinedpeg.core.bench.Learned;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.findings.Note;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentEdit;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.instrument.Stringing;
import rosinedpeg.web.kinds.LearnedFactors;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.sound.InWords;
import rosinedpeg.web.sound.Question;
import rosinedpeg.web.sound.SoundMoment;
import rosinedpeg.web.sound.Sounds;

/** What pages keep instead of working it out stays true, and what they read does not grow with the rack. */
class GrowthIT extends InRequests {

    @Autowired
    EntityManagerFactory entities;

    @Autowired
    TransactionTemplate transaction;

    @Autowired
    Instruments instruments;

    @Autowired
    InstrumentNames instrumentNames;

    @Autowired
    Sounds sounds;

    @Autowired
    StringKinds kinds;

    @Autowired
    Benches benches;

    @Autowired
    Notes notes;

    @Autowired
    Occasions occasions;

    @Autowired
    ScheduledTaskHolder scheduled;

    /** Whatever happens to an instrument, its kept place is the one it would be given anew. */
    @Test
    void theRackIsAsIfItHadBeenWorkedOutForEveryLook() throws Exception {
        UUID violin = instrument("Pit 1 violin");
        UUID bass = instrument("Pit 11 bass");
        UUID kind = database.sql("select kind_id from fitted_string where instrument_id = ? and position = 'II'")
                .param(bass)
                .query(UUID.class)
                .list()
                .get(0);
        List<Runnable> happenings = List.of(
                () -> look(violin, Set.of(WearSign.WINDING_OPEN)),
                () -> look(violin, Set.of()),
                () -> instruments.fit(bass, Position.II, kind, Instant.now(), Before.NOTHING, false),
                () -> read(bass),
                () -> instruments.takeOff(bass, Position.I, true, null),
                () -> notes.write(violin, new Note.Written("A crack by the f-hole"), true),
                () -> notes.settle(violin, notes.referrals(violin).get(0).id()),
                () -> post(
                        account("keeper"), "/instruments/" + violin + "/plan", "off", "ONE_AT_A_TIME", "strings", "II"),
                () -> benches.record(openRun("Pit 1 violin"), Press.now(UUID.randomUUID(), 0), new BenchEntry.End()));
        Set<List<Map<String, Object>>> racks = new HashSet<>();
        racks.add(rack());
        for (Runnable happening : happenings) {
            at(happening);
            List<Map<String, Object>> kept = rack();
            racks.add(kept);
            database.sql("update rack_place set holds_until = 'epoch', urgency = 0")
                    .update();
            assertSame(rack(), kept);
        }
        assertThat(racks).as("some of it takes back what happened before").hasSizeGreaterThan(5);
    }

    /** Nobody has to look before much that is out of date is worked out, and it is worked out where the workshop stands. */
    @Test
    void muchThatIsOutOfDateIsWorkedOutUnasked() throws Exception {
        ManySeasons.pass(database, transaction, 200, 1);
        SignedIn keeper = account("keeper");
        assertThat(post(keeper, "/workshop", filled(keeper, "/workshop", "/workshop", "zone", "Pacific/Kiritimati")))
                .hasStatus(302);
        List<Map<String, Object>> looked = rack();
        database.sql("update rack_place set holds_until = 'epoch', urgency = 0").update();
        assertThat(placesKept()).isNotEqualTo(looked);
        scheduled.getScheduledTasks().stream()
                .map(ScheduledTask::getTask)
                .filter(task -> task.toString().contains("RackKeptUp.keepUp"))
                .forEach(task -> task.getRunnable().run());
        assertSame(placesKept(), looked);
    }

    /** An instrument leaves the rack while somebody else works its place out: nothing of it is left to be bought for. */
    @Test
    void whatLeavesTheRackWhileItIsWorkedOutLeavesNothing() throws Exception {
        UUID violin = instrument("Pit 1 violin");
        rack();
        CompletableFuture<Void> gone = transaction.execute(worksItOut -> {
            database.sql("select urgency from rack_place where instrument_id = ? for no key update")
                    .param(violin)
                    .query(Integer.class)
                    .single();
            CompletableFuture<Void> leaves = CompletableFuture.runAsync(() -> at(() -> instruments.retire(violin)));
            for (int tries = 0; waiting() == 0 && tries < 400; tries++) {
                LockSupport.parkNanos(25_000_000);
            }
            assertThat(waiting()).isPositive();
            assertThat(database.sql("with before as (delete from due_string where instrument_id = ? returning *)"
                                    + " insert into due_string select * from before")
                            .param(violin)
                            .update())
                    .isPositive();
            return leaves;
        });
        requireNonNull(gone).get(10, TimeUnit.SECONDS);
        assertThat(database.sql("select count(*) from due_string where instrument_id = ?")
                        .param(violin)
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    private int waiting() {
        return database.sql("select count(*) from pg_stat_activity where wait_event_type = 'Lock'"
                        + " and datname = current_database()")
                .query(Integer.class)
                .single();
    }

    /** How far a string is used up is told of any moment by what was kept at one: until a holiday begins, or the days are others. */
    @Test
    void aKeptStringIsUsedUpAsIfItHadBeenLookedAt() throws Exception {
        SignedIn keeper = account("keeper");
        String sum = "/buying/budget?price=500&currency=EUR";
        String now = Jsoup.parse(page(keeper, sum)).select("table").text();
        assertThat(now).contains("worn ");
        assertThat(database.sql("update due_string set worked_out_at = worked_out_at - interval '50 days',"
                                + " worn = worn - 1200 * worn_an_hour where worn > 1200 * worn_an_hour")
                        .update())
                .isPositive();
        assertThat(Jsoup.parse(page(keeper, sum)).select("table").text()).isEqualTo(now);

        UUID played = instrument("Pit 1 violin");
        LocalDate monday = LocalDate.now(keeper.zone()).with(TemporalAdjusters.next(DayOfWeek.MONDAY));
        Instant lately = Instant.now().minus(Duration.ofMinutes(2));
        at(() -> occasions.enter(new Occasion.What(
                OccasionKind.CONCERT, "Just over", "", lately, lately.plusSeconds(60), Set.of(played))));
        rack();
        assertThat(howMany(
                        "instrument_id = ? and holds_until <= ?",
                        played,
                        monday.atStartOfDay(keeper.zone()).toOffsetDateTime()))
                .as("by dates it was played this week")
                .isOne();

        Instant holiday = Instant.now().plus(Duration.ofDays(2));
        at(() -> occasions.enter(new Occasion.What(
                OccasionKind.HOLIDAY, "Made up", "", holiday, holiday.plus(Duration.ofDays(9)), Set.of())));
        rack();
        assertThat(howMany("holds_until <= ?", holiday.atOffset(ZoneOffset.UTC).plusSeconds(1)))
                .isEqualTo(howMany("true"));
        assertThat(post(keeper, "/workshop", filled(keeper, "/workshop", "/workshop", "zone", "Asia/Tokyo")))
                .hasStatus(302);
        assertThat(howMany("holds_until = 'epoch'")).isEqualTo(howMany("true"));
    }

    private int howMany(String which, Object... values) {
        return database.sql("select count(*) from rack_place where workshop_id = '"
                        + account("keeper").workshopId() + "' and " + which)
                .params(values)
                .query(Integer.class)
                .single();
    }

    /** Whatever happens to an instrument, at the bench it is strung as if it had been read anew; while nothing does, one question tells so. */
    @Test
    void anInstrumentIsStrungAsIfItHadBeenReadForEveryLook() {
        UUID violin = instrument("Pit 2 violin");
        UUID other = database.sql(
                        "select id from string_kind where source = 'PACKET' and family = 'VIOLIN' and position = 'II'"
                                + " and id not in (select kind_id from fitted_string where instrument_id = ?)")
                .param(violin)
                .query(UUID.class)
                .list()
                .get(0);
        List<Runnable> happenings = List.of(
                () -> rename(violin, "Pit 2 violin, varnished"),
                () -> instruments.measure(
                        violin,
                        Map.of(Measurable.of(Quantity.BRIDGE_HEIGHT, null), 33.5),
                        CurrentWorkshop.today(Clock.systemUTC()),
                        UUID.randomUUID()),
                () -> instruments.learn(
                        violin, List.of(new Coupling.Observation(50, 4, 6)), new Learned.Leans(List.of(), List.of())),
                () -> instruments.takeOff(violin, Position.II, true, null),
                () -> instruments.fit(violin, Position.II, other, Instant.now(), Before.NOTHING, false),
                () -> kinds.keepReady(other, kinds.entered(other).version(), Optional.of(7)),
                () -> kinds.learn(other, Optional.of(new LearnedFactors(0.8, 0.7, 0.9, 1, Instant.now()))),
                () -> {
                    transaction.executeWithoutResult(undone -> {
                        rename(violin, "Pit 2 violin, for sale");
                        instruments.stringing(violin);
                        undone.setRollbackOnly();
                    });
                    // Has the number of what came to nothing.
                    rename(violin, "Pit 2 violin");
                });
        CurrentWorkshop.in(account("keeper"), () -> {
            Set<Stringing> strung = new HashSet<>();
            for (Runnable happening : happenings) {
                strung.add(instruments.stringing(violin));
                happening.run();
                assertThat(instruments.stringing(violin))
                        .isEqualTo(instruments.get(violin).stringing());
            }
            assertThat(strung).as("each changed it").hasSize(happenings.size());
            Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
            statistics.setStatisticsEnabled(true);
            statistics.clear();
            instruments.stringing(violin);
            assertThat(statistics.getPrepareStatementCount()).isOne();
            statistics.setStatisticsEnabled(false);
            return null;
        });
    }

    /** Whatever happens to a kind of string, all of them are known as if they had been read anew; while nothing does, one question tells so. */
    @Test
    void kindsAreKnownAsIfTheyHadBeenReadForEveryLook() {
        CurrentWorkshop.in(account("keeper"), () -> {
            StringKind kind = kinds.entered().get(0);
            LearnedFactors learned = new LearnedFactors(0.8, 0.7, 0.9, 1, Instant.now());
            AtomicReference<UUID> added = new AtomicReference<>();
            List<Runnable> happenings = List.of(
                    () -> kinds.keepReady(kind.id(), kinds.entered(kind.id()).version(), Optional.of(7)),
                    () -> kinds.learn(kind.id(), Optional.of(learned)),
                    () -> kinds.learn(kind.id(), Optional.empty()),
                    () -> added.set(kinds.add("Sluice", "Made up", kind.family(), kind.spec())
                            .id()),
                    () -> kinds.remove(added.get()),
                    () -> {
                        transaction.executeWithoutResult(undone -> {
                            kinds.keepReady(kind.id(), kinds.entered(kind.id()).version(), Optional.of(8));
                            kinds.all();
                            undone.setRollbackOnly();
                        });
                        // Has the number of what came to nothing.
                        kinds.keepReady(kind.id(), kinds.entered(kind.id()).version(), Optional.of(9));
                    });
            for (Runnable happening : happenings) {
                Map<UUID, StringKind> before = kinds.all();
                happening.run();
                assertThat(kinds.all())
                        .isNotEqualTo(before)
                        .isEqualTo(kinds.some(database.sql("select id from string_kind where workshop_id = ?")
                                .param(account("keeper").workshopId())
                                .query(UUID.class)
                                .list()));
            }
            Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
            statistics.setStatisticsEnabled(true);
            statistics.clear();
            kinds.entered();
            assertThat(statistics.getPrepareStatementCount()).isOne();
            statistics.setStatisticsEnabled(false);
            return kind;
        });
    }

    /** Whatever is said of strings, where their kinds stand is known as if it had been worked out anew; while nothing is, one question tells so. */
    @Test
    void whereKindsStandIsKnownAsIfItHadBeenWorkedOutForEveryLook() {
        UUID violin = instrument("Pit 2 violin");
        TransactionTemplate reading = new TransactionTemplate(requireNonNull(transaction.getTransactionManager()));
        reading.setReadOnly(true);
        CurrentWorkshop.in(account("keeper"), () -> {
            StringOn on = instruments.get(violin).string(Position.I).orElseThrow();
            Set<UUID> kindIds = kinds.of(instruments.get(violin).setUp(), Position.I).stream()
                    .map(StringKind::id)
                    .collect(toSet());
            UUID other = kindIds.stream()
                    .filter(id -> !id.equals(on.kind().id()))
                    .findFirst()
                    .orElseThrow();
            Supplier<List<Object>> stand = () -> sounds.places(kindIds, violin).values().stream()
                    .<Object>map(places -> List.of(
                            places.count(on.kind().id()),
                            places.difference(on.kind().id(), other)))
                    .toList();
            IntConsumer say = place -> sounds.say(
                    violin,
                    UUID.randomUUID(),
                    Instant.now(),
                    Map.of(
                            new Question(on.fittedId(), SoundMoment.ON),
                            new InWords(Map.of(SoundScale.DARK_BRIGHT, place), "")));
            Runnable takeBackTheLast = () -> assertThat(database.sql(
                                    "delete from string_sound where id ="
                                            + " (select id from string_sound where fitted_string_id = ? order by said_at desc limit 1)")
                            .param(on.fittedId())
                            .update())
                    .isOne();
            for (Runnable happening : List.<Runnable>of(
                    () -> say.accept(2),
                    () -> say.accept(1),
                    () -> {
                        takeBackTheLast.run();
                        say.accept(-2);
                    },
                    takeBackTheLast,
                    takeBackTheLast)) {
                List<Object> before = reading.execute(open -> stand.get());
                happening.run();
                assertThat(reading.<List<Object>>execute(open -> stand.get()))
                        .isNotEqualTo(before)
                        .isEqualTo(transaction.execute(open -> stand.get()));
            }
            Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
            statistics.setStatisticsEnabled(true);
            statistics.clear();
            reading.executeWithoutResult(open -> stand.get());
            assertThat(statistics.getPrepareStatementCount()).isOne();
            statistics.setStatisticsEnabled(false);
            return violin;
        });
    }

    private void rename(UUID instrument, String name) {
        Instrument now = instruments.get(instrument);
        InstrumentEdit before = InstrumentEdit.of(now);
        instruments.edit(
                instrument,
                now.version(),
                new InstrumentEdit(
                        name,
                        before.size(),
                        before.leftHanded(),
                        before.referenceA(),
                        before.openStrings(),
                        before.hoursPerWeek(),
                        before.demand()));
    }

    /** {@return how urgent each instrument is and when its strings are due, once somebody has looked} */
    private List<Map<String, Object>> rack() throws Exception {
        page(account("keeper"), "/");
        return placesKept();
    }

    /**
     * Alike in all, but for the moments that pass between the two: a day may begin in them, and strings that are
     * played at eight hours a week wear by much less than the ten thousandth that wear is compared to.
     */
    private static void assertSame(List<Map<String, Object>> places, List<Map<String, Object>> kept) {
        assertThat(places)
                .usingRecursiveComparison()
                .withEqualsForFieldsMatchingRegexes((Date one, Date other) -> withinADay(one, other), ".*due_on")
                .withEqualsForFieldsMatchingRegexes(
                        (BigDecimal one, BigDecimal other) -> alikeInWear(one, other), ".*worn")
                .isEqualTo(kept);
    }

    private static boolean withinADay(@Nullable Date one, @Nullable Date other) {
        return one == null || other == null
                ? one == other
                : Math.abs(ChronoUnit.DAYS.between(one.toLocalDate(), other.toLocalDate())) <= 1;
    }

    private static boolean alikeInWear(@Nullable BigDecimal one, @Nullable BigDecimal other) {
        return one == null || other == null
                ? one == other
                : one.subtract(other).abs().compareTo(new BigDecimal("0.0001")) <= 0;
    }

    private List<Map<String, Object>> placesKept() {
        return database.sql(
                        "select place.instrument_id, urgency, holds_until::date, fitted_string_id, kind_id, instrument_name,"
                                + " due_on, round(worn::numeric, 4) as worn, hours_per_week from rack_place place"
                                + " left join due_string on due_string.instrument_id = place.instrument_id"
                                + " order by place.instrument_id, fitted_string_id")
                .query()
                .listOfRows();
    }

    private void look(UUID instrument, Set<WearSign> signs) {
        StringOn string = instruments.get(instrument).string(Position.III).orElseThrow();
        instruments.look(instrument, string.fittedId(), string.version(), signs);
    }

    private void read(UUID instrument) {
        UUID fitted = database.sql(
                        "select id from fitted_string where instrument_id = ? and position = 'II' and removed_at is null")
                .param(instrument)
                .query(UUID.class)
                .single();
        post(
                account("keeper"),
                "/settling/" + fitted + "/readings",
                "cents",
                "-30",
                "readAt",
                LocalDateTime.now(CurrentWorkshop.zone()).toString().substring(0, 16),
                "press",
                UUID.randomUUID().toString());
    }

    private void at(Runnable happening) {
        CurrentWorkshop.in(account("keeper"), () -> {
            happening.run();
            return null;
        });
    }

    /** A page that asks its questions in one transaction that only reads loses nothing that one of them would write. */
    @Test
    void whatIsWrittenWhereOnlyReadingIsMeantIsRefused() {
        UUID violin = instrument("Pit 1 violin");
        TransactionTemplate reading = new TransactionTemplate(requireNonNull(transaction.getTransactionManager()));
        reading.setReadOnly(true);
        at(() -> reading.executeWithoutResult(open -> {
            assertThat(instruments.get(violin).name()).isEqualTo("Pit 1 violin");
            assertThatThrownBy(() -> instruments.guard(violin, true, true))
                    .isInstanceOf(IllegalTransactionStateException.class);
        }));
    }

    /** What several services want to know of an instrument is read once for a page, and whoever changes something reads it as it is. */
    @Test
    void aPageReadsOnce() {
        UUID violin = instrument("Pit 1 violin");
        UUID other = instrument("Pit 2 violin");
        Set<UUID> both = Set.of(violin, other);
        TransactionTemplate reading = new TransactionTemplate(requireNonNull(transaction.getTransactionManager()));
        reading.setReadOnly(true);
        TransactionTemplate apart = new TransactionTemplate(requireNonNull(transaction.getTransactionManager()));
        apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
        at(() -> reading.executeWithoutResult(open -> {
            Set<UUID> kindIds = instruments.of(both).values().stream()
                    .flatMap(one -> one.strings().stream())
                    .map(string -> string.kind().id())
                    .collect(toSet());
            UUID never = UUID.randomUUID();
            assertThat(instrumentNames.of(Set.of(violin, never))).containsOnlyKeys(violin);
            statistics.setStatisticsEnabled(true);
            statistics.clear();
            assertThat(instruments.standings(both)).containsOnlyKeys(violin, other);
            assertThat(instrumentNames.of(Set.of(other, never))).containsOnlyKeys(other);
            assertThat(kinds.some(kindIds)).containsOnlyKeys(kindIds);
            assertThat(statistics.getPrepareStatementCount()).isZero();
            statistics.setStatisticsEnabled(false);
            apart.executeWithoutResult(change -> {
                rename(violin, "Pit 1 violin, lent");
                assertThat(instrumentNames.of(both)).containsEntry(violin, "Pit 1 violin, lent");
                rename(violin, "Pit 1 violin, back");
                assertThat(instrumentNames.of(both)).containsEntry(violin, "Pit 1 violin, back");
            });
            apart.setReadOnly(true);
            apart.executeWithoutResult(
                    again -> assertThat(instrumentNames.of(both)).containsEntry(violin, "Pit 1 violin, back"));
            assertThat(instrumentNames.of(both)).containsEntry(violin, "Pit 1 violin");
        }));
        at(() -> reading.executeWithoutResult(
                open -> assertThat(instrumentNames.of(both)).containsEntry(violin, "Pit 1 violin, back")));
        at(() -> rename(violin, "Pit 1 violin"));
    }

    /** Many more instruments, and twice the years: no more questions to the database, and no more rows that it answers. */
    @Test
    void noPageReadsMoreWhenTheRackGrows() throws Exception {
        ManySeasons.pass(database, transaction, 340, 22);
        Map<String, Long> before = read();
        ManySeasons.pass(database, transaction, 500, 2);
        Map<String, Long> after = read();
        // What a page shows may be of more kinds than before, or a list of it longer, by no more than it shows; a line
        // of the turn is a loan,
        // its instrument and the strings of that.
        before.forEach((what, much) -> assertThat(after.get(what))
                .as(what)
                .isLessThanOrEqualTo(
                        much + (what.endsWith("rows") ? ListPage.MOST * (what.contains("turn") ? 6 : 1) : 0)));
    }

    /** {@return the statements and rows that each page takes once what is kept for it is up to date} */
    private Map<String, Long> read() throws Exception {
        Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
        String violin = "/instruments/" + instrument("Pit 1 violin");
        Map<String, Long> read = new TreeMap<>();
        for (String page : List.of(
                "/",
                "/?find=pit",
                "/settling",
                "/bench",
                "/lend",
                "/lend/turn",
                "/lives",
                "/drawer",
                "/buying",
                violin,
                violin + "/log")) {
            page(account("keeper"), page);
            statistics.setStatisticsEnabled(true);
            statistics.clear();
            page(account("keeper"), page);
            read.put(page, statistics.getPrepareStatementCount());
            read.put(
                    page + " rows",
                    Arrays.stream(statistics.getQueries())
                            .mapToLong(query ->
                                    statistics.getQueryStatistics(query).getExecutionRowCount())
                            .sum());
            statistics.setStatisticsEnabled(false);
        }
        return read;
    }
}
