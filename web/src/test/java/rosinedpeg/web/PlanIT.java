package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** What a plan remembers of the person who makes it, and what it leaves behind when the run is over. */
class PlanIT extends InRequests {

    /** A technician of the workshop who has no habits yet. */
    private SignedIn newcomer(String signIn) {
        accounts.add(account("bench").workshopId(), signIn, "Newcomer", Role.TECHNICIAN, PASSWORD);
        return account(signIn);
    }

    @Test
    void theWaySomebodyWorksIsRememberedForTheirNextPlanOfThatFamily() throws Exception {
        SignedIn newcomer = newcomer("habits");
        UUID viola = instrument("Pit 6 viola");
        String plan = "/instruments/" + viola + "/plan";
        assertThat(page(newcomer, plan)).containsPattern("value=\"COMPOUND\" checked");
        change(newcomer, viola, "treatment", "SOAP_AND_CHALK", "wall", "WOUND_TO_WALL");
        assertThat(page(newcomer, plan))
                .containsPattern("value=\"SOAP_AND_CHALK\" checked")
                .containsPattern("value=\"WOUND_TO_WALL\" checked");
        assertThat(page(newcomer("habits-of-another"), plan)).containsPattern("value=\"COMPOUND\" checked");
        assertThat(page(newcomer, "/instruments/" + instrument("Pit 2 violin") + "/plan"))
                .as("another family")
                .containsPattern("value=\"COMPOUND\" checked");

        wind(newcomer, viola, "GEARED");
        assertThat(page(newcomer, plan)).doesNotContain("SOAP_AND_CHALK", "WOUND_TO_WALL");
        change(newcomer, viola, "lock", "STRAIGHT_TO_WALL");
        wind(newcomer, viola, "TAPERED_WOOD");
        assertThat(page(newcomer, plan))
                .as("what gears leave no choice of is not forgotten")
                .containsPattern("value=\"SOAP_AND_CHALK\" checked")
                .containsPattern("value=\"WOUND_TO_WALL\" checked")
                .containsPattern("value=\"STRAIGHT_TO_WALL\" checked");
    }

    private void wind(SignedIn who, UUID instrument, String pegs) {
        String version = database.sql("select version from instrument where id = ?")
                .param(instrument)
                .query(String.class)
                .single();
        String[] sides = {"version", version, "pegKind", pegs, "knobs", "TREBLE,TREBLE,BASS,BASS"};
        assertThat(post(who, "/instruments/" + instrument + "/peg-sides", sides))
                .hasStatus(302);
    }

    /** Begins to change III of an instrument by some choices, and ends it there. */
    private void change(SignedIn who, UUID instrument, String... choices) {
        List<String> fields = new ArrayList<>(List.of("strings", "III", "lookedAt", "true"));
        fields.addAll(List.of(choices));
        assertThat(post(who, "/instruments/" + instrument + "/plan", fields.toArray(String[]::new)))
                .hasStatus(302);
        UUID run = database.sql("select id from run where instrument_id = ? and outcome = 'OPEN'")
                .param(instrument)
                .query(UUID.class)
                .single();
        String[] ended = {"press", UUID.randomUUID().toString(), "seen", "0"};
        assertThat(post(who, "/bench/" + run + "/end", ended)).hasStatus(302);
    }

    /** The last of three goes on two days after the first: the day to begin is earlier than the day to change them all. */
    @Test
    void oneStringADayBeginsEarlier() throws Exception {
        SignedIn newcomer = newcomer("days");
        String plan = "/instruments/" + instrument("Pit 2 violin") + "/plan?strings=II&strings=III&strings=IV&off=";
        String atOnce = page(newcomer, plan + "ONE_AT_A_TIME");
        String days = page(newcomer, plan + "ONE_A_DAY");
        assertThat(atOnce).contains("Change by").doesNotContain("Begin by");
        assertThat(days).contains("Begin by", "one string a day in this order").doesNotContain("Change by");
        assertThat(advised(days)).hasSameSizeAs(advised(atOnce)).doesNotContainAnyElementsOf(advised(atOnce));
    }

    private static List<String> advised(String page) {
        return Jsoup.parse(page)
                .select("td:has(span:matches(needs longest|least time)) > span:first-child")
                .eachText();
    }

