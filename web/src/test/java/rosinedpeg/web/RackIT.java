package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** What is on record of an instrument is put right, it is copied, leaves the rack and comes back. */
class RackIT extends InRequests {

    private SignedIn technician;

    @BeforeEach
    void signIn() {
        technician = account("bench");
    }

    private String version(UUID id) {
        return String.valueOf(database.sql("select version from instrument where id = ?")
                .param(id)
                .query(Integer.class)
                .single());
    }

    private List<String> edited(UUID id, String... instead) {
        List<String> form = new ArrayList<>(List.of(
                "name", "Pit 1 violin",
                "size", "VIOLIN 4/4",
                "referenceA", "440",
                "tuning", "E5 A4 D4 G3",
                "hoursPerWeek", "22",
                "demand", "CONCERT",
                "version", version(id)));
        for (int i = 0; i < instead.length; i += 2) {
            form.set(form.indexOf(instead[i]) + 1, instead[i + 1]);
        }
        return form;
    }

    private static String[] fields(List<String> form) {
        return form.toArray(String[]::new);
    }

    @Test
    void whatIsOnRecordIsPutRight() throws Exception {
        UUID id = instrument("Pit 1 violin");
        String edit = "/instruments/" + id + "/edit";
        assertThat(page(technician, edit)).contains("value=\"Pit 1 violin\"", "value=\"E5 A4 D4 G3\"");
        assertThat(post(
                        technician,
                        edit,
                        fields(edited(id, "name", "pit 2 VIOLIN", "tuning", "E5 A4", "size", "CELLO 4/4"))))
                .hasStatus(200)
                .bodyText()
                .contains("Another instrument has this name.", "Choose a size.", "Name four or five strings")
                .contains("value=\"pit 2 VIOLIN\"");
        assertThat(post(technician, edit, fields(edited(id, "tuning", "E5 A4 D4 G3 C3"))))
                .bodyText()
                .contains("Name 4 strings, as many as it has.");
        List<String> renamed = edited(id, "name", "Leader's violin", "referenceA", "443");
        assertThat(post(technician, edit, fields(renamed))).hasRedirectedUrl("/instruments/" + id);
        assertThat(page(technician, "/")).contains("Leader&#39;s violin");
        assertThat(page(technician, "/instruments/" + id)).contains("A at 443 Hz");
        assertThat(post(technician, edit, fields(renamed)))
                .as("from a page before that")
                .bodyText()
                .contains("Somebody else has changed it");
    }

