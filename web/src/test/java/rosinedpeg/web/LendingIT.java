package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.net.URI;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** The lending shelf, in a workshop that begins with nothing. */
class LendingIT extends InRequests {

    private static final List<String> ALL_WELL = List.of(
            "way",
            "OUT",
            "good",
            "STRINGS",
            "good",
            "BRIDGE",
            "good",
            "POST",
            "good",
            "FINE_TUNERS",
            "good",
            "BODY",
            "good",
            "BOW");

    private SignedIn keeper;
    private LocalDate today;
    private UUID violin;

    @BeforeEach
    void begin() throws Exception {
        keeper = stranger();
        today = Instant.now().atZone(keeper.zone()).toLocalDate();
        assertThat(page(keeper, "/lend")).contains("No instrument is on the shelf yet");
        violin = violin(keeper, "Loan 1");
    }

    private String day(int inDays) {
        return today.plusDays(inDays).toString();
    }

    private UUID lend(String instrument, String borrower, int from, int until, String... more) {
        UUID press = UUID.randomUUID();
        assertThat(post(keeper, "/lend/new", loan(press, instrument, borrower, from, until, more)))
                .hasStatus(302);
        return press;
    }

    private String[] loan(UUID press, String instrument, String borrower, int from, int until, String... more) {
        return Stream.concat(
                        Stream.of(
                                "press",
                                press.toString(),
                                "instrument",
                                instrument,
                                "borrower",
                                borrower,
                                "from",
                                day(from),
                                "until",
                                day(until),
                                "withIt",
                                "BOW"),
                        Stream.of(more))
                .toArray(String[]::new);
    }

    /** What is ticked at pegs, and that the rest is as it should be, on a day. */
    private String[] look(List<String> more, int on) {
        List<String> fields = new ArrayList<>(ALL_WELL);
        fields.addAll(more);
        fields.addAll(List.of("on", day(on), "withIt", "BOW"));
        return fields.toArray(String[]::new);
    }

    private static final List<String> PEGS_WELL = List.of("good", "PEGS");

    private void goesOut(UUID loan) {
        assertThat(post(keeper, "/lend/loans/" + loan + "/look", look(PEGS_WELL, 0)))
                .hasStatus(302);
    }

    @Test
    void itGoesOutIsLookedOverComesBackAndTheDifferenceIsTold() throws Exception {
        UUID loan = lend("Loan 1", "Village 3", 0, 80, "note", "with a music stand");
        assertThat(page(keeper, "/lend/loans/" + loan)).contains("Promised to Village 3", "with a music stand");
        String look = "/lend/loans/" + loan + "/look";
        assertThat(refusal(keeper, look, "way", "OUT", "on", day(0)))
                .startsWith("Tick what you see here, or that it is as it should be. Tick what you see");
        assertThat(refusal(keeper, look, look(List.of("good", "PEGS", "pegs", "II STICKS"), 0)))
                .isEqualTo("Tick either what you see here, or that it is as it should be.");
        assertThat(refusal(keeper, look, look(List.of("good", "PEGS", "gap", "far too much"), 0)))
                .contains("It goes from");
        assertThat(refusal(keeper, look, look(PEGS_WELL, 1))).isNotEmpty();
        goesOut(loan);
        // The same press once more, and one that comes too late, change nothing.
        goesOut(loan);
        assertThat(page(keeper, "/lend/loans/" + loan)).contains("Village 3 has it since", "I, age unknown");
        assertThat(page(keeper, "/lend/loans/" + loan + "/slip"))
                .contains("Village 3", "bow", "with a music stand", "Received, day and name")
                .doesNotContain("An adult winds");
        assertThat(page(keeper, "/instruments/" + violin)).contains("on loan").doesNotContain("Village 3");

        List<String> back = List.of(
                "pegs",
                "II STICKS",
                "missing",
                "I",
                "strings",
                "III CORROSION",
                "signs",
                "BRIDGE_LEANS",
                "text",
                "no rosin");
        List<String> seen = new ArrayList<>(List.of(
                "way", "BACK", "good", "POST", "good", "FINE_TUNERS", "good", "BODY", "good", "BOW", "on", day(0)));
        seen.addAll(back);
        assertThat(post(keeper, look, seen.toArray(String[]::new))).hasStatus(302);
        Document told = Jsoup.parse(page(keeper, "/lend/loans/" + loan));
        assertThat(told.text())
                .contains("New, or worse", "I is missing or broken", "Peg II sticks", "The bridge leans", "no rosin")
                .contains("III: corroded");
        // What was seen stands where everything else of its sort does.
        assertThat(page(keeper, "/instruments/" + violin + "/pegs")).contains("it sticks");
        assertThat(page(keeper, "/instruments/" + violin))
                .contains("Looked over: I is missing or broken; The bridge leans.", "Lent, handed out by", "Came back");
        assertThat(database.sql("select count(*) from fitted_string where instrument_id = ? and removed_at is null")
                        .param(violin)
                        .query(Integer.class)
                        .single())
                .isEqualTo(3);
        assertThat(database.sql("select signs from fitted_string where instrument_id = ? and position = 'III'")
                        .param(violin)
                        .query((row, number) -> row.getString(1))
                        .single())
                .isEqualTo("{CORROSION}");
        assertThat(Jsoup.parse(page(keeper, "/lend")).select(".shelf-line").text())
                .contains("came back", "Peg II sticks");
        assertThat(page(keeper, "/lend/wear")).contains("Peg sticks: II 1×", "1 of 1");
    }

