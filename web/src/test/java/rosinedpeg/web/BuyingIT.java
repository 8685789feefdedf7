package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;

/** Buying, in a workshop that begins with nothing: what is missing, an order on its way, and what a sum allows. */
class BuyingIT extends InRequests {

    @Autowired
    Instruments instruments;

    @Autowired
    Drawer drawer;

    private SignedIn keeper;
    private UUID kind;

    @BeforeEach
    void begin() throws Exception {
        keeper = stranger();
        assertThat(page(keeper, "/buying")).contains("Nothing to buy");
        enterKind(keeper, "II");
        kind = kind(keeper, "II");
        database.sql("update string_kind set price = 20, currency = 'EUR' where id = ?")
                .param(kind)
                .update();
        violin("Fiddle", 700);
    }

    private void violin(String name, int daysAgo) {
        UUID id = violin(keeper, name);
        CurrentWorkshop.in(
                keeper,
                () -> instruments.fit(
                        id, Position.II, kind, Instant.now().minus(Duration.ofDays(daysAgo)), Before.NOTHING, false));
    }

    private int lying() {
        return CurrentWorkshop.in(keeper, () -> drawer.fresh().getOrDefault(kind, 0));
    }

    private UUID write(int strings) {
        UUID press = UUID.randomUUID();
        String seen = seen();
        for (int twice = 0; twice < 2; twice++) {
            assertThat(post(
                            keeper,
                            "/buying",
                            "many[" + kind + "]",
                            String.valueOf(strings),
                            "press",
                            press.toString(),
                            "seen",
                            seen))
                    .hasStatus(302)
                    .redirectedUrl()
                    .isEqualTo("/buying/" + press);
        }
        assertThat(database.sql("select count(*) from purchase_line where purchase_id = ?")
                        .param(press)
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        return press;
    }

    private String seen() {
        return database.sql("select count(*)::text from purchase where workshop_id = ?")
                .param(keeper.workshopId())
                .query(String.class)
                .single();
    }

    /** Two who see the same strings missing and write an order at one moment: one of them is asked to look once more. */
    @Test
    void nothingIsOrderedTwiceForOneNeedByTwoPeople() throws Exception {
        String seen = seen();
        ExecutorService two = Executors.newFixedThreadPool(2);
        try {
            Callable<MvcTestResult> orders = () -> post(
                    keeper,
                    "/buying",
                    "many[" + kind + "]",
                    "3",
                    "press",
                    UUID.randomUUID().toString(),
                    "seen",
                    seen);
            List<Integer> answers = new ArrayList<>();
            for (var done : two.invokeAll(List.of(orders, orders))) {
                answers.add(done.get().getResponse().getStatus());
            }
            assertThat(answers).containsExactlyInAnyOrder(302, 200);
        } finally {
            two.shutdown();
        }
        assertThat(seen()).isEqualTo("1");
    }

    private String waiting(String table) {
        MvcTestResult sent = send(keeper, "/buying/import", table);
        assertThat(sent).hasStatus(302);
        return sent.getResponse().getRedirectedUrl();
    }

    /** As an order is saved it is taken in again; sent twice it is written once; a row that is wrong keeps all of it out. */
    @Test
    void anOrderComesFromATable() throws Exception {
        String heading = "strings,maker,line,string,price,currency\r\n";
        String wrong = waiting(heading + "2,Harrow,Tarn,II,,\r\n0,Harrow,Tarn,II,,\r\n1,Harrow,Torn,II,x,\r\n");
        assertThat(page(keeper, wrong))
                .contains("2 strings to order", "2 rows cannot be taken", "No kind of string is called so", "1 to 997")
                .doesNotContain("Write the order");
        assertThat(post(keeper, wrong, "seen", seen())).hasRedirectedUrl(wrong);
        assertThat(seen()).isEqualTo("0");

        String right = waiting(heading + "2,harrow,TARN,II,19.50,eur\r\n1,Harrow,Tarn,II,,\r\n");
        assertThat(page(keeper, right)).contains("3 strings to order", "as it is known here");
        assertThat(post(keeper, right, "seen", "7")).hasRedirectedUrl(right);
        String order = "/buying/" + right.substring(right.lastIndexOf('/') + 1);
        for (int twice = 0; twice < 2; twice++) {
            assertThat(post(keeper, right, "seen", "0")).hasRedirectedUrl(order);
        }
        assertThat(seen()).isEqualTo("1");
        String saved = page(keeper, order + "/order.csv");
        assertThat(saved).contains("3,Harrow,Tarn,violin,4/4,II,A4,ball,20.00,EUR,0");
        assertThat(page(keeper, waiting(saved))).contains("3 strings to order", "20.00 EUR");
        assertThat(send(keeper, "/buying/import", "maker,line\r\nHarrow,Tarn\r\n"))
                .bodyText()
                .contains("strings, string");
    }

    private String version(UUID order) {
        return database.sql("select version::text from purchase where id = ?")
                .param(order)
                .query(String.class)
                .single();
    }

    private MvcTestResult arrive(UUID order, String version, int came, UUID press) {
        return post(
                keeper,
                "/buying/" + order + "/in",
                "came[1]",
                String.valueOf(came),
                "place",
                "top shelf",
                "version",
                version,
                "press",
                press.toString());
    }

    @Test
    void whatIsMissingIsOrderedOnceAndLiesInTheDrawerWhenItIsIn() throws Exception {
        assertThat(page(keeper, "/buying"))
                .contains("3 strings to buy")
                .contains("Fiddle")
                .contains("due now")
                .contains("20.00 EUR");
        UUID order = write(3);
        assertThat(page(keeper, "/buying")).contains("Nothing to buy").contains("not sent");
        assertThat(page(keeper, "/buying/" + order))
                .contains("3 × Harrow Tarn, Violin 4/4, II A")
                .contains("60.00 EUR");
        assertThat(post(keeper, "/buying/" + order + "/sent", "version", version(order)))
                .hasStatus(302);
        assertThat(page(keeper, "/buying")).contains("on order, comes too late");

        String seen = version(order);
        UUID press = UUID.randomUUID();
        assertThat(arrive(order, seen, 4, press)).hasStatusOk().bodyText().contains("0 to 3");
        assertThat(arrive(order, seen, 2, press)).hasStatus(302);
        assertThat(arrive(order, seen, 2, press)).hasStatus(302);
        assertThat(lying()).isEqualTo(2);
        assertThat(page(keeper, "/buying/" + order)).contains("partly in").contains("value=\"1\"");
        assertThat(post(keeper, "/buying/" + order + "/given-up", "version", seen))
                .as("somebody else has laid some in since")
                .hasStatus(302);
        assertThat(page(keeper, "/buying/" + order)).contains("partly in");
        assertThat(post(keeper, "/buying/" + order + "/given-up", "version", version(order)))
                .hasStatus(302);
        assertThat(page(keeper, "/buying/" + order)).contains("1 not coming");
        assertThat(page(keeper, "/buying")).contains("One string to buy").contains("Came in");

        assertThat(mvc.get()
                        .uri("/buying/" + order + "/order.csv")
                        .with(user(keeper))
                        .exchange())
                .bodyText()
                .contains("3,Harrow,Tarn,violin,4/4,II,A4,ball,20.00,EUR,2");
        byte[] sheet = mvc.get()
                .uri("/buying/" + order + "/order.pdf")
                .with(user(keeper))
                .exchange()
                .getResponse()
                .getContentAsByteArray();
        try (var document = Loader.loadPDF(sheet)) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Harrow Tarn, Violin 4/4, II A")
                    .contains("60.00 EUR");
        }
        assertThat(mvc.get().uri("/buying/" + order).with(user(stranger()))).hasStatus(404);
    }

