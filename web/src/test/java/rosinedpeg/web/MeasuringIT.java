package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import jakarta.servlet.http.Cookie;
import java.io.ByteArrayInputStream;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import javax.xml.parsers.DocumentBuilderFactory;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.w3c.dom.Document;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.web.pegs.PegLooks;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;

/** What is measured and noticed on an instrument: taken as it was meant, told where it cannot be, never lost. */
@AutoConfigureMockMvc
class MeasuringIT extends RunningApplication {

    /** Not long ago: what is older than the demonstration's latest is not on an instrument's first page. */
    private static final LocalDate DAY = LocalDate.now().minusDays(3);

    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK);

    @Autowired
    MockMvcTester mvc;

    @Autowired
    PegLooks pegLooks;

    private SignedIn technician;
    private UUID cello;

    @BeforeEach
    void signIn() {
        technician = account("bench");
        cello = instrument("Pit 9 cello");
    }

    private MvcTestResult post(String path, Map<String, String> fields, Cookie... cookies) {
        var request = mvc.post()
                .uri("/instruments/" + cello + path)
                .with(user(technician))
                .with(csrf());
        fields.forEach(request::param);
        return (cookies.length == 0 ? request : request.cookie(cookies)).exchange();
    }

    private MvcTestResult sheet(String area, Map<String, String> fields, Cookie... cookies) {
        Map<String, String> all = new HashMap<>(Map.of("on", DAY.toString()));
        all.putAll(fields);
        return post("/measure/" + area, all, cookies);
    }

    private MvcTestResult get(String path) {
        return mvc.get()
                .uri("/instruments/" + cello + path)
                .with(user(technician))
                .exchange();
    }

    private long count(String table) {
        return database.sql("select count(*) from " + table + " where instrument_id = ?")
                .param(cello)
                .query(Long.class)
                .single();
    }

    /** {@return the instruments that have a peg to treat} */
    private Set<UUID> toTreat() {
        return CurrentWorkshop.in(technician, () -> pegLooks.toTreat()).keySet();
    }

    private double latest(String quantity) {
        return database.sql("select value from measurement where instrument_id = ? and quantity = ?"
                        + " order by recorded_at desc limit 1")
                .params(cello, quantity)
                .query(Double.class)
                .single();
    }

    @ParameterizedTest
    @CsvSource({
        "3, 2026-01-05, It goes from 595 to 776 mm.",
        "about 690, 2026-01-05, That is not a number. It goes from 595 to 776 mm.",
        "NaN, 2026-01-05, That is not a number.",
        "5/16, 2026-01-05, That is not a number.",
        "690, 1823-01-05, A day from 1990-01-01 to"
    })
    void whatCannotBeComesBackAsTyped(String value, String day, String sentence) {
        long before = count("measurement");
        assertThat(sheet("BODY", Map.of("values[VIBRATING_LENGTH]", value, "on", day)))
                .hasStatus(200)
                .bodyText()
                .contains(sentence)
                .contains("value=\"" + day + "\"")
                .contains("aria-invalid=\"true\"")
                .contains("value=\"" + value + "\"");
        assertThat(count("measurement")).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource({
        "BODY, VIBRATING_LENGTH, '691,5', MM, 691.5",
        "BODY, VIBRATING_LENGTH, 27 1/4, INCH, 692.15",
        "BODY, VIBRATING_LENGTH, 27-1/4\", MM, 692.15",
        "BODY, VIBRATING_LENGTH, 690 mm, INCH, 690",
        "BRIDGE, BRIDGE_GAP, -1/16, INCH, -1.5875",
        "BODY, BACK_ANGLE, 16.5°, INCH, 16.5",
        "TAILPIECE, TAILPIECE_MASS, 80 g, MM, 80"
    })
    void lengthsAreTakenInEitherUnit(String area, String quantity, String typed, String unit, double value) {
        assertThat(sheet(area, Map.of("values[" + quantity + "]", typed), new Cookie("lengths", unit)))
                .hasStatus(302);
        assertThat(latest(quantity)).isCloseTo(value, within(1e-9));
    }

    @Test
    void inchesAreChosenOnceAndShown() {
        MvcTestResult chosen = get("/measure/BRIDGE?lengths=INCH");
        assertThat(chosen).bodyText().contains("2.6378 to 4.6063").contains("lengths=INCH\" aria-current=\"true\"");
        assertThat(chosen.getResponse().getCookie("lengths").getValue()).isEqualTo("INCH");
        assertThat(chosen.getResponse().getCookie("lengths").isHttpOnly()).isTrue();
        assertThat(sheet("BRIDGE", Map.of("values[BRIDGE_HEIGHT]", "9"), new Cookie("lengths", "INCH")))
                .bodyText()
                .contains("It goes from 2.6378 to 4.6063 in.");
    }

    /** What is right on a sheet is recorded although something else on it is wrong; that comes back. */
    @Test
    void aSheetIsTakenAsFarAsItGoes() {
        long before = count("measurement");
        assertThat(sheet(
                        "PEGBOX",
                        Map.of(
                                "values[SHAFT_DIAMETER]",
                                "12.8",
                                "values[NUT_TO_PEG_I]",
                                "70",
                                "values[NUT_TO_PEG_II]",
                                "x")))
                .hasStatus(200)
                .bodyText()
                .contains("The others are recorded: 2.", "value=\"x\"")
                .doesNotContain("value=\"12.8\"");
        assertThat(count("measurement")).isEqualTo(before + 2);
        assertThat(sheet("PEGBOX", Map.of())).hasStatus(302);
        assertThat(count("measurement")).isEqualTo(before + 2);
    }

    @ParameterizedTest
    @CsvSource({
        "NUT, NUT_SPACING, 35, BRIDGE, BRIDGE_SPACING, 34, as wide at the nut as at the bridge",
        "PEGBOX, NUT_TO_PEG_II, 160, PEGBOX, PEGBOX_LENGTH, 158, A peg would lie beyond the pegbox"
    })
    void figuresThatCannotBothBeTrueAreToldAtTheField(
            String area,
            String quantity,
            String value,
            String otherArea,
            String other,
            String otherValue,
            String told) {
        sheet(area, Map.of("values[" + quantity + "]", value));
        long before = count("measurement");
        assertThat(sheet(otherArea, Map.of("values[" + other + "]", otherValue)))
                .hasStatus(200)
                .bodyText()
                .contains(told, "value=\"" + otherValue + "\"");
        assertThat(count("measurement")).isEqualTo(before);
    }

    @Test
    void aSheetThatIsSentTwiceIsRecordedOnceAndEveryMeasurementIsKept() {
        Map<String, String> first =
                Map.of("values[FOOT_DEPTH]", "10.5", "press", UUID.randomUUID().toString());
        long before = count("measurement");
        assertThat(sheet("BRIDGE", first)).hasStatus(302);
        assertThat(sheet("BRIDGE", first)).hasStatus(302);
        assertThat(count("measurement")).isEqualTo(before + 1);
        assertThat(sheet("BRIDGE", Map.of("values[FOOT_DEPTH]", "10.8"))).hasStatus(302);
        assertThat(get("/measure/BRIDGE"))
                .bodyText()
                .contains("10.8 mm</span>", "10.5 · " + DAY.format(WRITTEN) + ", Bench");
        assertThat(get("")).bodyText().contains("Measured by Bench under the stage:");
    }

    /** A loose post: what the usual limits allow is refused once it wants more. */
    @Test
    void howMuchThePostWantsCanBeSetHigherNeverLower() {
        String bothTreble = "/plan?strings=I&strings=II&off=TOGETHER&begin=TOP_DOWN";
        assertThat(get(bothTreble)).bodyText().contains("thin").doesNotContain("This plan is refused");
        assertThat(get("/post")).bodyText().contains("I and II", "24 %", "default");
        for (String[] wrong : new String[][] {
            {"50", "30", "10", "It goes from 15 to 85 %."},
            {"50", "60", "15", "It has to be less than 50 %."},
            {"fifty", "30", "15", "That is not a number. It goes from 50 to 95 %."}
        }) {
            assertThat(post("/post", Map.of("version", "0", "held", wrong[0], "light", wrong[1], "thin", wrong[2])))
                    .bodyText()
                    .contains(wrong[3], "value=\"" + wrong[0] + "\"", "value=\"" + wrong[1] + "\"");
        }
        assertThat(post("/post", Map.of("version", "0", "held", "60", "light", "45", "thin", "30")))
                .hasStatus(302);
        assertThat(get("/post")).bodyText().contains("set for this instrument");
        assertThat(get(bothTreble)).bodyText().contains("refused");
    }

    /** A page that was made before somebody else changed the instrument overwrites nothing, and nothing typed on it is lost. */
    @Test
    void aChangeMadeMeanwhileIsShownAndNotOverwritten() {
        assertThat(post("/guard", Map.of("version", "0", "tube", "true"))).hasStatus(302);
        assertThat(post("/peg-wood", Map.of("version", "0", "wood", "EBONY")))
                .hasStatus(302)
                .flash()
                .containsEntry("notice", "changed.meanwhile")
                .containsEntry("noticeOf", "ebony");
        assertThat(post("/tail-ends", Map.of("version", "0", "tailEnds", "SLOT,SLOT,SLOT,FORK_TUNER")))
                .flash()
                .extractingByKey("noticeOf")
                .asString()
                .contains("IV a fine tuner that takes a ball");
        assertThat(get("/pegs")).bodyText().doesNotContain("polished ebony");
        assertThat(post("/post", Map.of("version", "0", "held", "60", "light", "45", "thin", "30")))
                .bodyText()
                .contains("it now stands at 50, 30 and 15 %", "value=\"45\"", "name=\"version\" value=\"1\"");
        assertThat(post("/post", Map.of("version", "1", "held", "60", "light", "45", "thin", "30")))
                .hasStatus(302);
    }

    @Test
    void nobodyMeasuresOrReadsAnothersInstrument() {
        SignedIn stranger = stranger();
        for (String path :
                new String[] {"/measure/BODY", "/pegs", "/tailpiece", "/fit", "/referral", "/post", "/bridge-front.svg"
                }) {
            assertThat(mvc.get().uri("/instruments/" + cello + path).with(user(stranger)))
                    .as(path)
                    .hasStatus(404);
        }
        assertThat(mvc.post()
                        .uri("/instruments/" + cello + "/pegs/I")
                        .param("on", DAY.toString())
                        .with(user(stranger))
                        .with(csrf()))
                .hasStatus(404);
    }

    @Test
    void thePegsWoodTellsBeforeItSlipsAndForeseesItsCollar() {
        assertThat(post("/peg-wood", Map.of("version", "0", "wood", "PLASTIC"))).hasStatus(400);
        assertThat(post("/peg-wood", Map.of("version", "0", "wood", "EBONY"))).hasStatus(302);
        assertThat(post("/pegs/II", Map.of("signs", "BOTH_BANDS_SHINY", "collar", "17", "on", DAY.toString())))
                .hasStatus(302);
        assertThat(get("/pegs")).bodyText().contains("polished ebony", "Usual for its wood: 0.2 mm a year");
        assertThat(get("")).bodyText().contains("Peg II: ebony bands polished");
        assertThat(post("/peg-wood", Map.of("version", "1", "wood", ""))).hasStatus(302);
        assertThat(get("/pegs")).bodyText().contains("fits").doesNotContain("polished ebony", "Usual for its wood");
    }

    /**
     * They have no bands and no taper, what was seen of the pegs before them is not seen of them, and what goes on tapered pegs is
     * refused even from a page made before they were put in.
     */
    @ParameterizedTest
    @CsvSource({
        "GEARED, , oil on its gears, Half turns of the knob",
        "MACHINE_HEAD, oil on its gears, both bands, Turns of the key"
    })
    void gearsAreLookedAtAsGears(PegKind pegs, @Nullable String offered, String notOffered, String turned) {
        assertThat(post("/pegs/II", Map.of("signs", "ONE_BAND_SHINY", "on", DAY.toString())))
                .hasStatus(302);
        assertThat(post("/pegs/III", Map.of("signs", "CREEPS_BACK", "on", DAY.toString())))
                .hasStatus(302);
        assertThat(toTreat()).contains(cello);
        assertThat(get("/work?kind=PEG_SERVICE")).bodyText().contains("Draw the peg of III");
        assertThat(post(
                        "/peg-sides",
                        Map.of("version", "0", "pegKind", pegs.name(), "knobs", "TREBLE,TREBLE,BASS,BASS")))
                .hasStatus(302);
        assertThat(toTreat()).doesNotContain(cello);
        assertThat(get("/pegs"))
                .bodyText()
                .contains("Nobody has looked at it yet", "On the pegs that were there before")
                .doesNotContain("tapers differently", "Last looked at", "checked=");
        assertThat(get("/work?kind=PEG_SERVICE")).bodyText().contains("Choose at least one peg");
        assertThat(get("/plan?strings=III")).bodyText().doesNotContain("value=\"SLIPS\" selected");
        assertThat(get("/pegbox?wall=WOUND_TO_WALL"))
                .bodyText()
                .contains(turned)
                .doesNotContain("At the pegbox wall");
        assertThat(post("/pegs/II", Map.of("signs", "JERKS", "treatment", "PEG_COMPOUND", "on", DAY.toString())))
                .bodyText()
                .contains("That does not go on such pegs");
        assertThat(post("/pegs/II", Map.of("signs", "JERKS", "treatment", "CLEANED", "on", DAY.toString())))
                .hasStatus(302);
        assertThat(get("/pegs"))
                .bodyText()
                .contains(
                        "Clean the gears, and oil a machine, only as their maker says", offered == null ? "" : offered)
                .doesNotContain("both bands shiny", "compound for sticking", notOffered);
        assertThat(get("")).bodyText().contains("Gears of II turn heavily");
        assertThat(get("/work?kind=PEG_SERVICE&pegs[II]=STICKS"))
                .bodyText()
                .contains("Look at the gears of II")
                .doesNotContain("Let II, D, down");
    }

    @Test
    void aLookAtAPegIsJudgedLoggedAndPlannedWith() {
        assertThat(post(
                        "/pegs/III",
                        Map.of("signs", "CREEPS_BACK", "treatment", "LUBRICATING_PASTE", "on", DAY.toString())))
                .hasStatus(200)
                .bodyText()
                .contains("Nothing that lubricates goes on a peg that creeps back.");
        assertThat(post("/pegs/III", Map.of("collar", "900", "text", "x".repeat(400), "on", "soon")))
                .hasStatus(200)
                .bodyText()
                .contains(
                        "It goes from 0 to 54 mm.",
                        "at most 300 characters",
                        "A day from 1990-01-01",
                        "value=\"soon\"");
        assertThat(count("peg_look")).isZero();

        Map<String, String> look = Map.of(
                "signs", "CREEPS_BACK",
                "treatment", "GRIPPING_DROPS",
                "collar", "15.5",
                "text", "holds at pitch",
                "on", DAY.toString(),
                "press", UUID.randomUUID().toString());
        assertThat(post("/pegs/III", look)).hasStatus(302);
        assertThat(post("/pegs/III", look)).hasStatus(302);
        assertThat(count("peg_look")).isEqualTo(1);
        assertThat(latest("COLLAR_TO_WALL")).isEqualTo(15.5);
        assertThat(get("/pegs")).bodyText().contains("slips", "gripping drops", "holds at pitch");
        assertThat(get("")).bodyText().contains("Peg III slips", "Peg III looked at by Bench under the stage");
        assertThat(get("/plan?strings=III&pegs[III]=SLIPS")).bodyText().containsPattern("value=\"SLIPS\" selected");
        assertThat(get("/work?kind=PEG_SERVICE")).bodyText().contains("Choose at least one peg");
        assertThat(post(
                        "/pegs/II",
                        Map.of("signs", "JERKS", "on", DAY.plusDays(1).toString())))
                .hasStatus(302);
        assertThat(get("/work?kind=PEG_SERVICE"))
                .bodyText()
                .as("what was not treated then waits for it")
                .contains("Draw the peg of II, clean and treat it")
                .doesNotContain("Draw the peg of III");
        assertThat(get("/work?kind=PEG_SERVICE&pegs[II]=")).bodyText().contains("Choose at least one peg");
        assertThat(get("/pegs/V")).hasStatus(405);
        assertThat(post("/pegs/V", Map.of("on", DAY.toString()))).hasStatus(404);
    }

    @Test
    void whatTheStringsHangOnAndAreWoundOnCanBeChanged() {
        UUID bass = instrument("Pit 11 bass");
        var hang = mvc.post()
                .uri("/instruments/" + bass + "/tail-ends")
                .with(user(technician))
                .with(csrf());
        assertThat(hang.param("version", "0")
                        .param("tailEnds", "FORK_TUNER", "HOOK_TUNER", "SLOT", "SLOT")
                        .param("tunersBuiltIn", "true"))
                .hasStatus(302);
        assertThat(mvc.get().uri("/instruments/" + bass).with(user(technician)))
                .bodyText()
                .contains("Wrong end")
                .contains("Stop");
        var peg = mvc.post()
                .uri("/instruments/" + bass + "/peg-sides")
                .with(user(technician))
                .with(csrf());
        assertThat(peg.param("version", "1")
                        .param("pegKind", "TAPERED_WOOD")
                        .param("knobs", "BASS", "TREBLE", "BASS", "TREBLE"))
                .hasStatus(302);
        assertThat(mvc.get().uri("/instruments/" + bass + "/measure/PEGBOX").with(user(technician)))
                .bodyText()
                .contains("Collar of peg IV")
                .doesNotContain("Turns of the key or knob");
        database.sql("update instrument set tail_ends = array['SLOT','SLOT','SLOT','SLOT'], peg_kind = 'MACHINE_HEAD',"
                        + " peg_sides = null, tuners_built_in = false where id = ?")
                .param(bass)
                .update();
    }

    @ParameterizedTest
    @ValueSource(strings = {"pegbox", "bridge-side", "bridge-front", "bridge-grooves", "tailpiece", "fit"})
    void everyDrawingCanBeSaved(String name) throws Exception {
        MvcTestResult result = get("/" + name + ".svg");
        assertThat(result).hasStatus(200).hasContentType("image/svg+xml;charset=UTF-8");
        assertThat(result)
                .headers()
                .hasHeaderSatisfying(
                        "Content-Disposition",
                        values -> assertThat(values.get(0)).startsWith("attachment"));
        Document svg = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(result.getResponse().getContentAsByteArray()));
        assertThat(svg.getDocumentElement().getAttribute("width")).endsWith("mm");
        assertThat(svg.getElementsByTagName("title").item(0).getTextContent()).contains("Pit 9 cello");
        assertThat(svg.getElementsByTagName("desc").item(0).getTextContent()).isNotBlank();
        assertThat(svg.getElementsByTagName("path").getLength()).isGreaterThan(3);
        assertThat(get("/bridge-roof.svg")).hasStatus(404);
    }

    @Test
    void onlyARealPictureIsKept() throws Exception {
        byte[] picture = getClass()
                .getResourceAsStream("/static/assets/made-up-bridge.jpg")
                .readAllBytes();
        byte[] tooLarge = Arrays.copyOf(picture, 4_000_001);
        for (byte[] bytes : new byte[][] {"<svg onload='x'/>".getBytes(), tooLarge, picture}) {
            boolean real = bytes == picture;
            long before = count("bridge_picture");
            var request = mvc.post()
                    .multipart()
                    .uri("/instruments/" + cello + "/bridge/pictures")
                    .file(new MockMultipartFile("picture", "bridge.jpg", "image/jpeg", bytes))
                    .with(user(technician))
                    .with(csrf());
            assertThat(request.param("plate", "100,700,900,700")
                            .param("back", "560,700,590,270")
                            .param("left", "true"))
                    .hasStatus(real ? 302 : 200);
            assertThat(count("bridge_picture")).isEqualTo(before + (real ? 1 : 0));
        }
        double leanDeg = Math.toDegrees(Math.atan(30 / 430.0));
        assertThat(latest("BRIDGE_GAP")).isCloseTo(90 * Math.tan(Math.toRadians(leanDeg)), within(0.01));
        UUID kept = database.sql("select id from bridge_picture where instrument_id = ?")
                .param(cello)
                .query(UUID.class)
                .single();
        assertThat(get("/bridge/pictures/" + kept)).hasStatus(200).hasContentType("image/jpeg");
        assertThat(mvc.get()
                        .uri("/instruments/" + cello + "/bridge/pictures/" + kept)
                        .with(user(stranger())))
                .hasStatus(404);
        assertThat(get("/bridge?plate=0,0,100,0&back=0,0,100,20")).bodyText().contains("nearly square to each other");
    }
}
