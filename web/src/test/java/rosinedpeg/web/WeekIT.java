package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.UTF_8;
import static java.util.Objects.requireNonNull;
import static java.util.stream.Collectors.toMap;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.net.URLDecoder;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.bench.Run;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;

/** The week at the bench, in a workshop that begins with nothing. */
class WeekIT extends InRequests {

    private static final String ANN = "Ann";

    @Autowired
    Instruments instruments;

    @Autowired
    Benches benches;

    private SignedIn keeper;
    private LocalDate today;

    @BeforeEach
    void begin() throws Exception {
        keeper = stranger();
        today = Instant.now().atZone(keeper.zone()).toLocalDate();
        assertThat(page(keeper, "/week")).contains("Say who is at the bench and when");
        every("9-11");
        assertThat(page(keeper, "/week")).contains("Nothing waits for the bench");
    }

    /** Somebody is at the bench on each day of the week. */
    private void every(String hours) throws Exception {
        assertThat(hours(ANN, hours)).hasStatus(302);
    }

    private MvcTestResult hours(String person, String hours) throws Exception {
        String[] week = filled(
                keeper,
                "/week/hours?person=" + person,
                "/week/hours",
                "person",
                person,
                "monday",
                hours,
                "tuesday",
                hours,
                "wednesday",
                hours,
                "thursday",
                hours,
                "friday",
                hours,
                "saturday",
                hours,
                "sunday",
                hours);
        return post(keeper, "/week/hours", week);
    }

    private UUID wish(String instrument, int minutes, LocalDate by) {
        UUID press = UUID.randomUUID();
        for (int twice = 0; twice < 2; twice++) {
            assertThat(post(
                            keeper,
                            "/week/ask",
                            "press",
                            press.toString(),
                            "instrument",
                            instrument,
                            "kind",
                            "OTHER",
                            "minutes",
                            String.valueOf(minutes),
                            "note",
                            "work on " + instrument,
                            "byDay",
                            by == null ? "" : by.toString()))
                    .hasStatus(302);
        }
        return press;
    }

    private Document week() throws Exception {
        return Jsoup.parse(page(keeper, "/week"));
    }