    @Test
    void aPlanTicksOnesOwnKitAndPrintsOnACard() throws Exception {
        SignedIn newcomer = newcomer("kit");
        String plan = "/instruments/" + instrument("Pit 2 violin") + "/plan?strings=II&strings=III";
        assertThat(page(newcomer, plan)).doesNotContain(", in my kit");
        post(newcomer, "/kit", filled(newcomer, "/kit", "/kit", "materials", "SOFT_PENCIL", "materials", "TUNER"));
        assertThat(page(newcomer, plan).split(", in my kit")).hasSize(3);
        post(newcomer, "/kit", filled(newcomer, "/kit", "/kit", "materials", "TUNER"));
        assertThat(page(newcomer, plan).split(", in my kit")).hasSize(2);
        post(newcomer, "/kit", "shown", Device.field(page(newcomer, "/kit"), "shown"));
        assertThat(page(newcomer, plan)).doesNotContain(", in my kit");
        assertThat(page(newcomer, plan.replace("/plan?", "/plan/card?")))
                .contains("Packets, in the order they go on", "Least on the post: ", "Put away and record");
        assertThat(page(newcomer, plan.replaceAll("/plan.*", "/plan/card?off=ONE_AT_A_TIME")))
                .contains("Choose at least one string.");
    }

    /** Whatever the plan, on one sheet, with every step on it, and nothing in a typeface that a printer may not have. */
    @ParameterizedTest
    @CsvSource({
        "Pit 2 violin, plan/card.pdf?strings=II, Put away and record",
        "'Pit 4 violin, five strings', plan/card.pdf?strings=I&strings=II&strings=III&strings=IV&strings=V, Bring V up to C",
        "Pit 11 bass, plan/card.pdf?strings=I&strings=II&strings=III&strings=IV&spareTip=TRIMMED_BEFORE_FITTING,"
                + " Draw the ball of I up",
        "Pit 9 cello, work/card.pdf?kind=TAILPIECE_CHANGE, Set the tail cord"
    })
    void theBenchCardIsOneSheetOfPaper(String name, String card, String step) throws Exception {
        MvcTestResult result = mvc.get()
                .uri(URI.create("/instruments/" + instrument(name) + "/" + card))
                .with(user(account("bench")))
                .exchange();
        assertThat(result).hasStatus(200).hasContentType("application/pdf");
        try (PDDocument pdf = Loader.loadPDF(result.getResponse().getContentAsByteArray())) {
            assertThat(pdf.getNumberOfPages()).isOne();
            String text = new PDFTextStripper().getText(pdf);
            assertThat(text).contains(name, step, "Glasses on");
            for (COSName font : pdf.getPage(0).getResources().getFontNames()) {
                assertThat(pdf.getPage(0).getResources().getFont(font).isEmbedded())
                        .as(font.getName())
                        .isTrue();
            }
        }
    }

    /** Whatever the school and the hand, each step has its page, and the run comes to its end with every string on. */
    @ParameterizedTest
    @CsvSource({
        "Pit 9 cello, false, ONE_A_DAY, I, II, Rest until tomorrow",
        "Pit 11 bass, false, PAIR_BY_SIDE, III, IV, 'Let IV, E, down and off the machine post'",
        "Pit 3 violin, true, ONE_AT_A_TIME, I, III, 'Let III, D, down and off the peg'",
        "Pit 11 bass, true, ONE_AT_A_TIME, I, IV, Which way does the machine of IV turn?"
    })
    void everySchoolIsLedToItsEnd(String name, boolean leftHanded, String off, String one, String other, String passes)
            throws Exception {
        SignedIn technician = account("bench");
        UUID instrument = instrument(name);
        database.sql("update instrument set left_handed = ? where id = ?")
                .params(leftHanded, instrument)
                .update();
        String plan = "/instruments/" + instrument + "/plan";
        assertThat(post(technician, plan, "strings", one, "strings", other, "off", off, "lookedAt", "true"))
                .hasStatus(302);
        String bench = "/bench/" + openRun(name);
        List<String> headings = new ArrayList<>();
        String page = page(technician, bench);
        while (page.contains("data-key=\"next\"")) {
            headings.add(heading(page));
            if (heading(page).equals("Rest until tomorrow")) {
                assertThat(page).as("nothing is off overnight").contains("post 100 %, held");
                assertThat(page(technician, "/bench")).contains(name, "Rest until tomorrow");
            }
            assertThat(headings).hasSizeLessThan(100);
            assertThat(post(
                            technician,
                            bench + "/done",
                            "press",
                            UUID.randomUUID().toString(),
                            "seen",
                            Device.field(page, "seen"),
                            "step",
                            Device.field(page, "step")))
                    .hasStatus(302);
            page = page(technician, bench);
        }
        assertThat(headings).contains(passes);
        assertThat(heading(page)).contains(one, other, "on and recorded");
    }