    @Test
    void whatOughtNotToGoOutGoesOnlyWhenSomebodySaysSo() throws Exception {
        UUID loan = lend("Loan 1", "Village 3", 0, 80);
        String look = "/lend/loans/" + loan + "/look";
        List<String> rattles = new ArrayList<>(List.of(
                "way",
                "OUT",
                "good",
                "STRINGS",
                "good",
                "BRIDGE",
                "good",
                "FINE_TUNERS",
                "good",
                "BODY",
                "good",
                "BOW",
                "good",
                "PEGS"));
        rattles.addAll(List.of("signs", "POST_RATTLES", "on", day(0)));
        var refused = post(keeper, look, rattles.toArray(String[]::new));
        assertThat(refused).hasStatus(200);
        Document page = Jsoup.parse(refused.getResponse().getContentAsString());
        assertThat(page.select("[role=alert]").text()).contains("ought not to go out", "Something rattles inside");
        assertThat(page.select("input[value=POST_RATTLES]").hasAttr("checked")).isTrue();
        assertThat(page(keeper, "/instruments/" + violin)).doesNotContain("Looked over");
        rattles.addAll(List.of("allTheSame", "true"));
        assertThat(post(keeper, look, rattles.toArray(String[]::new))).hasStatus(302);
        assertThat(page(keeper, "/lend/loans/" + loan)).contains("Village 3 has it since");
        // It is a repairer's until one has seen it.
        assertThat(page(keeper, "/instruments/" + violin)).contains("Looked over: Something rattles inside.");
    }

    @ParameterizedTest
    @CsvSource({"20, 30", "5, 11", "10, 10", "0, 40"})
    void loansThatShareADayAreToldWithWhoseItIs(int from, int until) throws Exception {
        lend("Loan 1", "Village 3", 10, 25);
        String said = refusal(keeper, "/lend/new", loan(UUID.randomUUID(), "Loan 1", "Village 4", from, until));
        assertThat(said).contains("Village 3 has it or is promised it from");
        assertThat(database.sql("select count(*) from loan where workshop_id = ?")
                        .param(keeper.workshopId())
                        .query(Integer.class)
                        .single())
                .isOne();
    }

