package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.ISO_8859_1;
import static java.nio.charset.StandardCharsets.UTF_16;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** Kinds of string, entered from their packets and as tables, in a workshop that has none. */
class KindsIT extends InRequests {

    private SignedIn keeper;

    @BeforeEach
    void begin() {
        keeper = stranger();
    }

    private int kinds() {
        return database.sql("select count(*) from string_kind where workshop_id = ? and source = 'PACKET'")
                .param(keeper.workshopId())
                .query(Integer.class)
                .single();
    }

    private UUID kind(String line) {
        return database.sql("select id from string_kind where workshop_id = ? and line = ?")
                .params(keeper.workshopId(), line)
                .query(UUID.class)
                .single();
    }

    private MvcTestResult send(byte[] file) {
        return mvc.post()
                .uri("/strings/import")
                .multipart()
                .file(new MockMultipartFile("file", "strings.csv", "text/csv", file))
                .with(user(keeper))
                .with(csrf())
                .exchange();
    }

    private String waiting(byte[] file) {
        MvcTestResult sent = send(file);
        assertThat(sent).hasStatus(302);
        return sent.getResponse().getRedirectedUrl();
    }

    @Test
    void aStringIsEnteredFromItsPacketPutOnPutRightAndTakenOut() throws Exception {
        assertThat(page(keeper, "/strings")).contains("No kinds of string yet");
        assertThat(post(
                        keeper,
                        "/strings/new",
                        "maker",
                        "Harrow",
                        "line",
                        "Tarn",
                        "size",
                        "VIOLA 16",
                        "position",
                        "III",
                        "core",
                        "SYNTHETIC",
                        "winding",
                        "SILVER",
                        "known",
                        "GAUGE",
                        "note",
                        "red and green"))
                .hasRedirectedUrl("/strings");
        assertThat(page(keeper, "/strings")).contains("One kind of string", "Harrow Tarn", "red and green", "default");
        assertThat(post(
                        keeper,
                        "/strings/new",
                        "maker",
                        "HARROW",
                        "line",
                        "tarn",
                        "size",
                        "VIOLA 16",
                        "position",
                        "III",
                        "core",
                        "SYNTHETIC",
                        "winding",
                        "SILVER",
                        "known",
                        "GAUGE"))
                .bodyText()
                .contains("You have that one already");

        assertThat(post(keeper, "/instruments/new", "name", "Mine", "size", "VIOLA 16", "strung", "UNKNOWN"))
                .hasStatus(302);
        UUID viola = database.sql("select id from instrument where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        UUID tarn = kind("Tarn");
        assertThat(page(keeper, "/instruments/" + viola + "/plan?strings=III")).contains("Harrow Tarn, ball end");
        assertThat(page(keeper, "/instruments/" + viola + "/fit?string=III&kind=" + tarn))
                .contains("Fits");

        String[] right = {
            "maker", "Harrow", "line", "Tarn", "size", "VIOLA 16", "position", "III", "core", "SYNTHETIC", "winding",
            "SILVER", "known", "TENSION", "tension", "51,5", "diameter", "0.95", "price", "18.5", "currency", "eur",
            "lifeHours", "450", "lifeMonths", "20", "version", "0"
        };
        assertThat(post(keeper, "/strings/" + tarn, right)).hasRedirectedUrl("/strings");
        assertThat(page(keeper, "/strings")).contains("51.5 N", "18.50 EUR", "450 h, 20 months");
        assertThat(post(keeper, "/strings/" + tarn, right)).bodyText().contains("Somebody else has changed it");

        String on = "/instruments/" + viola + "/strings/III/found";
        UUID fitted = database.sql("select id from fitted_string where instrument_id = ? and position = 'III'")
                .param(viola)
                .query(UUID.class)
                .single();
        assertThat(post(keeper, on, "kind", tarn.toString(), "since", "2026-01-05", "fitted", fitted.toString()))
                .hasStatus(302);
        assertThat(page(keeper, "/instruments/" + viola + "/strings/III/working/WORN"))
                .as("how long it lasts is what was found, not what is usual")
                .contains("450", "measured");
        assertThat(post(keeper, "/strings/" + tarn + "/remove")).flash().containsEntry("notice", "kind.onRecord");
        assertThat(mvc.get().uri("/strings/" + tarn).with(user(account("keeper"))))
                .hasStatus(404);
    }

    @Test
    void whatCannotBeIsToldWithItsFigures() {
        assertThat(post(
                        keeper,
                        "/strings/new",
                        "maker",
                        "Harrow",
                        "line",
                        "Tarn",
                        "size",
                        "VIOLIN 4/4",
                        "position",
                        "II",
                        "core",
                        "SYNTHETIC",
                        "winding",
                        "ALUMINIUM",
                        "known",
                        "TENSION",
                        "tension",
                        "5.5",
                        "diameter",
                        "68"))
                .bodyText()
                .contains("It goes from 10 to 450 N.", "It goes from 0.15 to 4 mm.", "value=\"5.5\"", "value=\"68\"");
        assertThat(post(
                        keeper,
                        "/strings/new",
                        "maker",
                        "Harrow",
                        "line",
                        "Tarn",
                        "size",
                        "VIOLIN 4/4",
                        "position",
                        "I",
                        "core",
                        "PLAIN_STEEL",
                        "winding",
                        "NONE",
                        "known",
                        "TENSION",
                        "tension",
                        "12",
                        "diameter",
                        "0.26"))
                .bodyText()
                .contains("It cannot be that light: 1208 kg/m³", "at least 6672");
        assertThat(post(
                        keeper,
                        "/strings/new",
                        "maker",
                        "Harrow",
                        "line",
                        "Tarn",
                        "size",
                        "VIOLIN 4/4",
                        "position",
                        "IV",
                        "core",
                        "GUT",
                        "winding",
                        "SILVER",
                        "known",
                        "WEIGHED",
                        "weighed",
                        "90",
                        "weighedLength",
                        "560"))
                .bodyText()
                .contains("What follows cannot be taken: the tension would be");
        assertThat(kinds()).isZero();
    }

    /** What a spreadsheet of another country writes. */
    static Stream<Arguments> tables() {
        String english = "maker,line,family,size,string,core,winding,tension_n,diameter_mm,note,price,currency\r\n"
                + "Harrow,Tarn,violin,4/4,II,synthetic,aluminium,54.5,0.68,\"red, green\",21.50,EUR\r\n";
        String german = "Maker;Line;Family;Size;String;Core;Winding;Tension (N);Diameter mm;Note;Price;Currency\n"
                + "Harrow;Tarn;Violin;4/4;II;Synthetic;aluminium;54,5;0,68;rötlich;21,50;EUR\n";
        return Stream.of(
                Arguments.of(english.getBytes(UTF_8), "red, green"),
                Arguments.of(("\ufeff" + german).getBytes(UTF_8), "rötlich"),
                Arguments.of(("\n\n" + german).getBytes(UTF_8), "rötlich"),
                Arguments.of(german.getBytes(ISO_8859_1), "rötlich"),
                Arguments.of(german.replace(';', '\t').getBytes(UTF_16), "rötlich"));
    }

    @ParameterizedTest
    @MethodSource("tables")
    void aTableOfAnotherCountryIsShownAndThenTakenIn(byte[] file, String note) throws Exception {
        String preview = waiting(file);
        assertThat(page(keeper, preview)).contains("1 new, 0 there already, 0 that cannot be taken", "Harrow");
        assertThat(kinds()).as("nothing changes before it is taken in").isZero();
        assertThat(post(keeper, preview)).flash().containsEntry("notice", "kinds.import.done");
        assertThat(post(keeper, preview)).as("pressed twice").flash().containsEntry("notice", "table.gone");
        assertThat(page(keeper, "/strings")).contains(note, "54.5 N", "0.68 mm", "21.50 EUR");
        assertThat(page(keeper, waiting(file))).contains("0 new, 1 there already");
        assertThat(kinds()).isEqualTo(1);
    }

    /** More than a page holds: over its parts every kind once, and all of them out as they came in. */
    @Test
    void manyKindsAreListedInPartsAndSavedWhole() throws Exception {
        StringBuilder table = new StringBuilder("maker,line,family,string,core\n");
        Set<String> labels = new TreeSet<>();
        for (int i = 10; i < 55; i++) {
            table.append("Harrow,Tarn ").append(i).append(",violin,II,synthetic\n");
            labels.add("Harrow Tarn " + i);
        }
        assertThat(post(keeper, waiting(table.toString().getBytes(UTF_8)))).hasRedirectedUrl("/strings");
        List<String> listed = new ArrayList<>(labelled(page(keeper, "/strings")));
        assertThat(listed).hasSize(40);
        listed.addAll(labelled(page(keeper, "/strings?from=40")));
        assertThat(listed).hasSize(45).containsExactlyInAnyOrderElementsOf(labels);
        String saved = page(keeper, "/strings/table.csv");
        assertThat(saved.lines()).hasSize(46);
        assertThat(page(keeper, waiting(saved.getBytes(UTF_8)))).contains("0 new, 45 there already");
    }

    private static List<String> labelled(String page) {
        return Pattern.compile("<span>(Harrow Tarn \\d\\d)</span>")
                .matcher(page)
                .results()
                .map(found -> found.group(1))
                .toList();
    }

    @Test
    void aRowThatCannotBeIsToldInItsCellAndNothingIsTakenIn() throws Exception {
        String preview = waiting(("maker,line,family,string,core,winding,tension_n,colour\n"
                        + "Harrow,Tarn,violin,II,synthetic,aluminium,54,red\n"
                        + "Harrow,Tarn,violin,II,synthetic,aluminium,54,red\n"
                        + "Harrow,Fell,violin,VI,nylon,aluminium,5400,red\n")
                .getBytes(UTF_8));
        assertThat(page(keeper, preview))
                .contains(
                        "3 rows: 1 new, 1 there already, 1 that cannot be taken", "These columns are not read: colour")
                .contains("One of: i, ii, iii, iv, v", "One of: plain steel", "It goes from 10 to 450 N.")
                .contains("Nothing is taken in as long as");
        assertThat(post(keeper, preview)).hasRedirectedUrl(preview);
        assertThat(kinds()).isZero();
    }

    static Stream<Arguments> badFiles() {
        byte[] binary = new byte[5000];
        new Random(1).nextBytes(binary);
        String head = "maker,line,family,string,core\n";
        return Stream.of(
                Arguments.of(new byte[0], "There is nothing in it."),
                Arguments.of("\n\n".getBytes(UTF_8), "That is no table"),
                Arguments.of(binary, "That is no table"),
                Arguments.of(head.getBytes(UTF_8), "It has no rows below its headings."),
                Arguments.of((head + "Harrow,\"Ta").getBytes(UTF_8), "It breaks off within a cell"),
                Arguments.of("name,price\nTarn,3\n".getBytes(UTF_8), "These columns are missing: maker, line, family"),
                Arguments.of(
                        (head + "a,b,violin,I,gut\n".repeat(2001)).getBytes(UTF_8),
                        "It has too many rows: at most 2000."),
                Arguments.of((head + "a,b,violin,I,gut\n".repeat(100_000)).getBytes(UTF_8), "It is too large"));
    }

    @ParameterizedTest
    @MethodSource("badFiles")
    void aBadFileGetsASentence(byte[] file, String sentence) {
        assertThat(send(file)).hasStatus(200).bodyText().contains(sentence);
        assertThat(kinds()).isZero();
    }

    /** Out of one workshop into another, and nothing is lost; what a spreadsheet would take for a formula is none. */
    @Test
    void aTableGoesFromOneWorkshopToAnother() throws Exception {
        SignedIn first = account("keeper");
        assertThat(post(
                        first,
                        "/strings/new",
                        "maker",
                        "=1+1",
                        "line",
                        "@Tarn",
                        "size",
                        "BASS 3/4",
                        "position",
                        "V",
                        "core",
                        "ROPE_STEEL",
                        "winding",
                        "TUNGSTEN",
                        "known",
                        "GAUGE",
                        "gauge",
                        "MEDIUM"))
                .hasStatus(302);
        String table = page(first, "/strings/table.csv");
        assertThat(table).startsWith("\ufeffmaker,line,").contains("\r\n'=1+1,'@Tarn,bass");
        String preview = waiting(table.getBytes(UTF_8));
        assertThat(post(keeper, preview)).hasRedirectedUrl("/strings");
        assertThat(page(keeper, "/strings/table.csv")).isEqualTo(table);
        String figures =
                "select maker, line, family, position, core, winding, string_end, nominal_midi, design_length_mm,"
                        + " round(tension_n::numeric, 2) t, round(diameter_mm::numeric, 3) d, round(axial_stiffness_n::numeric) e,"
                        + " tail_silk_end_mm, top_silk_start_mm, total_length_mm, assumed from string_kind"
                        + " where workshop_id = ? and source = 'PACKET' order by 1, 2, 3, 4, 7, 9";
        assertThat(rows(figures, keeper)).isEqualTo(rows(figures, first)).hasSizeGreaterThan(30);
    }

    private List<String> rows(String query, SignedIn who) {
        return database.sql(query).param(who.workshopId()).query().listOfRows().stream()
                .map(row -> row.values().stream()
                        .map(value -> value instanceof java.sql.Array array ? text(array) : value)
                        .toList()
                        .toString())
                .toList();
    }

    private static String text(java.sql.Array array) {
        return array.toString();
    }

    /** Of one's own kinds, with its length as measured; what does not fit together is said, and nothing is half done. */
    @Test
    void aSetFromTheDrawerIsOnANewInstrument() throws Exception {
        for (String position : List.of("I", "II", "III", "IV")) {
            assertThat(page(keeper, "/instruments/new")).doesNotContain("Harrow Tarn");
            enterKind(keeper, position);
        }
        assertThat(page(keeper, "/instruments/new")).contains("Harrow Tarn, Violin 4/4");
        UUID set = database.sql(
                        "select id from string_kind where workshop_id = ? and source = 'PACKET' and position = 'III'")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        assertThat(post(
                        keeper,
                        "/instruments/new",
                        "name",
                        "Mine",
                        "size",
                        "CELLO 4/4",
                        "strung",
                        "OWN",
                        "ownSet",
                        set.toString(),
                        "length",
                        "2000"))
                .bodyText()
                .contains("That set is for other instruments.", "It goes from");
        assertThat(post(
                        keeper,
                        "/instruments/new",
                        "name",
                        "Mine",
                        "size",
                        "VIOLIN 4/4",
                        "tuning",
                        "E5 A4 D4 G3 C3",
                        "strung",
                        "OWN",
                        "ownSet",
                        set.toString()))
                .bodyText()
                .contains("That set has no string for V.");
        assertThat(post(keeper, "/instruments/new", "name", "Mine", "size", "VIOLIN 4/4", "strung", "OWN"))
                .bodyText()
                .contains("Choose a set.");
        String mine = post(
                        keeper,
                        "/instruments/new",
                        "name",
                        "Mine",
                        "size",
                        "VIOLIN 4/4",
                        "strung",
                        "OWN",
                        "ownSet",
                        set.toString(),
                        "length",
                        "326,5",
                        "since",
                        "2026-01-02")
                .getResponse()
                .getRedirectedUrl();
        assertThat(page(keeper, mine)).contains("Harrow Tarn", "326.5 mm");
        assertThat(database.sql(
                                "select count(distinct f.position) from fitted_string f join string_kind k on k.id = f.kind_id"
                                        + " where f.workshop_id = ? and k.line = 'Tarn' and f.fitted_at is not null")
                        .param(keeper.workshopId())
                        .query(Integer.class)
                        .single())
                .isEqualTo(4);
    }

    /** Nobody fills the database with files that are never taken in. */
    @Test
    void tenFilesWaitAtMost() {
        byte[] file = "maker,line,family,string,core\nHarrow,Tarn,violin,II,gut\n".getBytes(UTF_8);
        String first = waiting(file);
        for (int i = 0; i < 9; i++) {
            waiting(file);
        }
        assertThat(mvc.get().uri(first).with(user(keeper))).hasStatus(200);
        String last = waiting(file);
        assertThat(mvc.get().uri(first).with(user(keeper))).hasRedirectedUrl("/strings");
        assertThat(mvc.get().uri(last).with(user(keeper))).hasStatus(200);
    }
}
