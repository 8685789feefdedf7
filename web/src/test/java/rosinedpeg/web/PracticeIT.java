package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** The practice peg by requests, in a workshop that begins with nothing. */
class PracticeIT extends InRequests {

    private SignedIn keeper;

    @BeforeEach
    void begin() {
        keeper = stranger();
    }

    private String attempt() {
        return begun(keeper, "size", "VIOLIN 4/4");
    }

    private String begun(SignedIn who, String... fields) {
        String[] all = new String[fields.length + 2];
        all[0] = "press";
        all[1] = UUID.randomUUID().toString();
        System.arraycopy(fields, 0, all, 2, fields.length);
        MvcTestResult begun = post(who, "/practice", all);
        assertThat(begun).hasStatus(302);
        return begun.getResponse().getRedirectedUrl();
    }

    private String state(String attempt, String string) throws Exception {
        return state(seen(attempt), string);
    }

    private static String state(Document page, String string) {
        return page.select(".practice-string:has([value=" + string + "]) > .hint")
                .text();
    }

    /** By what is said of it, as somebody does who cannot hear it, and with the turns that there are buttons for. */
    private void bringUp(String attempt, String string, String pushing) throws Exception {
        String state = state(attempt, string);
        for (int turns = 0; turns < 120 && !state.equals("at pitch"); turns++) {
            double cents = state.contains("cents") ? Double.parseDouble(state.replaceAll("\\D", "")) : 9999;
            String by = state.contains("sharp")
                    ? cents > 60 ? "-3" : "-0.2"
                    : cents == 9999 ? "90" : cents > 250 ? "15" : cents > 60 ? "3" : "0.2";
            String answer = mvc.post()
                    .uri(attempt + "/act")
                    .header("HX-Request", "true")
                    .param("press", UUID.randomUUID().toString())
                    .param("string", string)
                    .param("turn", by)
                    .param("pushing", pushing)
                    .param("guiding", "true")
                    .with(user(keeper))
                    .with(csrf())
                    .exchange()
                    .getResponse()
                    .getContentAsString();
            state = state(Jsoup.parse(answer), string);
        }
        assertThat(state).isEqualTo("at pitch");
    }

    private void letGo(String attempt, String string) throws Exception {
        for (int times = 0; times < 3; times++) {
            act(attempt, "string", string, "does", "PUSH");
        }
        bringUp(attempt, string, "true");
        act(attempt, "string", string, "does", "LET_GO");
    }

    private void takeOff(String attempt, String string) throws Exception {
        for (int turns = 0; turns < 6 && !state(attempt, string).equals("slack"); turns++) {
            act(attempt, "string", string, "turn", "-360");
        }
        act(attempt, "string", string, "does", "TAKE_OFF", "cloth", "true");
    }

    private void putOn(String attempt, String string) throws Exception {
        act(attempt, "string", string, "does", "GRAPHITE");
        act(attempt, "string", string, "does", "HANG");
        String tip = seen(attempt + "?string=" + string).select("#tip").attr("value");
        act(attempt, "string", string, "does", "THREAD", "tip", tip, "lock", "FAR_SIDE_THEN_CROSS");
        act(attempt, "string", string, "does", "LAY_BACK");
        bringUp(attempt, string, "true");
        letGo(attempt, string);
    }

    /** With a post that luck may let fall: then it is gone back from, looked at, and tried once more. */
    private void actWithCare(String attempt, String... fields) throws Exception {
        act(attempt, fields);
        for (int times = 0; times < 9 && seen(attempt).text().contains("sound post has fallen"); times++) {
            post(keeper, attempt + "/back", "press", UUID.randomUUID().toString());
            act(attempt, "string", "I", "does", "CARD");
            act(attempt, fields);
        }
    }

    private void layAside(String attempt, String string) throws Exception {
        for (int turns = 0; turns < 40 && !state(attempt, string).contains("beside"); turns++) {
            act(attempt, "string", string, "turn", "-15");
            act(attempt, "string", string, "does", "SET_ASIDE");
        }
    }

    private void rounds(String attempt, List<String> strings) throws Exception {
        for (int round = 0; round < 8 && seen(attempt).select(".lesson-done").isEmpty(); round++) {
            for (String string : strings) {
                bringUp(attempt, string, "true");
            }
        }
    }

    private void straighten(String attempt) throws Exception {
        act(attempt, "string", "I", "does", "CARD");
        for (int times = 0;
                times < 8 && !seen(attempt).select(".practice-views").text().contains("upright");
                times++) {
            actWithCare(attempt, "string", "I", "ease", "1");
        }
    }

