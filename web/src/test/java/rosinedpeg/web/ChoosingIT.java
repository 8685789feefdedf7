package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Off;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** How strings sound, and what is chosen by it, in a workshop that begins with nothing. */
class ChoosingIT extends InRequests {

    @Autowired
    Instruments instruments;

    private SignedIn keeper;
    private UUID violin;
    private UUID kind;
    private String sound;

    @BeforeEach
    void begin() {
        keeper = stranger();
        enterKind(keeper, "II");
        kind = kind(keeper, "II");
        violin = violin(keeper, "Fiddle");
        sound = "/instruments/" + violin + "/sound";
    }

    private <T> T in(Supplier<T> work) {
        return CurrentWorkshop.in(keeper, work);
    }

    /** {@return one that went on so many days ago, in place of what was on} */
    private UUID fit(UUID instrument, UUID ofKind, int daysAgo) {
        return in(() -> instruments.fit(
                instrument,
                Position.II,
                ofKind,
                Instant.now().minus(Duration.ofDays(daysAgo)),
                Before.NOTHING,
                false,
                new Off(CameOff.WORN, null)));
    }

    private void say(UUID instrument, UUID string, int bright) {
        assertThat(post(
                        keeper,
                        "/instruments/" + instrument + "/sound",
                        "press",
                        UUID.randomUUID().toString(),
                        "places[" + string + ":ON:DARK_BRIGHT]",
                        String.valueOf(bright)))
                .hasStatus(302);
    }

    private int kept() {
        return database.sql("select count(*) from string_sound where workshop_id = ? and not passed_over")
                .param(keeper.workshopId())
                .query(Integer.class)
                .single();
    }

    @Test
    void aStringIsAskedAboutOnceWhenItHasSettledAndWhatIsSaidIsFoundAgain() throws Exception {
        fit(violin, kind, 3);
        assertThat(post(keeper, sound + "/pass", "press", UUID.randomUUID().toString()))
                .hasStatus(302);
        assertThat(page(keeper, "/sound")).contains("Nothing is asked just now");
        UUID string = fit(violin, kind, 2);
        database.sql("update fitted_string set fitted_at = now() - interval '30 days' where id = ?")
                .param(string)
                .update();
        assertThat(page(keeper, "/sound")).contains("Fiddle").contains("settled since");
        assertThat(page(keeper, "/instruments/" + violin)).contains("how did you find the sound?");
        assertThat(page(keeper, sound)).contains("As it sounds now.").contains("rather dark");

        String key = string + ":ON";
        String tooLong = "x".repeat(501);
        assertThat(post(keeper, sound, "places[" + key + ":SOFT_FIRM]", "1", "notes[" + key + "]", tooLong))
                .hasStatusOk()
                .bodyText()
                .contains("At most 500 characters.", tooLong)
                .containsPattern(Pattern.compile("SOFT_FIRM]\" value=\"1\" checked"));
        assertThat(post(keeper, sound)).bodyText().contains("Nothing is said yet");

        String press = UUID.randomUUID().toString();
        for (int twice = 0; twice < 2; twice++) {
            assertThat(post(
                            keeper,
                            sound,
                            "press",
                            press,
                            "places[" + key + ":DARK_BRIGHT]",
                            "-1",
                            "places[" + key + ":SOFT_FIRM]",
                            "",
                            "notes[" + key + "]",
                            "Kind to the ear."))
                    .hasStatus(302);
        }
        assertThat(kept()).isEqualTo(1);
        assertThat(page(keeper, sound)).contains("Nothing is asked just now", "Kind to the ear.", "30 days");
        assertThat(page(keeper, "/sound/" + kind)).contains("Fiddle", "rather dark; Kind to the ear.");
        assertThat(page(keeper, "/instruments/" + violin + "/choose?string=II")).contains("Kind to the ear.");
    }

    /** Sent twice at one moment it is kept once, and both are answered. */
    @Test
    void aDoublePressIsKeptOnce() throws Exception {
        UUID string = fit(violin, kind, 30);
        String press = UUID.randomUUID().toString();
        ExecutorService two = Executors.newFixedThreadPool(4);
        try {
            Callable<MvcTestResult> says =
                    () -> post(keeper, sound, "press", press, "places[" + string + ":ON:DARK_BRIGHT]", "1");
            for (var done : two.invokeAll(List.of(says, says, says, says))) {
                assertThat(done.get()).hasStatus(302);
            }
        } finally {
            two.shutdown();
        }
        assertThat(kept()).isEqualTo(1);
    }

    @Test
    void whoWouldRatherNotSayIsNotAskedAgainUntilItComesOff() throws Exception {
        UUID string = fit(violin, kind, 30);
        assertThat(post(keeper, sound + "/pass", "press", UUID.randomUUID().toString()))
                .hasStatus(302);
        assertThat(page(keeper, sound)).contains("Nothing was said of it yet");
        fit(violin, kind, 1);
        assertThat(page(keeper, sound)).contains("It has come off");
        assertThat(post(keeper, sound, "places[" + string + ":CAME_OFF:SLOW_QUICK]", "-2"))
                .hasStatus(302);
        assertThat(page(keeper, sound))
                .contains("at the end, after", "slow to speak")
                .doesNotContain("It has come off");
    }