    /** {@return the day a job stands on; empty when it is late} */
    private Optional<LocalDate> day(UUID wish) throws Exception {
        Element line = week().getElementById("wish-" + wish);
        assertThat(line).isNotNull();
        return Optional.ofNullable(line.closest(".bench-day"))
                .map(day -> LocalDate.parse(day.attr("aria-labelledby").substring("day-".length())));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            22-25 | 22:00–25:00 is no part of one day: hours lie between 0:00 and 24:00.
            22-2 | 22:00–2:00 ends before it begins.
            in the morning | in the morning is not from when to when
            9-12, 11-13 | 9:00–12:00, 11:00–13:00 lie in one another.
            """)
    void hoursThatAreNoneAreToldBesideTheirDay(String typed, String said) throws Exception {
        assertThat(refusal(keeper, "/week/hours", "person", "Benno", "monday", typed, "tuesday", "9-12"))
                .startsWith(said);
        assertThat(hours("", "9-12")).hasStatus(200);
        assertThat(hours(ANN, "0-1 2-3 4-5 6-7 8-9 10-11 12-13 14-15 16-17 18-19 20-21 22-23"))
                .hasStatus(302);
        assertThat(page(keeper, "/week/hours")).doesNotContain("Benno");
    }

    @Test
    void moreTimeOrAnotherDayBringsInWhatWasLate() throws Exception {
        LocalDate last = today.plusDays(2);
        for (String name : List.of("One", "Two", "Three", "Four")) {
            violin(keeper, name);
        }
        // 120 minutes a day; only tomorrow and the day after are sure to be whole.
        assertThat(post(
                        keeper,
                        "/week/hours/otherwise",
                        "person",
                        ANN,
                        "from",
                        today.toString(),
                        "until",
                        today.toString(),
                        "hours",
                        ""))
                .hasStatus(302);
        List<UUID> wishes =
                List.of(wish("One", 70, last), wish("Two", 70, last), wish("Three", 70, last), wish("Four", 40, last));
        Document week = week();
        assertThat(week.select("[role=status]").text()).contains("one will be late");
        Element late = week.selectFirst(".bench-undone .job-line");
        assertThat(late.text()).contains("The bench is full", "180 of 240 min", "20 more min of Ann");
        assertThat(page(keeper, "/week/late")).contains("20 more min of Ann");
        assertThat(post(
                        keeper,
                        "/week/hours/otherwise",
                        "person",
                        ANN,
                        "from",
                        last.toString(),
                        "until",
                        last.toString(),
                        "hours",
                        "9-11:20"))
                .hasStatus(302);
        assertThat(week().select("[role=status]").text()).contains("all of it is done in time");
        for (UUID wish : wishes) {
            assertThat(day(wish)).isPresent();
        }
    }

    @Test
    void aPinHoldsAndTheRestGoesRoundIt() throws Exception {
        violin(keeper, "One");
        violin(keeper, "Two");
        LocalDate tomorrow = today.plusDays(1);
        LocalDate after = today.plusDays(2);
        UUID one = wish("One", 100, after);
        UUID two = wish("Two", 100, tomorrow);
        assertThat(day(one)).isPresent();
        pin(one, tomorrow);
        assertThat(day(one)).contains(tomorrow);
        assertThat(day(two)).isNotEqualTo(Optional.of(tomorrow));
        assertThat(week().getElementById("wish-" + one).text()).contains("pinned");
        assertThat(refusal(keeper, "/week/pin", "job", "wish-" + two, "day", tomorrow.toString(), "person", ANN))
                .isEqualTo("Ann has 120 min on " + said(tomorrow)
                        + ": this takes 100, and what is pinned there already takes 100.");
        assertThat(post(keeper, "/week/free", "job", "wish-" + one)).hasStatus(302);
        assertThat(post(keeper, "/week/promise")).hasStatus(302);
        LocalDate stood = day(one).orElseThrow();
        assertThat(post(keeper, "/week/not-on", "job", "wish-" + one, "day", stood.toString()))
                .hasStatus(302);
        assertThat(day(one)).isNotEqualTo(Optional.of(stood));
        assertThat(week().getElementById("wish-" + one).text()).contains("promised for " + said(stood));
        assertThat(post(keeper, "/week/free", "job", "wish-" + one)).hasStatus(302);
        assertThat(day(one)).contains(stood);
    }

    private void pin(UUID wish, LocalDate day) {
        assertThat(post(keeper, "/week/pin", "job", "wish-" + wish, "day", day.toString(), "person", ANN))
                .hasStatus(302);
    }

    private String said(LocalDate day) throws Exception {
        return week().getElementById("day-" + day).text();
    }

    @Test
    void whereAJobCannotBeIsToldAtItsPlace() throws Exception {
        violin(keeper, "One");
        LocalDate last = today.plusDays(4);
        UUID one = wish("One", 30, last);
        String job = "wish-" + one;
        LocalDate off = today.plusDays(2);
        assertThat(post(
                        keeper,
                        "/week/hours/otherwise",
                        "person",
                        ANN,
                        "from",
                        off.toString(),
                        "until",
                        off.toString(),
                        "hours",
                        ""))
                .hasStatus(302);
        LocalDate away = today.plusDays(3);
        assertThat(post(
                        keeper,
                        "/week/away",
                        "press",
                        UUID.randomUUID().toString(),
                        "instrument",
                        "One",
                        "from",
                        away.toString(),
                        "until",
                        away.toString(),
                        "note",
                        "on tour"))
                .hasStatus(302);
        assertThat(refusal(keeper, "/week/pin", "job", job, "day", off.toString(), "person", ANN))
                .isEqualTo("Ann is not at the bench on " + said(off) + ".");
        assertThat(refusal(keeper, "/week/pin", "job", job, "day", away.toString(), "person", ANN))
                .isEqualTo("On " + said(away) + " it is not at hand, or not wanted.");
        assertThat(refusal(
                        keeper,
                        "/week/pin",
                        "job",
                        job,
                        "day",
                        today.plusDays(5).toString(),
                        "person",
                        ANN))
                .isEqualTo("It has to be done by " + said(last) + ".");
        assertThat(refusal(
                        keeper,
                        "/week/pin",
                        "job",
                        job,
                        "day",
                        today.minusDays(1).toString(),
                        "person",
                        ANN))
                .isNotEmpty();
        assertThat(refusal(
                        keeper,
                        "/week/pin",
                        "job",
                        job,
                        "day",
                        today.plusDays(1).toString(),
                        "person",
                        "Nobody"))
                .isEqualTo("Choose one of those who are at the bench.");
        assertThat(refusal(
                        keeper,
                        "/week/ask",
                        "instrument",
                        "Nowhere",
                        "kind",
                        "OTHER",
                        "minutes",
                        "0",
                        "note",
                        "",
                        "byDay",
                        today.minusDays(1).toString()))
                .contains("No instrument of the workshop is called so.")
                .contains("1 to 1,440");
        assertThat(refusal(
                        keeper, "/week/away", "instrument", "One", "from", away.toString(), "until", today.toString()))
                .isNotEmpty();
        assertThat(post(keeper, "/week/pin", "job", "wish-" + UUID.randomUUID(), "day", last.toString(), "person", ANN))
                .hasStatus(302);
        assertThat(post(keeper, "/week/ask/" + one + "/done")).hasStatus(302);
        assertThat(week().getElementById(job)).isNull();
    }

    @Test
    void stringsWaitForTheirPacketsAndGoOnceTheyAreOn() throws Exception {
        UUID violin = violin(keeper, "One");
        enterKind(keeper, "II");
        fit(violin, 900);
        // Nothing lies in the drawer, and a supplier of whom nobody said how long they take takes a week.
        assertThat(week().getElementById("strings-" + violin)).isNull();
        Element line =
                Jsoup.parse(page(keeper, "/week?from=" + today.plusDays(7))).getElementById("strings-" + violin);
        assertThat(line.text()).contains("to be bought; there");
        assertThat(line.closest(".bench-day").attr("aria-labelledby")).isEqualTo("day-" + today.plusDays(7));
        UUID press = UUID.randomUUID();
        assertThat(post(
                        keeper,
                        "/week/ask",
                        "press",
                        press.toString(),
                        "instrument",
                        "One",
                        "kind",
                        "STRINGS",
                        "strings",
                        "I"))
                .hasStatus(302);
        assertThat(week().getElementById("wish-" + press).text()).contains("string I asked for");
        assertThat(Jsoup.parse(page(keeper, "/week?from=" + today.plusDays(7)))
                        .getElementById("strings-" + violin)
                        .text())
                .contains("strings II, III and IV");
        fit(violin, 0);
        assertThat(page(keeper, "/week?from=" + today.plusDays(7))).doesNotContain("to be bought");
    }

    private void fit(UUID violin, int daysAgo) {
        CurrentWorkshop.in(
                keeper,
                () -> instruments.fit(
                        violin,
                        Position.II,
                        kind(keeper, "II"),
                        Instant.now().minus(Duration.ofDays(daysAgo)),
                        Before.NOTHING,
                        false));
    }

    private <T> T in(java.util.function.Supplier<T> work) {
        return CurrentWorkshop.in(keeper, work);
    }

    /** Eight fingers on one button. A pin whose day is over holds nothing any more. */
    @Test
    void whatIsPressedTwiceAtOneMomentIsDoneOnce() throws Exception {
        violin(keeper, "One");
        String press = UUID.randomUUID().toString();
        String job = "wish-" + press;
        assertThat(atOnce(
                        keeper,
                        "/week/ask",
                        "press",
                        press,
                        "instrument",
                        "One",
                        "kind",
                        "OTHER",
                        "minutes",
                        "30",
                        "note",
                        "new cord"))
                .containsOnly(302);
        assertThat(atOnce(
                        keeper,
                        "/week/away",
                        "press",
                        press,
                        "instrument",
                        "One",
                        "from",
                        day(9),
                        "until",
                        day(9),
                        "note",
                        ""))
                .containsOnly(302);
        assertThat(atOnce(keeper, "/week/pin", "job", job, "day", day(1), "person", ANN))
                .containsOnly(302);
        assertThat(week().getElementById(job).text()).contains("pinned");
        database.sql("update bench_place set day = ? where job = ?")
                .params(today.minusDays(1), job)
                .update();
        assertThat(week().getElementById(job).text()).doesNotContain("pinned");
        assertThat(database.sql("select pinned from bench_place where job = ?")
                        .param(job)
                        .query(Boolean.class)
                        .single())
                .isFalse();
        String stood = day(UUID.fromString(press)).orElseThrow().toString();
        assertThat(atOnce(keeper, "/week/not-on", "job", job, "day", stood)).containsOnly(302);
        assertThat(database.sql("select day from bench_not_on where job = ?")
                        .param(job)
                        .query(LocalDate.class)
                        .list())
                .containsExactly(LocalDate.parse(stood));
    }

    private String day(int inDays) {
        return today.plusDays(inDays).toString();
    }

    /** Between now and a rehearsal that new strings would not hold at, none go on. */
    @Test
    void noStringsGoOnThatWouldNotHold() throws Exception {
        UUID violin = violin(keeper, "One");
        LocalDate tomorrow = today.plusDays(1);
        assertThat(post(
                        keeper,
                        "/diary/new",
                        "kind",
                        "REHEARSAL",
                        "name",
                        "Early call",
                        "day",
                        tomorrow.toString(),
                        "from",
                        "00:30",
                        "until",
                        "02:00"))
                .hasStatus(302);
        Element line = week().getElementById("strings-" + violin);
        assertThat(LocalDate.parse(
                        line.closest(".bench-day").attr("aria-labelledby").substring("day-".length())))
                .isAfter(tomorrow);
        assertThat(refusal(keeper, "/week/pin", "job", "strings-" + violin, "day", tomorrow.toString(), "person", ANN))
                .isEqualTo("Strings that go on on " + said(tomorrow)
                        + " would not hold for what is played on it or after it.");
    }

    /** Runs that take twice the usual make the next take longer here, and what runs on the bench waits no more. */
    @Test
    void minutesAreLearnedFromRunsThatWereLedToTheirEnd() throws Exception {
        UUID violin = violin(keeper, "One");
        int before = minutes(pegs());
        for (int runs = 0; runs < 3; runs++) {
            slowly(violin);
        }
        UUID press = pegs();
        assertThat(minutes(press)).isGreaterThan(before + before / 4);
        assertThat(page(keeper, "/week")).contains("learned from 3 finished runs");
        assertThat(page(keeper, "/instruments/" + violin + "/plan?strings=II")).contains("learned from 3 runs");
        in(() -> begin(violin));
        assertThat(week().getElementById("wish-" + press)).isNull();
    }

    /** Pegs are to be treated; what is asked for once more waits once more. */
    private UUID pegs() {
        UUID press = UUID.randomUUID();
        assertThat(post(keeper, "/week/ask", "press", press.toString(), "instrument", "One", "kind", "PEG_SERVICE"))
                .hasStatus(302);
        return press;
    }

    /** What is left of the day, who comes next, and what a day that has become shorter breaks. */
    @Test
    void afterARunTheRestOfTheDayIsTold() throws Exception {
        assumeThat(LocalTime.now(keeper.zone())).as("the day is not over").isBefore(LocalTime.of(23, 55));
        every("0-24");
        UUID one = violin(keeper, "One");
        violin(keeper, "Two");
        // Neither due nor so new that anybody looks at their bridges, whatever room the day has.
        database.sql("update fitted_string set fitted_at = now() - interval '20 days' where workshop_id = ?")
                .param(keeper.workshopId())
                .update();
        UUID pegs = pegs();
        wish("Two", 1, today);
        wish("Two", 1, today);
        UUID run = slowly(one);
        String over = page(keeper, "/bench/" + run);
        assertThat(over).contains("Next: Two, work on Two, 1 min", "2 more jobs, 2 min", "Done today: one run");
        assertThat(week().getElementById("wish-" + pegs)).isNull();
        assertThat(post(keeper, "/week/promise")).hasStatus(302);
        every("");
        assertThat(page(keeper, "/bench/" + run))
                .contains("A promised day does not hold any more: Two", "Nothing more is planned for today.");
    }

    private int minutes(UUID wish) throws Exception {
        return Integer.parseInt(week().getElementById("wish-" + wish)
                .selectFirst(".minutes")
                .text()
                .replaceAll("\\D", ""));
    }

    private UUID begin(UUID violin) {
        Instrument instrument = instruments.get(violin);
        return benches.start(
                violin,
                new RepairPlanner(instrument.setUp(), instrument.specs(), Schools.USUAL, instrument.particulars())
                        .pegService(Map.of(Position.II, PegCondition.STICKS)),
                Map.of(),
                Reason.SERVICE,
                false);
    }

    private UUID slowly(UUID violin) {
        return in(() -> {
            UUID run = begin(violin);
            List<Step> steps = benches.get(run).state().plan().steps();
            double minutes = benches.get(run).state().plan().minutes() * 2;
            database.sql("update run set started_at = ? where id = ?")
                    .params(Instant.now().minusSeconds(Math.round(minutes * 60)).atOffset(ZoneOffset.UTC), run)
                    .update();
            for (Step step : steps) {
                Duration ago =
                        Duration.ofSeconds(Math.round(minutes * 60 * (steps.size() - 1 - step.index()) / steps.size()));
                benches.record(
                        run, new Press(UUID.randomUUID(), step.index(), null, ago), new BenchEntry.Done(step.index()));
            }
            return run;
        });
    }

    /** A set in three sittings: each waits for its own day, and a spare stands in for it. */
    @Test
    void aSetGoesOnInSittings() throws Exception {
        UUID violin = violin(keeper, "One");
        String path = "/instruments/" + violin + "/sittings";
        assertThat(page(keeper, path)).contains("Divide it").doesNotContain("Ask the bench for these");
        String asked = path + "?sittings=3&from=" + day(1) + "&by=&strings=I&strings=II";
        assertThat(Jsoup.parse(page(keeper, asked)).select(".error").text())
                .isEqualTo("Choose at least 3 strings: one for each sitting.");
        assertThat(page(keeper, path + "?sittings=9&from=never&strings=I")).contains("A day from", "2 to 3");
        violin(keeper, "Spare");
        assertThat(post(keeper, "/lend/shelf", "instrument", "Spare")).hasStatus(302);
        String all = "&strings=I&strings=II&strings=III&strings=IV";
        Document divided = Jsoup.parse(page(keeper, path + "?sittings=3&from=" + day(1) + "&by=" + day(27) + all));
        assertThat(divided.select(".sitting-line"))
                .hasSize(3)
                .allMatch(line -> line.text().contains("A spare for the day: Spare"));
        assertThat(divided.select("section [role=status]").text()).isEqualTo("All on in time");
        assertThat(page(keeper, path + "?sittings=3&from=" + day(1) + "&by=" + day(2) + all))
                .contains("this is the soonest");
        String press = UUID.randomUUID().toString();
        for (int twice = 0; twice < 2; twice++) {
            assertThat(post(
                            keeper,
                            path,
                            "press",
                            press,
                            "sittings",
                            "3",
                            "from",
                            day(1),
                            "by",
                            "",
                            "strings",
                            "I",
                            "strings",
                            "II",
                            "strings",
                            "III",
                            "strings",
                            "IV"))
                    .hasStatus(302);
        }
        List<LocalDate> days = database.sql(
                        "select from_day from bench_wish where instrument_id = ? and from_day = by_day order by from_day")
                .param(violin)
                .query(LocalDate.class)
                .list();
        assertThat(days).hasSize(3).doesNotHaveDuplicates().first().isEqualTo(today.plusDays(1));
        for (UUID wish : database.sql("select id from bench_wish where from_day <= ?")
                .param(today.plusDays(6))
                .query(UUID.class)
                .list()) {
            assertThat(day(wish)).hasValueSatisfying(day -> assertThat(days).contains(day));
        }
    }

    /** Two sets in turn: told, waited for, planned with the set that rests; and whatever goes on again is as old as it was. */
    @Test
    void twoSetsTakeTurns() throws Exception {
        UUID violin = violin(keeper, "One");
        String path = "/instruments/" + violin + "/two-sets";
        assertThat(page(keeper, path))
                .contains("The drawer has nothing for I, II, III and IV", "Nobody knows since when")
                .doesNotContain("Let them take turns");
        Map<Position, UUID> kinds = in(() -> instruments.get(violin).strings().stream()
                .collect(toMap(StringOn::position, string -> string.kind().id())));
        for (int daysAgo : new int[] {40, 10}) {
            kinds.forEach((position, kind) -> in(() -> instruments.fit(
                    violin,
                    position,
                    kind,
                    Instant.now().minus(Duration.ofDays(daysAgo)),
                    Before.NOTHING,
                    daysAgo < 40)));
        }
        assertThat(page(keeper, path + "?weeks=27&from=never")).contains("whole number from 1 to 26", "A day from");
        Document told = Jsoup.parse(page(keeper, path));
        assertThat(told.select(".sets-line").first().text())
                .startsWith(
                        DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH).format(today.plusDays(18)))
                .contains("The set from the drawer goes on");
        for (int twice = 0; twice < 2; twice++) {
            assertThat(post(keeper, path, "weeks", "2", "from", day(0))).hasStatus(302);
        }
        assertThat(post(keeper, path, "weeks", "3", "from", day(0)))
                .as("from a page that was opened before")
                .hasStatusOk()
                .bodyText()
                .contains("Somebody else has changed it", "each is on for 2 weeks");
        assertThat(page(keeper, path)).contains("each is on for 2 weeks", "Change the turns");
        assertThat(week().getElementById("turn-" + violin).text()).contains("the other set goes on", "its turn");
        String plan = URLDecoder.decode(
                requireNonNull(get(keeper, path + "/next").getResponse().getRedirectedUrl()), UTF_8);
        assertThat(in(() -> instruments.get(violin))
                        .mostWorn()
                        .orElseThrow()
                        .wear()
                        .months())
                .isBetween(0.3, 0.35);
        Document form = Jsoup.parse(page(keeper, plan));
        List<String> fields = new ArrayList<>();
        form.select("form.plan-grid").first().select("input, select").forEach(field -> {
            boolean off = field.attr("type").matches("checkbox|radio") && !field.hasAttr("checked");
            String value = field.is("select") ? field.select("option[selected]").attr("value") : field.val();
            if (!off && !field.attr("name").isEmpty()) {
                fields.addAll(List.of(field.attr("name"), value));
            }
        });
        assertThat(post(keeper, "/instruments/" + violin + "/plan", fields.toArray(String[]::new)))
                .hasStatus(302);
        UUID run = in(() -> benches.openFor(violin)).orElseThrow();
        assertThat(week().getElementById("turn-" + violin)).isNull();
        Run begun = in(() -> benches.get(run));
        for (Step step : begun.state().plan().steps()) {
            in(() ->
                    benches.record(run, Press.now(UUID.randomUUID(), step.index()), new BenchEntry.Done(step.index())));
        }
        assertThat(in(() -> instruments.get(violin)).strings())
                .hasSize(4)
                .allSatisfy(string -> assertThat(string.wear().months()).isBetween(0.95, 1.05))
                .allSatisfy(string -> assertThat(string.hours()).isPositive());
        assertThat(Jsoup.parse(page(keeper, "/week?from=" + day(14))).getElementById("turn-" + violin))
                .isNotNull();
        assertThat(page(keeper, path)).contains("Rests in the drawer").doesNotContain("none in the drawer");
        assertThat(post(keeper, path + "/end"))
                .as("of turns that were not shown")
                .hasRedirectedUrl(path);
        assertThat(page(keeper, path)).contains("each is on for 2 weeks");
        assertThat(post(keeper, path + "/end", filled(keeper, path, path + "/end")))
                .hasStatus(302);
        assertThat(week().getElementById("turn-" + violin)).isNull();
    }

    /** Pegs that stick are work until they were treated. */
    @Test
    void whatALookAtThePegsFindsWaitsForTheBench() throws Exception {
        UUID violin = violin(keeper, "One");
        String pegs = "/instruments/" + violin + "/pegs/";
        assertThat(post(keeper, pegs + "II", "signs", "STICKS", "on", day(0))).hasStatus(302);
        assertThat(post(keeper, pegs + "III", "signs", "ONE_BAND_SHINY", "on", day(0)))
                .hasStatus(302);
        assertThat(week().getElementById("pegs-" + violin).text()).contains("see to the pegs", "by the last look");
        assertThat(post(keeper, pegs + "II", "on", day(0))).hasStatus(302);
        assertThat(week().getElementById("pegs-" + violin)).isNull();
        assertThat(post(keeper, pegs + "IV", "signs", "CREEPS_BACK", "on", day(0)))
                .hasStatus(302);
        assertThat(week().getElementById("pegs-" + violin)).isNotNull();
        Instrument instrument = in(() -> instruments.get(violin));
        var plan = new RepairPlanner(
                        instrument.setUp(),
                        instrument.specs(),
                        Schools.usual(instrument.setUp().family()),
                        instrument.particulars())
                .pegService(Map.of(Position.IV, PegCondition.SLIPS));
        UUID run = in(() -> benches.start(violin, plan, Map.of(), Reason.SERVICE, false));
        for (Step step : plan.steps()) {
            in(() -> {
                benches.record(run, Press.now(UUID.randomUUID(), step.index()), new BenchEntry.Done(step.index()));
                return null;
            });
        }
        assertThat(week().getElementById("pegs-" + violin)).isNull();
    }

    /** What a repairer has is looked over when it is back, until somebody says that it was seen to. */
    @Test
    void whatComesBackFromARepairerIsLookedOver() throws Exception {
        UUID violin = violin(keeper, "One");
        assertThat(post(keeper, "/instruments/" + violin + "/notes", "text", "open seam", "refer", "true"))
                .hasStatus(302);
        assertThat(page(keeper, "/instruments/" + violin)).contains("A repairer has it until a day");
        assertThat(page(keeper, "/week/away?instrument=" + violin)).contains("value=\"One\"");
        String press = UUID.randomUUID().toString();
        assertThat(post(
                        keeper,
                        "/week/away",
                        "press",
                        press,
                        "instrument",
                        "One",
                        "from",
                        day(0),
                        "until",
                        day(2),
                        "note",
                        ""))
                .hasStatus(302);
        Element line = week().getElementById("back-" + press);
        assertThat(line.text()).contains("look it over", "back from the repairer");
        assertThat(line.closest(".bench-day").attr("aria-labelledby")).isEqualTo("day-" + day(3));
        String settle = Jsoup.parse(page(keeper, "/instruments/" + violin))
                .selectFirst("form[action$=/settled]")
                .attr("action");
        assertThat(post(keeper, settle)).hasStatus(302);
        assertThat(week().getElementById("back-" + press)).isNull();
    }
}