    /** Whatever a lesson asks is within reach of hands, with the buttons there are. */
    @ParameterizedTest
    @EnumSource(Lesson.class)
    void everyLessonIsDoneByHand(Lesson lesson) throws Exception {
        for (int unlucky = 0; unlucky < 3; unlucky++) {
            try {
                doByHand(lesson);
                return;
            } catch (AssertionError fell) {
                // Luck may let something fall for good; then it is begun anew, with other luck.
            }
        }
        doByHand(lesson);
    }

    private void doByHand(Lesson lesson) throws Exception {
        List<String> strings = List.of("IV", "III", "II", "I");
        String attempt = begun(keeper, "size", "VIOLIN 4/4", "lesson", lesson.name());
        switch (lesson) {
            case TURN_AND_PUSH -> {
                bringUp(attempt, "II", "true");
                letGo(attempt, "II");
            }
            case LISTEN -> {
                bringUp(attempt, "III", "true");
                act(attempt, "string", "III", "does", "PLUCK");
            }
            case TAKE_OFF -> takeOff(attempt, "IV");
            case WIND -> putOn(attempt, "IV");
            case EASE_THE_BRIDGE -> straighten(attempt);
            case GRAPHITE -> {
                layAside(attempt, "III");
                act(attempt, "string", "III", "does", "GRAPHITE");
                act(attempt, "string", "III", "does", "LAY_BACK");
                letGo(attempt, "III");
            }
            case MAKE_WAY -> {
                String covered = seen(attempt).select(".ask").text().replaceAll("Take string (\\w+) off.*", "$1");
                SetUp setUp = SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4"));
                Map<Position, StringSpec> usual = new EnumMap<>(Position.class);
                setUp.positions().forEach(position -> usual.put(position, UsualString.of(setUp, position)));
                for (Position over : new StrungPegbox(setUp, usual, Map.of()).coveredBy(Position.valueOf(covered))) {
                    layAside(attempt, over.name());
                }
                takeOff(attempt, covered);
            }
            case PEG_THAT_STICKS, PEG_THAT_SLIPS -> {
                String string = lesson == Lesson.PEG_THAT_STICKS ? "II" : "III";
                takeOff(attempt, string);
                act(attempt, "string", string, "does", "TREAT", "treatment", "PEG_COMPOUND");
                putOn(attempt, string);
            }
            case ROUNDS -> rounds(attempt, strings);
            case WHOLE_SET -> {
                for (String string : strings) {
                    takeOff(attempt, string);
                    putOn(attempt, string);
                    straighten(attempt);
                }
                rounds(attempt, strings);
            }
            case BRIDGE_DOWN -> {
                for (String string : strings) {
                    actWithCare(attempt, "string", string, "turn", "-360");
                    actWithCare(attempt, "string", string, "turn", "-360");
                }
                actWithCare(attempt, "string", "I", "does", "STAND");
                String said = "slack";
                for (int round = 0; round < 30 && said.contains("slack"); round++) {
                    for (String string : strings) {
                        String state = state(attempt, string);
                        if (!state.contains("cents") && !state.equals("at pitch")) {
                            act(attempt, "string", string, "turn", "90", "pushing", "true", "guiding", "true");
                        }
                    }
                    straighten(attempt);
                    said = strings(attempt);
                }
                rounds(attempt, strings);
            }
        }
        lesson(attempt, "Done");
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
        assertThat(seen(attempt).select(".practice-head .count").text()).startsWith("One thing done");
        assertThat(strings(attempt)).isNotEqualTo(before).contains("cents flat");
        for (int i = 0; i < 3; i++) {
            assertThat(act(attempt, "string", "II", "turn", "-15")).hasStatus(302);
        }
        String back = UUID.randomUUID().toString();
        assertThat(atOnce(keeper, attempt + "/back", "press", back, "string", "II"))
                .containsOnly(302);
        assertThat(seen(attempt).select(".practice-head .count").text()).startsWith("3 things done");
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
        assertThat(seen(attempt).select(".practice-head .count").text()).startsWith("One thing done");
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
        assertThat(seen(attempt).select(".practice-head .count").text()).startsWith("Nothing done");
        assertThat(act(attempt, "string", "V", "does", "PLUCK")).hasStatus(200);
    }

