package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** An instrument from the day it comes to the rack, and the strings that are recorded on it. */
@AutoConfigureMockMvc
class InstrumentIT extends RunningApplication {

    @Autowired
    MockMvcTester mvc;

    private SignedIn technician;

    @BeforeEach
    void signIn() {
        technician = account("bench");
    }

    private MvcTestResult post(String path, Map<String, String> fields) {
        var request = mvc.post().uri(path).with(user(technician)).with(csrf());
        fields.forEach(request::param);
        return request.exchange();
    }

    private String page(String path) throws Exception {
        MvcTestResult result = mvc.get().uri(path).with(user(technician)).exchange();
        assertThat(result).hasStatus(200);
        return result.getResponse().getContentAsString();
    }

    private UUID add(String name) {
        assertThat(post(
                        "/instruments/new",
                        Map.of(
                                "name", name,
                                "size", "VIOLIN 4/4",
                                "referenceA", "440",
                                "firstTuner", "FORK_TUNER",
                                "strung", "LATER",
                                "hoursPerWeek", "5",
                                "demand", "STUDY")))
                .hasStatus(302);
        return instrument(name);
    }

    private UUID kind(String position) {
        return database.sql("select id from string_kind where line = 'Sluice' and string_end = 'BALL' and position = ?")
                .param(position)
                .query(UUID.class)
                .single();
    }

    private void found(UUID instrument, String position, String since) {
        assertThat(found(instrument, position, since, fitted(instrument, position)))
                .hasStatus(302);
    }

    private MvcTestResult found(UUID instrument, String position, String since, String seen) {
        return post(
                "/instruments/" + instrument + "/strings/" + position + "/found",
                Map.of("kind", kind(position).toString(), "since", since, "hoursBefore", "0", "fitted", seen));
    }

    /** {@return the string that is on record there, empty when none is} */
    private String fitted(UUID instrument, String position) {
        return database.sql("select id from fitted_string where instrument_id = ? and position = ?"
                        + " and removed_at is null")
                .params(instrument, position)
                .query(UUID.class)
                .optional()
                .map(UUID::toString)
                .orElse("");
    }

    @Test
    void comesToTheRackGetsItsStringsAndCanBePlanned() throws Exception {
        UUID violin = add("Understudy violin");
        assertThat(page("/")).contains("Understudy violin", "Strings not recorded");
        assertThat(mvc.get().uri("/instruments/" + violin + "/plan").with(user(technician)))
                .hasRedirectedUrl("/instruments/" + violin + "/strings-missing");
        assertThat(page("/instruments/" + violin + "/strings-missing"))
                .contains("I, II, III and IV are not recorded yet");
        assertThat(post("/instruments/new", Map.of("name", "UNDERSTUDY violin", "size", "VIOLIN 4/4")))
                .bodyText()
                .contains("Another instrument has this name.");

        for (String position : List.of("I", "II", "III", "IV")) {
            found(violin, position, "");
        }
        assertThat(page("/instruments/" + violin)).contains("age unknown", "Together they press the top");
        assertThat(page("/instruments/" + violin + "/plan")).contains("Take it to the bench");

        found(violin, "III", LocalDate.now().minusDays(3).toString());
        assertThat(page("/instruments/" + violin)).contains("III went on, Tidewick Sluice", "III came off");

        Map<String, String> seen = Map.of("signs", "WINDING_OPEN", "fitted", fitted(violin, "IV"), "version", "0");
        assertThat(post("/instruments/" + violin + "/strings/IV/signs", seen))
                .flash()
                .containsEntry("notice", "string.looked");
        assertThat(page("/instruments/" + violin)).contains("winding open, change now");

        assertThat(post("/instruments/" + violin + "/strings/IV/signs", seen))
                .as("a page from before that")
                .flash()
                .containsEntry("notice", "changed.meanwhile")
                .containsEntry("noticeOf", "IV winding open");
        assertThat(found(violin, "IV", "", ""))
                .as("a page from before any string was recorded")
                .flash()
                .containsEntry("notice", "changed.meanwhile")
                .containsEntry("noticeOf", "IV Tidewick Sluice");
    }

