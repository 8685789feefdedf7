package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.util.List;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** The practice peg by requests, in a workshop that begins with nothing. */
class PracticeIT extends InRequests {

    private SignedIn keeper;

    @BeforeEach
    void begin() {
        keeper = stranger();
    }

    private String attempt() {
        MvcTestResult begun = post(
                keeper,
                "/practice",
                "size",
                "VIOLIN 4/4",
                "press",
                UUID.randomUUID().toString());
        assertThat(begun).hasStatus(302);
        return begun.getResponse().getRedirectedUrl();
    }

    private MvcTestResult act(String attempt, String... fields) {
        String[] all = new String[fields.length + 2];
        all[0] = "press";
        all[1] = UUID.randomUUID().toString();
        System.arraycopy(fields, 0, all, 2, fields.length);
        return post(keeper, attempt + "/act", all);
    }

    private Document seen(String attempt) throws Exception {
        return Jsoup.parse(page(keeper, attempt));
    }

    private String strings(String attempt) throws Exception {
        return seen(attempt).select(".practice-string").text();
    }

    @Test
    void isBegunWithASizeOrWithACopyOnceForEachPress() throws Exception {
        assertThat(page(keeper, "/practice")).contains("cannot be hurt").doesNotContain("Go on with</h2>");
        assertThat(refusal(keeper, "/practice", "size", "VIOLIN 9/4")).isNotEmpty();
        violin(keeper, "Own");
        assertThat(refusal(keeper, "/practice", "of", "COPY", "instrument", "Nobody's"))
                .isEqualTo("No instrument of the workshop is called so.");
        String press = UUID.randomUUID().toString();
        assertThat(atOnce(keeper, "/practice", "of", "COPY", "instrument", "Own", "press", press))
                .containsOnly(302);
        assertThat(Jsoup.parse(page(keeper, "/practice"))
                        .select(".practice-line a")
                        .eachText())
                .containsExactly("Own");
        post(keeper, "/instruments/new", "name", "Bare", "size", "VIOLIN 4/4", "strung", "LATER");
        assertThat(refusal(keeper, "/practice", "of", "COPY", "instrument", "Bare"))
                .isEqualTo("Not every string of it is recorded. Say first what is on it.");
    }

    @Test
    void whatIsDoneIsDoneOnceAndTakenBackOnce() throws Exception {
        String attempt = attempt();
        String press = UUID.randomUUID().toString();
        String before = strings(attempt);
        assertThat(atOnce(keeper, attempt + "/act", "press", press, "string", "II", "turn", "-40", "pushing", "true"))
                .containsOnly(302);
        assertThat(seen(attempt).select(".practice-head .hint").text()).startsWith("One thing done");
        assertThat(strings(attempt)).isNotEqualTo(before).contains("cents flat");
        for (int i = 0; i < 3; i++) {
            assertThat(act(attempt, "string", "II", "turn", "-15")).hasStatus(302);
        }
        String back = UUID.randomUUID().toString();
        assertThat(atOnce(keeper, attempt + "/back", "press", back, "string", "II"))
                .containsOnly(302);
        assertThat(seen(attempt).select(".practice-head .hint").text()).startsWith("3 things done");
        for (int i = 0; i < 3; i++) {
            assertThat(post(
                            keeper,
                            attempt + "/back",
                            "press",
                            UUID.randomUUID().toString()))
                    .hasStatus(302);
        }
        assertThat(strings(attempt)).isEqualTo(before);
    }

    /** What was done is looked at moment by moment, what went wrong marked; from any of them it goes on. */
    @Test
    void isLookedThroughAndGoneBackIn() throws Exception {
        String attempt = attempt();
        for (String degrees : List.of("-30", "30", "60", "90")) {
            act(attempt, "string", "I", "turn", degrees, "pushing", "true", "guiding", "true");
        }
        Document moments = seen(attempt + "/moments");
        assertThat(moments.select(".practice-moments a")).hasSize(5);
        assertThat(moments.select(".practice-moments a.harm").text()).contains("went wrong");
        assertThat(seen(attempt + "/moments?at=1").select("h2").text()).isEqualTo("1: peg of I turned back by 30°");
        assertThat(seen(attempt + "/moments?at=0").text()).contains("Before anything was done");
        assertThat(seen(attempt + "/moments?at=77").select(".practice-moments [aria-current]"))
                .hasSize(1);
        String press = UUID.randomUUID().toString();
        assertThat(atOnce(keeper, attempt + "/moments", "press", press, "at", "1"))
                .containsOnly(302);
        assertThat(seen(attempt).select(".practice-head .hint").text()).startsWith("One thing done");
        assertThat(get(stranger(), attempt + "/moments")).hasStatus(404);
    }

    @ParameterizedTest
    @CsvSource({
        "turn, 5000, 'from −1080 to 1080 °'",
        "turn, much, 'from −1080 to 1080 °'",
        "ease, 9, 'from −3 to 3 °'",
        "does, FLY, ''",
        "does, '', ''"
    })
    void whatNoHandDoesIsRefused(String field, String value, String said) throws Exception {
        String attempt = attempt();
        MvcTestResult answer = act(attempt, "string", "II", field, value);
        assertThat(answer.getResponse().getStatus()).isIn(200, 400);
        if (!said.isEmpty()) {
            assertThat(answer.getResponse().getContentAsString()).contains(said);
        }
        assertThat(seen(attempt).select(".practice-head .hint").text()).startsWith("Nothing done");
        assertThat(act(attempt, "string", "V", "does", "PLUCK")).hasStatus(200);
    }