    /** Whoever took a viola for a smaller one has other strings than were thought, as long as nobody knows which. */
    @Test
    void stringsThatStandInFollowTheSetUp() throws Exception {
        SignedIn keeper = stranger();
        assertThat(post(keeper, "/instruments/new", "name", "Mine", "size", "VIOLA 15", "strung", "UNKNOWN"))
                .hasStatus(302);
        UUID id = database.sql("select id from instrument where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        String lengths =
                "select distinct kind.design_length_mm from fitted_string join string_kind kind on kind.id = kind_id"
                        + " where instrument_id = ? and removed_at is null";
        double before = database.sql(lengths).param(id).query(Double.class).single();
        assertThat(post(
                        keeper,
                        "/instruments/" + id + "/edit",
                        fields(edited(id, "name", "Mine", "size", "VIOLA 16½", "tuning", "A4 D4 G3 C3"))))
                .hasStatus(302);
        assertThat(database.sql(lengths).param(id).query(Double.class).single()).isGreaterThan(before);
    }

    @Test
    void whatIsOnTheBenchKeepsItsSetUpAndStaysOnTheRack() throws Exception {
        UUID id = instrument("Pit 5 viola");
        String form = "/instruments/" + id + "/edit";
        List<String> right = edited(
                id,
                "name",
                "Pit 5 viola",
                "size",
                size(id),
                "tuning",
                "A4 D4 G3 C3",
                "hoursPerWeek",
                "3",
                "referenceA",
                "441");
        assertThat(post(technician, form, fields(right))).bodyText().contains("It is on the bench");
        assertThat(post(technician, "/instruments/" + id + "/retire"))
                .flash()
                .containsEntry("notice", "retire.onBench");
        String before = row(technician, "Pit 5 viola");
        UUID run = openRun("Pit 5 viola");
        long seen = database.sql("select max(sequence) from run_event where run_id = ?")
                .param(run)
                .query(Long.class)
                .single();
        assertThat(post(technician, "/bench/" + run + "/back", "press", "" + UUID.randomUUID(), "seen", "" + seen))
                .hasStatus(302);
        assertThat(row(technician, "Pit 5 viola")).as("a step back").isNotEqualTo(before);
    }

    private String size(UUID id) {
        return database.sql("select family || ' ' || size from instrument where id = ?")
                .param(id)
                .query(String.class)
                .single();
    }

    @Test
    void whatLeavesTheRackKeepsItsRecordAndComesBack() throws Exception {
        UUID id = instrument("Pit 2 violin");
        assertThat(page(technician, "/settling")).contains("Pit 2 violin");
        String place = page(technician, "/");
        assertThat(post(technician, "/instruments/" + id + "/retire")).hasStatus(302);
        assertThat(page(technician, "/")).doesNotContain("Pit 2 violin").contains("One has left the rack");
        assertThat(page(technician, "/settling")).doesNotContain("Pit 2 violin");
        assertThat(page(technician, "/instruments/retired")).contains("Pit 2 violin", "Bring it back");
        assertThat(page(technician, "/instruments/" + id)).contains("It left the rack", "What happened to it");
        assertThat(page(technician, "/instruments/" + id + "/plan")).contains("Take it to the bench");
        for (int press = 0; press < 2; press++) {
            assertThat(post(technician, "/instruments/" + id + "/bring-back")).hasStatus(302);
        }
        assertThat(page(technician, "/settling")).contains("Pit 2 violin");
        assertThat(withoutWhatChanges(page(technician, "/"))).isEqualTo(withoutWhatChanges(place));
    }

    /** Rows are kept as they were laid out, until something happens that they show. */
    @Test
    void aRowShowsAtOnceWhatHappensToItsInstrument() throws Exception {
        SignedIn keeper = stranger();
        LocalDate today = LocalDate.now(keeper.zone());
        String[] violin = {
            "name", "Mine", "size", "VIOLIN 4/4", "strung", "SYNTHETIC", "since", "" + today.minusDays(20)
        };
        assertThat(post(keeper, "/instruments/new", violin)).hasStatus(302);
        UUID id = database.sql("select id from instrument where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        enterKind(keeper, "III");
        UUID tarn = kind(keeper, "III");
        String mine = "/instruments/" + id;
        String fitted =
                "select id from fitted_string where instrument_id = ? and position = 'III' and removed_at is null";
        Supplier<String> on = () -> id(fitted, id);
        Supplier<String> note = () -> id("select id from instrument_note where instrument_id = ?", id);
        String seen = row(keeper, "Mine");
        assertThat(row(keeper, "Mine")).as("nothing happened").isEqualTo(seen);
        for (Supplier<MvcTestResult> change : List.<Supplier<MvcTestResult>>of(
                () -> post(keeper, mine + "/measure/BODY", "values[VIBRATING_LENGTH]", "331", "on", "2026-01-05"),
                () -> post(
                        keeper,
                        mine + "/peg-sides",
                        "version",
                        version(id),
                        "pegKind",
                        "GEARED",
                        "knobs",
                        "TREBLE,TREBLE,BASS,BASS"),
                () -> post(
                        keeper,
                        mine + "/edit",
                        fields(edited(id, "name", "Mine", "hoursPerWeek", "9", "demand", "STUDY"))),
                () -> post(
                        keeper,
                        mine + "/strings/III/found",
                        "kind",
                        tarn.toString(),
                        "since",
                        "" + today.minusDays(1),
                        "fitted",
                        on.get()),
                () -> post(keeper, "/settling/" + on.get() + "/readings", "cents", "-30", "readAt", today + "T00:00"),
                () -> post(
                        keeper,
                        mine + "/strings/III/signs",
                        "signs",
                        "WINDING_OPEN",
                        "version",
                        "0",
                        "fitted",
                        on.get()),
                () -> post(keeper, mine + "/notes", "text", "Open seam", "refer", "true"),
                () -> post(
                        keeper,
                        mine + "/notes/" + note.get(),
                        "text",
                        "Open seam below",
                        "refer",
                        "true",
                        "version",
                        "0"),
                () -> post(keeper, mine + "/notes/" + note.get() + "/settled"))) {
            assertThat(change.get()).hasStatus(302);
            String now = row(keeper, "Mine");
            assertThat(now).isNotEqualTo(seen);
            seen = now;
        }
    }

    private String row(SignedIn who, String name) throws Exception {
        return Jsoup.parse(page(who, "/"))
                .selectFirst("article:has(h2:contains(" + name + "))")
                .html();
    }

    private String id(String query, UUID of) {
        return database.sql(query).param(of).query(UUID.class).single().toString();
    }

    private static String withoutWhatChanges(String page) {
        return page.replaceAll("name=\"_csrf\"[^>]*>", "").replaceAll("(?s)<head>.*</head>", "");
    }

    @Test
    void eightMoreLikeItComeToTheRackOnce() throws Exception {
        UUID id = instrument("Pit 2 violin");
        String copy = "/instruments/" + id + "/copy";
        assertThat(page(technician, copy)).contains("Pit 4 violin, Pit 5 violin, …");
        String next = page(technician, copy).replaceAll("(?s).*name=\"next\" value=\"([^\"]*)\".*", "$1");
        String[] eight = {"count", "8", "since", "2026-09-01", "next", next};
        assertThat(post(technician, copy, eight)).hasRedirectedUrl("/");
        assertThat(post(technician, copy, eight)).as("pressed twice").bodyText().contains("nothing is missing");
        assertThat(database.sql("select count(*) from instrument where name like 'Pit % violin'")
                        .query(Integer.class)
                        .single())
                .isEqualTo(11);
        assertThat(post(technician, copy, "count", "41", "next", next))
                .bodyText()
                .contains("A whole number from 1 to 40, please.", "value=\"41\"");
    }
}