    @Test
    void badDaysAndNamesAreToldAtTheirPlace() throws Exception {
        assertThat(refusal(keeper, "/lend/new", loan(UUID.randomUUID(), "Nowhere", "", -1, 5)))
                .contains("No instrument of the workshop is called so.")
                .contains("at most 80 characters")
                .contains(day(0));
        assertThat(refusal(keeper, "/lend/new", loan(UUID.randomUUID(), "Loan 1", "Village 3", 5, 4)))
                .contains(day(5));
        assertThat(refusal(keeper, "/lend/new", loan(UUID.randomUUID(), "Loan 1", "Village 3", 2, 9, "out", "true")))
                .contains(day(0));
        assertThat(refusal(keeper, "/lend/shelf", "instrument", "Nowhere")).contains("is called so");
        UUID loan = lend("Loan 1", "Village 3", 1, 9);
        lend("Loan 1", "Village 4", 9, 30);
        String version = Jsoup.parse(page(keeper, "/lend/loans/" + loan))
                .select("input[name=version]")
                .attr("value");
        assertThat(refusal(keeper, "/lend/loans/" + loan + "/until", "version", version, "until", day(10)))
                .contains("Village 4 has it or is promised it");
        assertThat(refusal(keeper, "/lend/loans/" + loan + "/until", "version", version, "until", day(-3)))
                .contains(day(1));
        assertThat(post(keeper, "/lend/loans/" + loan + "/until", "version", version, "until", day(8)))
                .hasStatus(302);
        // What is promised is not taken off the shelf, nor is whoever it is promised to removed.
        assertThat(post(keeper, "/lend/shelf/" + violin + "/off")).hasStatus(302);
        assertThat(page(keeper, "/lend")).contains("Loan 1");
        assertThat(post(keeper, "/lend/loans/" + loan + "/off")).hasStatus(302);
        assertThat(get(keeper, "/lend/loans/" + loan)).hasStatus(404);
    }

    /** What is promised to the next is another thing than what is still out; and three years are three years from whichever day it goes. */
    @Test
    void itGoesOutOnADayThatIsItsOwn() throws Exception {
        lend("Loan 1", "Village 3", 0, 5);
        UUID loan = lend("Loan 1", "Village 4", 10, 1000);
        assertThat(refusal(keeper, "/lend/loans/" + loan + "/look", look(PEGS_WELL, 0)))
                .contains("Village 3 has it or is promised it")
                .doesNotContain("still out");
        assertThat(refusal(keeper, "/lend/loans/" + loan + "/look", look(PEGS_WELL, -200)))
                .contains(day(1000 - 3 * 366));
    }

    /** Addresses are typed too, and forms sent that no page has. */
    @Test
    void daysThatNoLoanReachesAndLoansThatAreOverChangeNothing() throws Exception {
        for (String day : List.of("%2B999999999-12-31", "-999999999-01-01")) {
            for (String path : List.of("/lend/turn?day=", "/lend/new?from=", "/lend/new?until=")) {
                assertThat(mvc.get()
                                .uri(URI.create(path + day))
                                .with(user(keeper))
                                .exchange())
                        .as(path + day)
                        .hasStatus(200);
            }
        }
        UUID loan = lend("Loan 1", "Village 3", 0, 9);
        goesOut(loan);
        assertThat(post(keeper, "/lend/loans/" + loan + "/off")).hasStatus(302);
        assertThat(post(keeper, "/lend/loans/" + loan + "/back")).hasStatus(302);
        String version = database.sql("select version from loan where id = ?")
                .param(loan)
                .query(String.class)
                .single();
        assertThat(refusal(keeper, "/lend/turn", "stay", loan + "/" + version, "until", day(20)))
                .contains("Somebody else changed one of them");
        assertThat(post(keeper, "/lend/loans/" + loan + "/until", "version", version, "until", day(20)))
                .hasStatus(302);
        assertThat(database.sql("select until_day from loan where id = ?")
                        .param(loan)
                        .query(LocalDate.class)
                        .single())
                .isEqualTo(today.plusDays(9));
        assertThat(post(keeper, "/lend/turn", "stay", "nonsense", "until", "never"))
                .hasStatus(200);
    }

    @Test
    void whatIsOutIsLateAfterItsDayAndNobodyElsesUntilItIsBack() throws Exception {
        UUID late = lend("Loan 1", "Village 3", -30, -4, "out", "true");
        assertThat(Jsoup.parse(page(keeper, "/lend")).select("#late").text()).isEqualTo("One is late");
        assertThat(page(keeper, "/instruments/" + violin)).contains("Not at hand today: on loan, and late");
        UUID next = lend("Loan 1", "Village 4", 0, 20);
        assertThat(refusal(keeper, "/lend/loans/" + next + "/look", look(PEGS_WELL, 0)))
                .contains("It is still out with Village 3");
        assertThat(post(keeper, "/lend/loans/" + late + "/back")).hasStatus(302);
        assertThat(page(keeper, "/lend/loans/" + late)).contains("It came back 4 days late", "Nobody looked");
        goesOut(next);
        assertThat(page(keeper, "/lend")).doesNotContain("id=\"late\"");
    }

