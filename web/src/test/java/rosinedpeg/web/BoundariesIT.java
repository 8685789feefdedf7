package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.ApplicationContext;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** Who gets where, and what becomes of input that cannot be taken. */
@AutoConfigureMockMvc
class BoundariesIT extends RunningApplication {

    @Autowired
    MockMvcTester mvc;

    @Autowired
    ApplicationContext context;

    private SignedIn technician;
    private UUID violin;

    @BeforeEach
    void signIn() {
        technician = account("bench");
        violin = instrument("Pit 3 violin");
    }

    private MvcTestResult post(String path, SignedIn who, Map<String, String> fields) {
        var request = mvc.post().uri(path).with(user(who)).with(csrf());
        fields.forEach(request::param);
        return request.exchange();
    }

    /** What waits for it, as the demonstration's own command, finds everything loaded. */
    @Test
    void isHealthyOnlyWhenWhatRunsAtTheStartIsDone() {
        assertThat(mvc.get().uri("/actuator/health")).hasStatus(200);
        try {
            AvailabilityChangeEvent.publish(context, ReadinessState.REFUSING_TRAFFIC);
            assertThat(mvc.get().uri("/actuator/health")).hasStatus(503);
        } finally {
            AvailabilityChangeEvent.publish(context, ReadinessState.ACCEPTING_TRAFFIC);
        }
    }

    private long count(String table) {
        return database.sql("select count(*) from " + table).query(Long.class).single();
    }

    @ParameterizedTest
    @ValueSource(strings = {"/", "/bench", "/settling", "/people", "/password", "/instruments/new"})
    void asksForASignInFirst(String path) {
        assertThat(mvc.get().uri(path)).hasStatus(302).redirectedUrl().endsWith("/sign-in");
    }

    @Test
    void answersHealthAndStylesWithoutSignIn() throws Exception {
        HttpClient client = HttpClient.newHttpClient();
        for (String path : new String[] {
            "/actuator/health", "/assets/app.css", "/assets/fonts/fraunces/files/fraunces-latin-600-normal.woff2"
        }) {
            HttpResponse<byte[]> answer = client.send(
                    HttpRequest.newBuilder(URI.create(address() + path)).build(),
                    HttpResponse.BodyHandlers.ofByteArray());
            assertThat(answer.statusCode()).as(path).isEqualTo(200);
            assertThat(answer.body()).as(path).isNotEmpty();
        }
    }

    @Test
    void anotherWorkshopsThingsDoNotExist() {
        SignedIn stranger = stranger();
        UUID run = openRun("Pit 5 viola");
        UUID string = database.sql("select id from fitted_string where instrument_id = ? and position = 'II'"
                        + " and removed_at is null")
                .param(violin)
                .query(UUID.class)
                .single();
        Stream.of(
                        "/instruments/" + violin,
                        "/instruments/" + violin + "/plan",
                        "/instruments/" + violin + "/strings/II",
                        "/bench/" + run,
                        "/settling/" + string)
                .forEach(path -> {
                    assertThat(mvc.get().uri(path).with(user(technician)))
                            .as(path)
                            .hasStatus(200);
                    assertThat(mvc.get().uri(path).with(user(stranger)))
                            .as(path)
                            .hasStatus(404);
                });
        long events = count("run_event");
        assertThat(post(
                        "/bench/" + run + "/back",
                        stranger,
                        Map.of("press", UUID.randomUUID().toString(), "seen", "1")))
                .hasStatus(404);
        assertThat(post(
                        "/instruments/" + violin + "/measure/BODY",
                        stranger,
                        Map.of("values[VIBRATING_LENGTH]", "328")))
                .hasStatus(404);
        assertThat(count("run_event")).isEqualTo(events);
        assertThat(mvc.get().uri("/").with(user(stranger))).bodyText().doesNotContain("Pit 3 violin");
    }

    @Test
    void aPostNeedsItsToken() {
        assertThat(mvc.post()
                        .uri("/instruments/" + violin + "/measure/BODY")
                        .with(user(technician))
                        .param("values[VIBRATING_LENGTH]", "328"))
                .hasStatus(403);
    }

    @Test
    void sendsAStrictPolicy() {
        assertThat(mvc.get().uri("/").with(user(technician)))
                .headers()
                .hasValue("X-Content-Type-Options", "nosniff")
                .hasHeaderSatisfying(
                        "Content-Security-Policy",
                        values -> assertThat(values.get(0))
                                .startsWith("default-src 'self'")
                                .doesNotContain("unsafe"));
    }