    /** An attempt has an end; it is told beside the hands, and what was done stays. */
    @Test
    void takesNoMoreThanFitsIn() throws Exception {
        String attempt = begun(keeper, "size", "VIOLIN 4/4", "lesson", "TAKE_OFF");
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

    private void lesson(String attempt, String said) throws Exception {
        Document page = seen(attempt);
        assertThat(page.select(".lesson-done b").text())
                .as(page.select(".practice-string, .practice-said, .practice-views figcaption")
                        .text())
                .startsWith(said);
    }

    /** What was done before anybody began stays; what was asked is noticed by itself, and the lesson comes back. */
    @Test
    void aLessonBeginsAsItIsMeantToAndComesBack() throws Exception {
        String attempt = begun(keeper, "size", "VIOLIN 4/4", "lesson", "WIND");
        assertThat(state(attempt, "IV")).isEqualTo("off");
        post(keeper, attempt + "/back", "press", UUID.randomUUID().toString());
        post(keeper, attempt + "/moments", "press", UUID.randomUUID().toString(), "at", "0");
        assertThat(state(attempt, "IV")).isEqualTo("off");
        assertThat(seen(attempt).select(".practice-head .count").text()).startsWith("Nothing done");
        lesson(attempt, "");
        act(attempt, "string", "IV", "does", "HANG");
        act(attempt, "string", "IV", "does", "THREAD", "tip", "8", "lock", "FAR_SIDE_THEN_CROSS");
        act(attempt, "string", "IV", "does", "LAY_BACK");
        letGo(attempt, "IV");
        lesson(attempt, "Done, and nothing went wrong on the way.");
        String listed =
                Jsoup.parse(page(keeper, "/practice")).select("#lesson-WIND").text();
        assertThat(listed).contains("Went well", "comes back on", "Do it again");
        assertThat(page(keeper, "/practice/course")).contains("1 of 12 lessons went well");
        post(keeper, attempt + "/back", "press", UUID.randomUUID().toString());
        lesson(attempt, "Done, and nothing went wrong");
        String again = post(
                        keeper, attempt + "/again", "press", UUID.randomUUID().toString())
                .getResponse()
                .getRedirectedUrl();
        assertThat(state(again, "IV")).isEqualTo("off");
        lesson(again, "");
    }

    /** A mistake is shown at its moment beside good hands; taken back, it was one all the same. */
    @Test
    void whatWentWrongIsShownBesideGoodHandsAndIsNotForgotten() throws Exception {
        String attempt = begun(keeper, "size", "VIOLIN 4/4", "lesson", "TURN_AND_PUSH");
        bringUp(attempt, "II", "false");
        act(attempt, "string", "II", "does", "LET_GO");
        String wrong = seen(attempt).select(".lesson-asked a.quiet").attr("href");
        Document beside = Jsoup.parse(page(keeper, wrong));
        assertThat(beside.select(".harm").text()).contains("crept back");
        assertThat(beside.select("#theirs").text()).startsWith("Good hands, 1:");
        assertThat(beside.select(".practice-best li").eachText()).contains("peg of II pushed in", "peg of II let go");
        assertThat(beside.select(".ledger-drawing .best")).isNotEmpty();
        assertThat(Jsoup.parse(page(keeper, wrong.replace("best=1", "best=99")))
                        .select("section:has(#theirs) .practice-seen")
                        .text())
                .contains("II at pitch");
        post(keeper, attempt + "/back", "press", UUID.randomUUID().toString());
        for (int times = 0; times < 3; times++) {
            act(attempt, "string", "II", "does", "PUSH");
        }
        act(attempt, "string", "II", "does", "LET_GO");
        bringUp(attempt, "II", "true");
        act(attempt, "string", "II", "does", "LET_GO");
        lesson(attempt, "Done. Something went wrong on the way");
        assertThat(Jsoup.parse(page(keeper, "/practice"))
                        .select("#lesson-TURN_AND_PUSH")
                        .text())
                .contains("Done, and something went wrong each time");
    }

    /** Where good hands have nothing left to do, the page says so. */
    @Test
    void isLookedThroughAfterItIsDone() throws Exception {
        String attempt = begun(keeper, "size", "VIOLIN 4/4", "lesson", "TAKE_OFF");
        takeOff(attempt, "IV");
        act(attempt, "does", "CARD", "string", "IV");
        assertThat(seen(attempt + "/moments").select("#theirs").text()).contains("nothing");
    }

    @Test
    void aLessonAndAStringHaveToSuitTheInstrument() throws Exception {
        assertThat(refusal(keeper, "/practice", "size", "BASS 3/4", "lesson", "PEG_THAT_SLIPS"))
                .contains("needs pegs that hold by friction");
        assertThat(refusal(keeper, "/practice", "size", "VIOLIN 4/4", "change", "V"))
                .contains("This instrument has no string V.");
        assertThat(post(keeper, "/practice", "size", "VIOLIN 4/4", "lesson", "FLY")
                        .getResponse()
                        .getStatus())
                .isIn(200, 400);
    }

    /** Nobody plays before every string sounds and the hand is off; what was left out counts; the best stands beside the next. */
    @Test
    void theClockCountsWhatIsOwedAndTheBestIsItsShadow() throws Exception {
        String attempt = begun(keeper, "size", "VIOLIN 4/4", "change", "III");
        act(attempt, "string", "III", "turn", "-700");
        assertThat(post(keeper, attempt + "/ready", "string", "III"))
                .hasStatusOk()
                .bodyText()
                .contains("Not yet: every string has to sound");
        change(attempt, false);
        assertThat(atOnce(keeper, attempt + "/ready", "string", "III")).containsOnly(302);
        Document first = seen(attempt);
        assertThat(first.select(".clock-owes").text())
                .contains("graphite in its grooves (1:00)", "a card beside the bridge");
        assertThat(first.select(".clock-result").text()).contains("Your first that counts");
        act(attempt, "string", "III", "turn", "-90");
        assertThat(seen(attempt).select(".practice-hands").text()).as("over").contains("III D at pitch");
        String next = begun(keeper, "size", "VIOLIN 4/4", "change", "III");
        act(next, "string", "III", "turn", "-700");
        change(next, true);
        post(keeper, next + "/ready", "string", "III");
        Document second = seen(next);
        assertThat(second.select(".clock-result").text()).contains("faster than your best until now");
        assertThat(second.select(".clock-splits .best td")).isNotEmpty();
        assertThat(Jsoup.parse(page(keeper, "/practice"))
                        .select(".practice-learn .practice-line")
                        .text())
                .contains("III Violin 4/4 your best "
                        + second.select(".clock-splits tr:not(.best) td:last-child")
                                .last()
                                .text());
        assertThat(database.sql("select mod(total_ms - floor(1000 * extract(epoch from finished_at"
                                + " - (select min(done_at) from practice_action where attempt_id = attempt.id))), 1000)"
                                + " from practice_attempt attempt where account_id = ? and total_ms is not null")
                        .param(keeper.accountId())
                        .query(Integer.class)
                        .list())
                .as("whole seconds are owed: what is kept ends at the moment that is shown")
                .isNotEmpty()
                .containsOnly(0);
        String other = begun(keeper, "size", "CELLO 4/4", "change", "III");
        act(other, "string", "III", "turn", "-5");
        assertThat(seen(other).select(".clock-splits .best"))
                .as("another instrument has no shadow")
                .isEmpty();
        assertThat(post(keeper, attempt() + "/ready", "string", "III")).hasStatus(404);
    }

    private void change(String attempt, boolean all) throws Exception {
        act(attempt, "string", "III", "does", "TAKE_OFF", "cloth", "true");
        if (all) {
            act(attempt, "string", "III", "does", "GRAPHITE");
        }
        act(attempt, "string", "III", "does", "HANG");
        act(attempt, "string", "III", "does", "THREAD", "tip", "8", "lock", "FAR_SIDE_THEN_CROSS");
        act(attempt, "string", "III", "does", "LAY_BACK");
        letGo(attempt, "III");
    }

    /** A keeper sets lessons and sees how far everybody has come; nobody else does, and nobody of another workshop is seen. */
    @Test
    void aKeeperSetsLessons() throws Exception {
        String name = "learner" + UUID.randomUUID().toString().substring(0, 8);
        accounts.add(keeper.workshopId(), name, "Learner", Role.PLAYER, PASSWORD);
        SignedIn learner = accounts.find(name).orElseThrow();
        String course = "/practice/people/" + learner.accountId();
        LocalDate day = LocalDate.now().plusDays(5);
        assertThat(refusal(keeper, course, "lessons", "WIND", "until", "1999-01-01"))
                .isNotEmpty();
        assertThat(atOnce(
                        keeper,
                        course,
                        filled(
                                keeper,
                                course,
                                course,
                                "lessons",
                                "WIND",
                                "lessons",
                                "ROUNDS",
                                "until",
                                day.toString())))
                .containsOnly(302);
        assertThat(post(keeper, course, filled(keeper, course, course, "lessons", "WIND", "until", day.toString())))
                .hasStatus(302);
        Document page = Jsoup.parse(page(learner, "/practice"));
        assertThat(page.select("#lesson-WIND").text()).contains("Set for you until");
        assertThat(page.select("#lesson-WIND").hasClass("next")).isTrue();
        assertThat(page.select("#lesson-ROUNDS").text()).doesNotContain("Set for you");
        assertThat(Jsoup.parse(page(keeper, "/practice/people"))
                        .select(".learners li")
                        .eachText())
                .anySatisfy(line -> assertThat(line).contains("Learner", "0 of 12", "1 set"));
        assertThat(get(learner, "/practice/people")).hasStatus(403);
        assertThat(post(learner, course, "lessons", "WIND")).hasStatus(403);
        assertThat(get(stranger(), course)).hasStatus(404);
        assertThat(post(stranger(), course, "lessons", "WIND")).hasStatus(404);
    }
}