    @Test
    void whoBorrowedIsRemovedAndTheLoanStays() throws Exception {
        UUID loan = lend("Loan 1", "Village 3", 0, 20);
        Element link = Jsoup.parse(page(keeper, "/lend/borrowers")).selectFirst("li a");
        String borrower = link.attr("href");
        assertThat(post(keeper, borrower, "name", "Village 3", "reached", "by the ferry", "version", "0"))
                .hasStatus(302);
        assertThat(post(keeper, borrower, "name", "Village 33", "reached", "", "version", "0"))
                .hasStatus(302);
        assertThat(page(keeper, borrower)).contains("by the ferry").doesNotContain("Village 33");
        goesOut(loan);
        assertThat(post(keeper, borrower + "/remove")).hasStatus(302);
        assertThat(page(keeper, borrower)).contains("Village 3");
        assertThat(post(keeper, "/lend/loans/" + loan + "/back")).hasStatus(302);
        assertThat(post(keeper, borrower + "/remove")).hasStatus(302);
        assertThat(get(keeper, borrower)).hasStatus(404);
        assertThat(page(keeper, "/lend/loans/" + loan))
                .contains("somebody who was removed had it")
                .doesNotContain("Village 3");
        assertThat(page(keeper, "/lend/loans/" + loan + "/slip")).doesNotContain("Village 3");
    }

    /** One page for a whole shelf: what comes back, what goes out, what stays, and how long it is at home. */
    @Test
    void aTermTurnsOnOnePage() throws Exception {
        for (int i = 2; i <= 4; i++) {
            violin(keeper, "Loan " + i);
        }
        lend("Loan 1", "Village 1", -60, 5, "out", "true");
        lend("Loan 2", "Village 2", -60, 5, "out", "true");
        lend("Loan 3", "Village 3", -60, 90, "out", "true");
        lend("Loan 1", "Village 4", 6, 100);
        assertThat(post(keeper, "/lend/shelf", "instrument", "Loan 4")).hasStatus(302);
        Document turn = Jsoup.parse(page(keeper, "/lend/turn"));
        assertThat(turn.select("h2").eachText())
                .containsExactly(
                        "2 come back", "One goes out", "One stays out", "One is at home and promised to nobody");
        assertThat(turn.text())
                .contains("then Village 4 from")
                .contains("a day at home")
                .contains("due by then, and new strings want");
        List<String> boxes = turn.select("input[name=stay]").eachAttr("value");
        assertThat(boxes).hasSize(2);
        assertThat(refusal(keeper, "/lend/turn", "until", day(60))).contains("Tick whose it stays.");
        // One of the two is promised to somebody else: neither stays.
        assertThat(refusal(keeper, "/lend/turn", "until", day(60), "stay", boxes.get(0), "stay", boxes.get(1)))
                .contains("Village 4 has it or is promised it");
        assertThat(Jsoup.parse(page(keeper, "/lend/turn")).select("h2").text()).contains("2 come back");
        assertThat(post(keeper, "/lend/turn", "day", day(5), "until", day(60), "stay", boxes.get(1)))
                .hasStatus(302);
        assertThat(Jsoup.parse(page(keeper, "/lend/turn?day=" + day(5)))
                        .select("h2")
                        .text())
                .contains("One comes back", "2 stay out");
    }