    @ParameterizedTest
    @CsvSource({
        "900, '', It goes from −400 to 50 cents.",
        "flat, '', That is not a number.",
        "-9, 1823-01-05T10:00, A time from"
    })
    void aSettlingReadingThatCannotBeComesBackAsTyped(String cents, String at, String sentence) {
        UUID string = database.sql("select id from fitted_string where instrument_id = ? and position = 'II'"
                        + " and removed_at is null")
                .param(instrument("Pit 2 violin"))
                .query(UUID.class)
                .single();
        long before = count("settling_reading");
        assertThat(post("/settling/" + string + "/readings", technician, Map.of("cents", cents, "readAt", at)))
                .hasStatus(200)
                .bodyText()
                .contains(sentence)
                .contains("value=\"" + cents + "\"");
        assertThat(count("settling_reading")).isEqualTo(before);
    }

    @Test
    void refusesAllStringsOffWithTheLoadAsReason() {
        long before = count("run");
        var request = mvc.post()
                .uri("/instruments/" + violin + "/plan")
                .with(user(technician))
                .with(csrf())
                .param("strings", "I", "II", "III", "IV")
                .param("off", "TOGETHER");
        assertThat(request)
                .hasStatus(200)
                .bodyText()
                .contains("This plan is refused.")
                .containsPattern("−?\\d+ % of its load would be left on the post")
                .doesNotContain("Take it to the bench");
        assertThat(count("run")).isEqualTo(before);
    }

    @Test
    void refusesAStringThatDoesNotFit() {
        UUID loop = database.sql(
                        "select id from string_kind where string_end = 'LOOP' and position = 'I' and line = 'Sluice'")
                .query(UUID.class)
                .single();
        assertThat(post(
                        "/instruments/" + violin + "/plan",
                        technician,
                        Map.of("strings", "I", "kinds[I]", loop.toString())))
                .hasStatus(200)
                .bodyText()
                .contains("Wrong end");
        assertThat(post("/instruments/" + violin + "/plan", technician, Map.of()))
                .bodyText()
                .contains("Choose at least one string.");
    }

    /** What a list or a hidden field never sends. */
    @ParameterizedTest
    @CsvSource({
        "/people, role, EMPEROR",
        "/strings/new, core, UNOBTAINABLE",
        "/instruments/{id}/edit, version, latest",
        "/instruments/new, demand, NEVER",
        "/instruments/{id}/notes, refer, perhaps",
        "/instruments/{id}/strings/II/found, kind, rope",
        "/instruments/{id}/strings/II/found, fitted, rope",
        "/instruments/{id}/pegs/II, signs, HUMS",
        "/instruments/{id}/pegs/II, treatment, A_HAMMER",
        "/instruments/{id}/post, version, latest",
        "/instruments/{id}/bridge, left, perhaps",
        "/bench/{run}/note, seen, everything",
    })
    void aFormThatWasTamperedWithIsABadRequest(String path, String field, String value) {
        String address = path.replace("{id}", violin.toString())
                .replace("{run}", openRun("Pit 5 viola").toString());
        assertThat(post(address, account("keeper"), Map.of(field, value))).hasStatus(400);
    }

    /** However far on in a list somebody asks to be. */
    @ParameterizedTest
    @ValueSource(strings = {"/", "/bench", "/settling", "/instruments/{id}/log"})
    void nothingIsLeftAtTheEndOfAList(String path) {
        String address = path.replace("{id}", violin.toString());
        for (int from : new int[] {-1, 1_000_000, Integer.MAX_VALUE}) {
            assertThat(mvc.get().uri(address + "?from=" + from).with(user(technician)))
                    .as("%s from %d", address, from)
                    .hasStatus(200);
        }
    }

    @Test
    void anErrorShowsNoInnards() throws Exception {
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(address() + "/assets/no-such-file"))
                                .header("Accept", "text/html")
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(404);
        assertThat(answer.body()).contains("It is not on this rack").doesNotContain("Exception", "\tat ");
        assertThat(mvc.get().uri("/instruments/not-an-id").with(user(technician)))
                .hasStatus(400);
    }

    /** Not that somebody may not go there, and not a connection that breaks off; an archive only from those who may send one. */
    @ParameterizedTest
    @ValueSource(strings = {"/diary/import", "/workshop/archive"})
    void aFileOfFiftyMegabytesGetsASentence(String path) throws Exception {
        byte[] large = new byte[50_000_000];
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(address() + path))
                                .header("Content-Type", "multipart/form-data; boundary=x")
                                .header("Accept", "text/html")
                                .POST(HttpRequest.BodyPublishers.ofByteArray(large))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("That is too large", "at most 4 MB");
    }
}