    /** Two who unpack the same parcel at one moment lay it in once. */
    @Test
    void aParcelThatTwoUnpackIsLaidInOnce() throws Exception {
        UUID order = write(3);
        String seen = version(order);
        ExecutorService two = Executors.newFixedThreadPool(2);
        try {
            Callable<MvcTestResult> unpacks = () -> arrive(order, seen, 3, UUID.randomUUID());
            for (var done : two.invokeAll(List.of(unpacks, unpacks))) {
                assertThat(done.get()).hasStatus(302);
            }
        } finally {
            two.shutdown();
        }
        // Whoever looks at it from before is told so.
        assertThat(arrive(order, seen, 3, UUID.randomUUID())).hasStatus(302);
        assertThat(lying()).isEqualTo(3);
    }

    @Test
    void anOrderIsThrownAwayOnlyWhileItWasNotSent() throws Exception {
        UUID sent = write(2);
        assertThat(post(keeper, "/buying/" + sent + "/sent", "version", version(sent)))
                .hasStatus(302);
        assertThat(post(keeper, "/buying/" + sent + "/away", "version", version(sent)))
                .hasStatus(302);
        assertThat(page(keeper, "/buying/" + sent)).contains("sent");
        UUID written = write(1);
        assertThat(post(keeper, "/buying/" + written + "/away", "version", version(written)))
                .hasStatus(302);
        assertThat(mvc.get().uri("/buying/" + written).with(user(keeper))).hasStatus(404);
    }