    private static String heading(String page) {
        Matcher heading = Pattern.compile("<h1[^>]*>([^<]*)</h1>").matcher(page);
        assertThat(heading.find()).isTrue();
        return heading.group(1);
    }

    /** A crack, a loose post: somebody has looked at it before hands are laid on, and that is on record. */
    @ParameterizedTest
    @CsvSource({"plan, strings, IV", "work, kind, GRAPHITE"})
    void whatIsForARepairerStandsInFrontOfTheWork(String page, String field, String value) throws Exception {
        SignedIn technician = account("bench");
        UUID cello = instrument("Pit 9 cello");
        String plan = "/instruments/" + cello + "/" + page;
        String seam = "Open seam at the lower treble bout";
        String much = "Two cracks beside it. ".repeat(22);
        post(technician, "/instruments/" + cello + "/notes", "text", much, "refer", "true");
        assertThat(page(technician, plan)).contains("Before anybody works on it", seam, much.trim());
        assertThat(post(technician, plan, field, value))
                .hasStatus(200)
                .bodyText()
                .contains("Look at what is written here first", "value=\"" + value + "\" checked");
        String open = "select count(*) from run where instrument_id = ? and outcome = 'OPEN'";
        assertThat(database.sql(open).param(cello).query(Long.class).single()).isZero();

        assertThat(post(technician, plan, field, value, "lookedAt", "true")).hasStatus(302);
        assertThat(page(technician, "/bench/" + openRun("Pit 9 cello"))).contains("Look the instrument over", seam);
        assertThat(page(technician, "/instruments/" + cello))
                .contains("Work was begun all the same, and this looked at before: " + seam);
        assertThat(post(technician, plan, field, value, "lookedAt", "true")).hasStatus(302);
        assertThat(page(technician, "/instruments/" + cello).split("Work was begun all the same"))
                .as("noted once")
                .hasSize(2);
    }

    /** A link that names a string starts as a plan without one does: with what lies over its peg. */
    @Test
    void aLinkToAPlanKnowsWhatLiesOverThePeg() throws Exception {
        String plan = "/instruments/" + instrument("Pit 11 bass") + "/plan";
        assertThat(page(account("bench"), plan + "?strings=IV"))
                .contains("Set III aside")
                .doesNotContain("Bring I up");
    }

    /** For a week after a string went on the bridge is looked at daily; the bench's own last look is one. */
    @Test
    void theBridgeIsAskedAfterDailyOnceAStringWentOn() throws Exception {
        UUID violin = instrument("Pit 2 violin");
        SignedIn technician = account("bench");
        assertThat(page(technician, "/instruments/" + violin)).contains("Look at the bridge today");
        post(
                technician,
                "/instruments/" + violin + "/bridge",
                "gap",
                "0.4",
                "press",
                UUID.randomUUID().toString());
        assertThat(page(technician, "/instruments/" + violin)).doesNotContain("Look at the bridge today");
    }

    @Test
    void aDeviceMayAskForFewerWords() throws Exception {
        UUID run = database.sql("select id from run where instrument_id = ?")
                .param(instrument("Pit 5 viola"))
                .query(UUID.class)
                .single();
        SignedIn technician = account("bench");
        assertThat(page(technician, "/bench/" + run)).contains("class=\"bench-how\"", "Fewer words");
        MvcTestResult chosen = post(technician, "/bench/" + run + "/wording", "wording", "SHORT");
        assertThat(chosen).hasStatus(302);
        MvcTestResult few = mvc.get()
                .uri("/bench/" + run)
                .with(user(technician))
                .cookie(chosen.getResponse().getCookie("wording"))
                .exchange();
        assertThat(few).bodyText().doesNotContain("class=\"bench-how\"").contains("All the words");
    }
}