    /** What is long comes in parts, and over all of them everything once; on paper all of it. Nothing that was ticked is lost. */
    @Test
    void aLongTurnComesInParts() throws Exception {
        List<String> names = new ArrayList<>();
        for (int i = 10; i < 55; i++) {
            String name = "Shelf " + i;
            names.add(name);
            violin(keeper, name);
            lend(name, "Village " + i, -60, 5, "out", "true");
        }
        List<String> atHome = new ArrayList<>();
        for (int i = 10; i < 35; i++) {
            String name = "Home " + i;
            atHome.add(name);
            violin(keeper, name);
            assertThat(post(keeper, "/lend/shelf", "instrument", name)).hasStatus(302);
        }
        String turn = "/lend/turn?day=" + day(5);
        Document first = Jsoup.parse(page(keeper, turn));
        assertThat(first.select("h2").eachText())
                .containsExactly("45 come back", "25 are at home and promised to nobody");
        assertThat(first.text())
                .contains("Show more, 25 left")
                .contains("Show more, 5 left")
                .contains("All 70 at once");
        List<String> all = new ArrayList<>();
        for (String part : List.of(turn, turn + "&part=COMES_BACK&from=20", turn + "&part=COMES_BACK&from=40")) {
            all.addAll(Jsoup.parse(page(keeper, part)).select(".turn-line a").eachText());
        }
        assertThat(all).isEqualTo(names);
        Document more = Jsoup.parse(page(keeper, turn + "&part=HOME&from=20"));
        assertThat(more.select(".turn-line")).isEmpty();
        assertThat(more.text()).contains(atHome.get(20), "All of the turn").doesNotContain(atHome.get(19));
        Document whole = Jsoup.parse(page(keeper, turn + "&whole=true"));
        assertThat(whole.select(".turn-line a").eachText()).isEqualTo(names);
        assertThat(whole.text()).contains(atHome).doesNotContain("Show more");

        String last = whole.select("input[name=stay]").last().val();
        MvcTestResult refused = post(keeper, turn, "until", day(-3), "stay", last);
        assertThat(Jsoup.parse(refused.getResponse().getContentAsString())
                        .select("input[name=stay][checked]")
                        .eachAttr("value"))
                .containsExactly(last);
    }

    /** Eight fingers on one button, and two that lend the same instrument at one moment. */
    @Test
    void whatIsPressedTwiceAtOneMomentIsDoneOnce() throws Exception {
        UUID press = UUID.randomUUID();
        assertThat(atOnce(keeper, "/lend/new", loan(press, "Loan 1", "Village 3", 0, 9)))
                .containsOnly(302);
        assertThat(atOnce(keeper, "/lend/loans/" + press + "/look", look(PEGS_WELL, 0)))
                .containsOnly(302);
        assertThat(database.sql("select count(*) from borrower where workshop_id = ?")
                        .param(keeper.workshopId())
                        .query(Integer.class)
                        .single())
                .isOne();
        assertThat(post(keeper, "/lend/loans/" + press + "/back")).hasStatus(302);
        ExecutorService two = Executors.newFixedThreadPool(2);
        try {
            List<Callable<Integer>> others = Stream.of("Village 5", "Village 6")
                    .<Callable<Integer>>map(name ->
                            () -> post(keeper, "/lend/new", loan(UUID.randomUUID(), "Loan 1", name, 1, 9))
                                    .getResponse()
                                    .getStatus())
                    .toList();
            List<Integer> answers = new ArrayList<>();
            for (Future<Integer> answer : two.invokeAll(others)) {
                answers.add(answer.get());
            }
            assertThat(answers).containsExactlyInAnyOrder(200, 302);
        } finally {
            two.shutdown();
        }
    }

    /** What is out is not planned for at the bench before it is back. */
    @Test
    void theBenchWaitsForWhatIsOut() throws Exception {
        assertThat(post(
                        keeper,
                        "/week/hours",
                        "person",
                        "Ann",
                        "monday",
                        "9-11",
                        "tuesday",
                        "9-11",
                        "wednesday",
                        "9-11",
                        "thursday",
                        "9-11",
                        "friday",
                        "9-11",
                        "saturday",
                        "9-11",
                        "sunday",
                        "9-11"))
                .hasStatus(302);
        lend("Loan 1", "Village 3", 0, 6, "out", "true");
        UUID wish = UUID.randomUUID();
        assertThat(post(
                        keeper,
                        "/week/ask",
                        "press",
                        wish.toString(),
                        "instrument",
                        "Loan 1",
                        "kind",
                        "OTHER",
                        "minutes",
                        "30",
                        "note",
                        "new cord"))
                .hasStatus(302);
        assertThat(refusal(keeper, "/week/pin", "job", "wish-" + wish, "day", day(3), "person", "Ann"))
                .contains("it is not at hand");
        assertThat(post(keeper, "/week/pin", "job", "wish-" + wish, "day", day(6), "person", "Ann"))
                .hasStatus(302);
    }
}