    @Test
    void whatCannotBeOrderedGetsASentenceAndNothingTypedIsLost() {
        assertThat(post(
                        keeper,
                        "/buying",
                        "many[" + kind + "]",
                        "1000",
                        "press",
                        UUID.randomUUID().toString()))
                .hasStatusOk()
                .bodyText()
                .contains("0 to 999")
                .contains("value=\"1000\"");
        assertThat(post(
                        keeper,
                        "/buying",
                        "many[" + kind + "]",
                        "",
                        "press",
                        UUID.randomUUID().toString()))
                .hasStatusOk()
                .bodyText()
                .contains("Say of at least one kind how many to buy.");
    }

    /** How long a supplier takes says by when an order has to be sent. */
    @Test
    void aSupplierIsSaidForAMaker() throws Exception {
        assertThat(post(keeper, "/buying/suppliers", "name", "Ferry", "leadDays", "400", "version", "0"))
                .hasStatusOk()
                .bodyText()
                .contains("0 to 365")
                .contains("value=\"400\"");
        assertThat(post(keeper, "/buying/suppliers", "name", "Ferry", "leadDays", "3", "version", "0"))
                .hasStatus(302);
        assertThat(post(keeper, "/buying/suppliers", "name", "ferry", "leadDays", "3", "version", "0"))
                .hasStatusOk()
                .bodyText()
                .contains("There is one of that name.");
        UUID ferry = database.sql("select id from supplier where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        assertThat(post(keeper, "/buying/makers", "maker", "Harrow", "supplier", ferry.toString()))
                .hasStatus(302);
        assertThat(page(keeper, "/buying"))
                .contains("Ferry")
                .contains("comes in 3 days")
                .contains("late: sent today");
        assertThat(post(keeper, "/buying/suppliers/" + ferry, "name", "Ferry Lane", "leadDays", "0", "version", "0"))
                .hasStatus(302);
        assertThat(page(keeper, "/buying")).contains("Ferry Lane").contains("comes the same day");
    }

    @Test
    void aSumAllowsWhatFitsIntoIt() throws Exception {
        violin("Other", 900);
        assertThat(page(keeper, "/buying/budget?price=30&currency=EUR"))
                .contains("1 of 2 changes for 20.00 EUR, of 30.00 EUR.")
                .contains("No other choice within this sum counts more.")
                .contains("Stays undone");
        assertThat(page(keeper, "/buying/budget?price=30&currency=EUR&called=fid"))
                .contains("1 of 1 changes")
                .doesNotContain("Other</a>");
        assertThat(page(keeper, "/buying/budget?price=30&currency=CHF")).contains("a price is missing");
        assertThat(page(keeper, "/buying/budget?price=much&currency=EUR")).contains("value=\"much\"");
    }

    /** What is long comes in parts, and over all of them everything once. */
    @Test
    void everyStringThatIsDueIsListedOnceHoweverMany() throws Exception {
        Set<String> names = new TreeSet<>(Set.of("Fiddle"));
        for (int i = 10; i < 54; i++) {
            violin("Shelf " + i, 700 + i);
            names.add("Shelf " + i);
        }
        assertThat(page(keeper, "/buying")).contains("All 45");
        assertThat(listed("/buying")).hasSize(5);
        String due = "/buying/due?kind=" + kind;
        List<String> all = new ArrayList<>(listed(due));
        assertThat(page(keeper, due))
                .contains("45 strings fall due within 4 weeks")
                .contains("Show more, 25 left");
        all.addAll(listed(due + "&from=20"));
        all.addAll(listed(due + "&from=40"));
        assertThat(all).hasSize(45).containsExactlyInAnyOrderElementsOf(names);

        String sum = "/buying/budget?price=830&currency=EUR";
        List<String> within = new ArrayList<>(listed(sum));
        assertThat(page(keeper, sum)).contains("41 of 45 changes").contains("part=DONE&amp;from=40");
        within.addAll(listed(sum + "&part=DONE&from=40"));
        assertThat(within).hasSize(45).containsExactlyInAnyOrderElementsOf(names);
    }

    private List<String> listed(String address) throws Exception {
        return Pattern.compile("<a href=\"/instruments/[0-9a-f-]*(?:/strings/II)?\">([^<]*)</a>")
                .matcher(page(keeper, address))
                .results()
                .map(found -> found.group(1))
                .toList();
    }
}