    /** Not of what is on elsewhere, was never there, or is said of a moment that has not come. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "places[%s:CAME_OFF:DARK_BRIGHT]=1=404",
                "places[%s:ON:DARK_BRIGHT]=3=400",
                "places[%s:ON:LOUDNESS]=1=400",
                "places[%s:LATER:DARK_BRIGHT]=1=400",
                "places[nothing]=1=400",
                "notes[%s:ON:DARK_BRIGHT]=Bright=400",
                "places[00000000-0000-0000-0000-000000000001:ON:DARK_BRIGHT]=1=404"
            })
    void nothingIsKeptThatNobodyCanHaveHeard(String sent) {
        String[] parts = sent.formatted(fit(violin, kind, 30)).split("=");
        assertThat(post(keeper, sound, parts[0], parts[1])).hasStatus(Integer.parseInt(parts[2]));
        assertThat(kept()).isZero();
    }

    @Test
    void whatWasSaidIsTakenBackByWhoSaidItOrTheKeeperAndByNobodyElse() throws Exception {
        UUID string = fit(violin, kind, 30);
        say(violin, string, 1);
        UUID said = database.sql("select id from string_sound where fitted_string_id = ?")
                .param(string)
                .query(UUID.class)
                .single();
        String signIn = "player-" + keeper.workshopId();
        accounts.add(keeper.workshopId(), signIn, "Player", Role.PLAYER, PASSWORD);
        SignedIn player = account(signIn);
        assertThat(page(player, sound)).doesNotContain("Take it back");
        assertThat(post(player, sound + "/" + said + "/back")).hasStatus(404);
        SignedIn other = stranger();
        assertThat(post(other, sound + "/" + said + "/back")).hasStatus(404);
        assertThat(post(other, sound, "places[" + string + ":ON:DARK_BRIGHT]", "1"))
                .hasStatus(404);
        assertThat(mvc.get().uri("/sound/" + kind).with(user(other))).hasStatus(404);
        assertThat(kept()).isEqualTo(1);
        assertThat(post(keeper, sound + "/" + said + "/back")).hasStatus(302);
        assertThat(kept()).isZero();
    }

    /** "A little darker and no tenser", by what was said on this violin and another. */
    @Test
    void kindsAreRankedByTheWishWithTheReasonAndPutIntoASet() throws Exception {
        UUID darker = otherKind("Dusk", "0.68", "54");
        UUID tenser = otherKind("Wire", "0.71", "70");
        UUID half = otherKind("Small", "0.60", "40");
        database.sql("update string_kind set design_length_mm = 250, total_length_mm = 440 where id = ?")
                .param(half)
                .update();
        database.sql("update string_kind set price = 20, currency = 'EUR' where id = ?")
                .param(darker)
                .update();
        UUID second = violin(keeper, "Second");
        for (UUID instrument : Set.of(violin, second)) {
            say(instrument, fit(instrument, kind, 200), 2);
            say(instrument, fit(instrument, darker, 100), 0);
            say(instrument, fit(instrument, kind, 40), 2);
        }
        String choose = "/instruments/" + violin + "/choose?string=II";
        String unranked = page(keeper, choose);
        assertThat(unranked).contains("The nearest in pull come first", "One does not fit");
        String ranked = page(keeper, choose + "&sound[DARK_BRIGHT]=FIRST_A_LITTLE&limits=NO_TENSER&sound[SOFT_FIRM]=");
        assertThat(ranked.indexOf("Wren Dusk")).isLessThan(ranked.indexOf("Wren Wire"));
        assertThat(ranked)
                .contains("said once here, said once elsewhere", "tenser", "nobody has said: as likely as of any kind")
                .doesNotContain("Wren Small")
                .containsPattern("(?s)Wren Dusk.*20\\.00 EUR.*EUR an hour of playing.*Wren Wire");
        String set = page(keeper, choose + "&set[II]=" + darker);
        assertThat(set).contains("The set so far", "Plan this change", "20.00 EUR");
        String plan = "/instruments/" + violin + "/plan?strings=II&kinds[II]=" + darker;
        assertThat(page(keeper, plan)).containsPattern("value=\"" + darker + "\"[^>]*selected");
        for (String worked : new String[] {"HOURS_LEFT", "STEADY_AT"}) {
            assertThat(page(keeper, "/instruments/" + violin + "/choose/working/" + worked + "?kind=" + darker))
                    .contains("Fiddle");
        }
        assertThat(page(keeper, "/instruments/" + violin + "/choose?string=I")).contains("on it now");
        assertThat(mvc.get().uri(choose).with(user(stranger()))).hasStatus(404);
    }

    /** Another kind for the place of the first, of another make. */
    private UUID otherKind(String line, String gaugeMm, String tensionN) {
        UUID id = UUID.randomUUID();
        database.sql(
                        "insert into string_kind select (jsonb_populate_record(k, jsonb_build_object('id', :id::text, 'maker', 'Wren',"
                                + " 'line', :line, 'diameter_mm', :gauge::numeric, 'tension_n', :tension::numeric))).* from string_kind k"
                                + " where k.id = :like")
                .param("id", id)
                .param("line", line)
                .param("gauge", gaugeMm)
                .param("tension", tensionN)
                .param("like", kind)
                .update();
        return id;
    }
}