    /** In a workshop where nobody has entered a kind of string. */
    @ParameterizedTest
    @CsvSource({
        "VIOLA 16, UNKNOWN, '', '', usual synthetic string, of unknown age",
        "CELLO 1/4, GUT, '', 2026-01-05, usual gut string, First",
        "BASS 3/4, UNKNOWN, G2 D2 A1 E1 B0, '', usual rope steel string, of unknown age"
    })
    void whatNobodyKnowsIsUsualAndEverythingWorks(
            String size, String strung, String tuning, String since, String label, String told) throws Exception {
        SignedIn keeper = stranger();
        Map<String, String> form = Map.of(
                "name", "First", "size", size, "strung", strung, "tuning", tuning, "since", since, "demand", "CONCERT");
        assertThat(post(keeper, "/instruments/new", form))
                .hasStatus(302)
                .flash()
                .containsEntry("notice", "instrument.added.strung");
        UUID id = database.sql("select id from instrument where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        String instrument = "/instruments/" + id;
        assertThat(page(keeper, instrument)).contains(label);
        assertThat(page(keeper, "/")).contains(told);
        assertThat(page(keeper, instrument + "/plan?strings=II")).contains("Take it to the bench");
        assertThat(page(keeper, instrument + "/fit")).contains("Fits");
        assertThat(page(keeper, instrument + "/working/TURNS?string=II"))
                .contains("whole length of II")
                .doesNotContain("by its maker");
        assertThat(post(
                        keeper,
                        "/instruments/new",
                        Map.of("name", "Second", "size", size, "strung", "LATER", "tuning", tuning)))
                .hasStatus(302);
        UUID second = database.sql("select id from instrument where workshop_id = ? and name = 'Second'")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        assertThat(post(keeper, "/instruments/" + second + "/strings-missing", Map.of()))
                .hasRedirectedUrl("/instruments/" + second);
        assertThat(page(keeper, "/instruments/" + second + "/pegbox")).contains("default");
        int shelf = kinds(keeper);
        assertThat(post(keeper, "/instruments/new", Map.of("name", "Third", "size", size, "tuning", tuning)))
                .hasStatus(302);
        assertThat(kinds(keeper)).as("one shelf for all of a kind").isEqualTo(shelf);
    }

    private int kinds(SignedIn keeper) {
        return database.sql("select count(*) from string_kind where workshop_id = ?")
                .param(keeper.workshopId())
                .query(Integer.class)
                .single();
    }

    private MvcTestResult post(SignedIn who, String path, Map<String, String> form) {
        var request = mvc.post().uri(path).with(user(who)).with(csrf());
        form.forEach(request::param);
        return request.exchange();
    }

    private String page(SignedIn who, String path) throws Exception {
        MvcTestResult result = mvc.get().uri(path).with(user(who)).exchange();
        assertThat(result).hasStatus(200);
        return result.getResponse().getContentAsString();
    }

    /** A tailpiece with four tuners of its own is chosen at once, and every page knows it; a bass has none that nobody named. */
    @ParameterizedTest
    @CsvSource({
        "CELLO 3/4, FORK_TUNER, true, '{FORK_TUNER,FORK_TUNER,FORK_TUNER,FORK_TUNER}'",
        "VIOLA 16, SLOT, false, '{FORK_TUNER,SLOT,SLOT,SLOT}'",
        "BASS 3/4, SLOT, false, '{SLOT,SLOT,SLOT,SLOT}'"
    })
    void hangsOnWhatWasChosen(String size, String others, boolean builtIn, String kept) throws Exception {
        SignedIn keeper = stranger();
        Map<String, String> form =
                Map.of("name", "New", "size", size, "otherTuners", others, "tunersBuiltIn", String.valueOf(builtIn));
        assertThat(post(keeper, "/instruments/new", form)).hasStatus(302);
        assertThat(database.sql("select tail_ends::text, tuners_built_in from instrument where workshop_id = ?")
                        .param(keeper.workshopId())
                        .query()
                        .singleRow())
                .containsEntry("tail_ends", kept)
                .containsEntry("tuners_built_in", builtIn);
    }

    /** What is suggested may be sent as it is spelt, and only what has as many strings is suggested later. */
    @Test
    void aTuningThatIsSuggestedIsTaken() throws Exception {
        SignedIn keeper = stranger();
        String solo = "A2 E2 B1 F♯1";
        assertThat(page(keeper, "/instruments/new")).contains("value=\"" + solo + "\"", "C3 G2 D2 A1 E1");
        assertThat(post(keeper, "/instruments/new", Map.of("name", "Solo", "size", "BASS 3/4", "tuning", solo)))
                .hasStatus(302);
        UUID soloist = database.sql("select id from instrument where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        assertThat(page(keeper, "/instruments/" + soloist + "/edit"))
                .contains(solo, "solo: a tone up")
                .doesNotContain("with a low B");
    }

    @Test
    void workForARepairerIsOnTheRackUntilItIsSeenTo() throws Exception {
        UUID cello = instrument("Pit 9 cello");
        assertThat(page("/")).contains("For a repairer", "Open seam at the lower treble bout");
        assertThat(post("/instruments/" + cello + "/notes", Map.of("text", " ")))
                .hasStatus(200)
                .bodyText()
                .contains("Write something, at most 500 characters.");
        UUID note = database.sql("select id from instrument_note where instrument_id = ? and refer")
                .param(cello)
                .query(UUID.class)
                .single();
        String settled = "/instruments/" + cello + "/notes/" + note + "/settled";
        assertThat(mvc.post().uri(settled).with(user(account("pit"))).with(csrf()))
                .hasStatus(403);
        assertThat(mvc.post().uri(settled).with(user(stranger())).with(csrf())).hasStatus(404);
        assertThat(post(settled, Map.of())).hasStatus(302);
        assertThat(page("/")).doesNotContain("For a repairer");
        assertThat(page("/instruments/" + cello)).contains("Seen to: Open seam");
    }

    @Test
    void whatCannotBeComesBackAsTyped() {
        assertThat(post(
                        "/instruments/new",
                        Map.of(
                                "name", "Pit 1 violin",
                                "size", "VIOLIN 9/4",
                                "referenceA", "500",
                                "hoursPerWeek", "many")))
                .hasStatus(200)
                .bodyText()
                .contains("Another instrument has this name.", "Choose a size.")
                .contains("It goes from 392 to 466 Hz.", "It goes from 0 to 60 h/week.")
                .contains("value=\"many\"", "value=\"500\"");
        assertThat(post(
                        "/instruments/" + instrument("Pit 1 violin") + "/strings/II/found",
                        Map.of("since", "1823-05-01", "hoursBefore", "-4")))
                .hasStatus(200)
                .bodyText()
                .contains("Choose which string it is.", "A day from 1990-01-01", "It goes from 0 to 5000 h.")
                .contains("value=\"1823-05-01\"", "value=\"-4\"");
    }

    /** What most wants hands comes first; the rest is a press, or part of a name, away. */
    @Test
    void aLongRackIsShownAPageAtATimeAndFoundByName() throws Exception {
        assertThat(page("/")).doesNotContain("Find by name", "Show more");
        for (int i = 10; i < 40; i++) {
            add("Shelf " + i);
        }
        String first = page("/");
        assertThat(first.split("<article")).hasSize(21);
        assertThat(first.indexOf("Pit 8 cello")).isLessThan(first.indexOf("Pit 3 violin"));
        assertThat(first)
                .contains("46 instruments, 6 want hands", "Find by name", "Show more, 26 left")
                .doesNotContain("Shelf 20");
        String rest = page("/?from=40");
        assertThat(rest.split("<article")).hasSize(7);
        assertThat(rest).contains("Back to those that want hands first").doesNotContain("Show more");
        assertThat(page("/?from=2147483647")).doesNotContain("<article", "Show more");
        String found = page("/?find=" + "sheLF 1");
        assertThat(found.split("<article")).hasSize(11);
        assertThat(found).contains("10 of 46 instruments have that in the name", "value=\"sheLF 1\"");
        assertThat(page("/?find=nothing")).contains("None of 46 instruments have that in the name");
        assertThat(mvc.get()
                        .uri("/?find=shelf 2")
                        .header("HX-Request", "true")
                        .with(user(technician))
                        .exchange())
                .bodyText()
                .contains("Shelf 25", "10 of 46")
                .doesNotContain("<h1");
    }

    @Test
    void aSettlingReadingSentTwiceCountsOnceAndASlippingPegIsNamed() throws Exception {
        UUID violin = instrument("Pit 3 violin");
        UUID string = database.sql("select id from fitted_string where instrument_id = ? and position = 'II'"
                        + " and removed_at is null")
                .param(violin)
                .query(UUID.class)
                .single();
        Map<String, String> reading = Map.of(
                "cents",
                "-150",
                "readAt",
                LocalDateTime.now(technician.zone())
                        .minusHours(1)
                        .withSecond(0)
                        .withNano(0)
                        .toString(),
                "press",
                UUID.randomUUID().toString(),
                "retuned",
                "true");
        for (int i = 0; i < 2; i++) {
            assertThat(post("/settling/" + string + "/readings", reading)).hasStatus(302);
        }
        assertThat(database.sql("select count(*) from settling_reading where fitted_string_id = ?")
                        .param(string)
                        .query(Long.class)
                        .single())
                .isEqualTo(1);
        post(
                "/settling/" + string + "/readings",
                Map.of(
                        "cents", "-90",
                        "readAt",
                                LocalDateTime.now(technician.zone())
                                        .withSecond(0)
                                        .withNano(0)
                                        .toString(),
                        "press", UUID.randomUUID().toString()));
        assertThat(page("/settling/" + string)).contains("slipping peg", "learned from 2 readings");
    }
}