    /** An attempt has an end; it is told beside the hands, and what was done stays. */
    @Test
    void takesNoMoreThanFitsIn() throws Exception {
        String attempt = attempt();
        database.sql(
                        "insert into practice_action (id, workshop_id, attempt_id, sequence, action, done_at)"
                                + " select gen_random_uuid(), ?, ?, n, '{\"does\": \"CARD\"}', now() from generate_series(1, 4000) n")
                .params(keeper.workshopId(), UUID.fromString(attempt.substring("/practice/".length())))
                .update();
        assertThat(act(attempt, "string", "II", "turn", "5"))
                .hasStatusOk()
                .bodyText()
                .contains("nothing more fits in", "4000 things done");
        assertThat(get(keeper, attempt + "/moments")).hasStatusOk();
        assertThat(post(keeper, attempt + "/moments", "press", UUID.randomUUID().toString(), "at", "10"))
                .hasStatus(302);
        assertThat(act(attempt, "string", "II", "turn", "5")).hasStatus(302);
    }

    @Test
    void isNobodyElses() throws Exception {
        String attempt = attempt();
        SignedIn other = stranger();
        for (String path : List.of("", "/attempt.json", "/sound/II.wav")) {
            assertThat(get(other, attempt + path)).hasStatus(404);
        }
        assertThat(post(other, attempt + "/act", "string", "II", "turn", "-40")).hasStatus(404);
        assertThat(post(other, attempt + "/back", "string", "II")).hasStatus(404);
        assertThat(post(other, attempt + "/again")).hasStatus(404);
    }

    @Test
    void soundsAsItIsAndNotWhereItIsSlack() {
        String attempt = attempt();
        MvcTestResult heard = get(keeper, attempt + "/sound/I.wav");
        assertThat(heard).hasStatus(200).hasContentType("audio/wav");
        assertThat(new String(heard.getResponse().getContentAsByteArray(), 0, 4, UTF_8))
                .isEqualTo("RIFF");
        assertThat(act(attempt, "string", "I", "turn", "-360")).hasStatus(302);
        assertThat(get(keeper, attempt + "/sound/I.wav")).hasStatus(404);
        assertThat(get(keeper, attempt + "/sound/I.wav?beside=PITCH")).hasStatus(200);
        assertThat(get(keeper, attempt + "/sound/V.wav?beside=PITCH")).hasStatus(404);
    }

    /** Saved and read again it is the same to the last cent, worked out anew. */
    @Test
    void isSavedAndReadAgain() throws Exception {
        String attempt = attempt();
        for (String[] one : List.of(
                new String[] {"turn", "-700"},
                new String[] {"does", "TAKE_OFF"},
                new String[] {"does", "HANG"},
                new String[] {"does", "THREAD", "tip", "6", "lock", "STRAIGHT_TO_WALL"},
                new String[] {"does", "GRAPHITE"},
                new String[] {"does", "LAY_BACK"},
                new String[] {"turn", "1000"},
                new String[] {"turn", "130", "pushing", "true", "guiding", "true"},
                new String[] {"ease", "-1"},
                new String[] {"does", "CARD"},
                new String[] {"does", "LET_GO"},
                new String[] {"does", "PLUCK"})) {
            String[] fields = new String[one.length + 2];
            fields[0] = "string";
            fields[1] = "III";
            System.arraycopy(one, 0, fields, 2, one.length);
            assertThat(act(attempt, fields)).as(String.join(" ", one)).hasStatus(302);
        }
        byte[] file = get(keeper, attempt + "/attempt.json").getResponse().getContentAsByteArray();
        MvcTestResult read = read(file);
        assertThat(read).hasStatus(302);
        String again = read.getResponse().getRedirectedUrl();
        assertThat(strings(again)).isEqualTo(strings(attempt));
        assertThat(seen(again).select(".practice-said").text())
                .isEqualTo(seen(attempt).select(".practice-said").text());
        assertThat(page(keeper, "/practice")).contains(again);
        String fresh = UUID.randomUUID().toString();
        assertThat(atOnce(keeper, attempt + "/again", "press", fresh)).containsOnly(302);
        assertThat(strings("/practice/" + fresh)).isEqualTo(strings(attempt()));
        String text = new String(file, UTF_8);
        for (String wrong : List.of(
                "no file",
                "{}",
                text.replace("rosined-peg-practice-1", "other"),
                text.replace("-700.0", "-7000.0"),
                text.replace("\"TAKE_OFF\"", "\"FLY\""),
                text.replace("\"strings\"", "\"cords\""))) {
            assertThat(read(wrong.getBytes(UTF_8))).hasStatusOk().bodyText().contains("This is no file of an attempt");
        }
    }

    private MvcTestResult read(byte[] file) {
        return mvc.post()
                .uri("/practice/read")
                .multipart()
                .file(new MockMultipartFile("file", "practice.json", "application/json", file))
                .with(user(keeper))
                .with(csrf())
                .exchange();
    }
}
