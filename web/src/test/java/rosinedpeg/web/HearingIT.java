package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.platform.CurrentWorkshop;

/** The bench hears the strings, through a browser whose microphone plays what was made up. */
class HearingIT extends InBrowser {

    private static final List<Double> VIOLIN_HERTZ = List.of(659.26, 440.0, 293.66, 196.0);

    /** A made-up microphone that has to wait for its turn plays some cents off. */
    private static final Pattern ABOUT_TWENTY_FLAT = Pattern.compile("nearly, −(1[6-9]|2[0-4])");

    @TempDir
    Path folder;

    @Autowired
    Benches benches;

    private Browser hearing;

    @AfterEach
    void closeHearing() {
        if (hearing != null) {
            List<String> complaints = List.copyOf(hearing.complaints());
            hearing.close();
            assertThat(complaints).as("said in the console").isEmpty();
        }
    }

    private void hears(MadeUpSound sound) throws Exception {
        hearing = Browser.hearing(sound.write(folder.resolve("heard.wav")));
    }

    private Page open(String signIn) {
        Page page = hearing.open(address(), 1280, 800);
        Browser.signIn(page, signIn);
        return page;
    }

    private UUID ours(String name) {
        return CurrentWorkshop.in(account("bench"), () -> violin(name));
    }

    private BenchState state(UUID run) {
        return CurrentWorkshop.in(account("bench"), () -> benches.get(run)).state();
    }

    /** A run of some strings of a violin, from its first step on. */
    private static UUID toTheBench(Page page, UUID violin, String... strings) {
        page.navigate("/instruments/" + violin + "/plan?strings=" + String.join("&strings=", strings));
        toTheBench(page);
        return UUID.fromString(page.url().replaceAll(".*/bench/([0-9a-f-]+).*", "$1"));
    }

    /** The same, where II is brought up. */
    private UUID toBringUp(Page page, UUID violin) {
        UUID run = toTheBench(page, violin, "II");
        CurrentWorkshop.in(account("bench"), () -> {
            while (benches.get(run).state().now().orElseThrow().kind() != StepKind.BRING_UP) {
                BenchState state = benches.get(run).state();
                benches.record(
                        run,
                        Press.now(UUID.randomUUID(), state.lastSequence()),
                        state.heldByBridge()
                                ? new BenchEntry.Gap(0.2)
                                : new BenchEntry.Done(state.now().orElseThrow().index()));
            }
            return run;
        });
        page.navigate("/bench/" + run);
        return run;
    }

    /** Every string comes up within seconds; those that are off are never plucked, and what sounds goes round and round. */
    @Test
    void aWholeSetIsTunedByEar() throws Exception {
        MadeUpSound sound = new MadeUpSound();
        for (double hertz : VIOLIN_HERTZ) {
            sound.rest(0.3).string(hertz, 3.2, true);
        }
        hears(sound);
        Page page = open("bench");
        UUID run = toTheBench(page, ours("Heard violin"), "I", "II", "III", "IV");
        int heard = 0;
        while (page.locator(".bench-buttons [data-key=next]").count() > 0) {
            if (page.locator(".hearing").count() > 0) {
                String here = heading(page).textContent();
                if (heard == 0) {
                    page.keyboard().press("m");
                    page.locator("[data-wish]").check();
                }
                if (page.locator("#gap").count() > 0) {
                    page.locator("#gap").fill("0.2");
                    page.keyboard().press("Enter");
                    assertThat(page.locator("#read-gap")).containsText("leans");
                }
                assertThat(heading(page))
                        .not()
                        .hasText(here, new LocatorAssertions.HasTextOptions().setTimeout(120_000));
                heard++;
            } else {
                pedal(page);
            }
        }
        assertThat(state(run).finished()).isTrue();
        assertThat(heard).isGreaterThanOrEqualTo(5);
        assertThat(state(run).pitchCents()).containsOnlyKeys(Position.I, Position.II, Position.III, Position.IV);
        assertThat(state(run).pitchCents().values())
                .allSatisfy(cents -> assertThat(cents).isCloseTo(0, within(5.0)));
        assertThat(page.locator(".ears-says")).containsText("over");
    }

    /** Noise is no string: it says so, records nothing, and what is typed is taken as ever. What was read is taken back. */
    @Test
    void inNoiseItIsNotSure() throws Exception {
        hears(new MadeUpSound().noise(4));
        Page page = open("bench");
        UUID run = toBringUp(page, ours("Noisy violin"));
        long before = state(run).lastSequence();
        page.locator(".hearing-start [data-ears]").click();
        assertThat(page.locator("[data-heard=says]")).containsText("Not sure");
        page.waitForTimeout(2500);
        assertThat(state(run).lastSequence()).isEqualTo(before);
        page.keyboard().press("l");
        assertThat(page.locator("#read-II")).containsText("Nothing was heard of II");
        page.keyboard().press("Escape");
        page.keyboard().press("2");
        page.keyboard().type("-35");
        page.keyboard().press("Enter");
        assertThat(page.locator("#read-II")).containsText("nearly");
        assertThat(page.locator("[data-heard=says]")).containsText("Not sure");
        page.locator("#read-II button").click();
        assertThat(page.locator("#read-II")).not().containsText("nearly");
        assertThat(state(run).pitchCents()).doesNotContainKey(Position.II);
        Browser.assertAccessible(page);
        page.locator(".hearing-goes [data-ears]").click();
        assertThat(page.locator(".hearing-now")).isHidden();
    }

    @Test
    void aWrongStringIsToldAndNotRecorded() throws Exception {
        hears(new MadeUpSound().rest(0.4).string(VIOLIN_HERTZ.get(2), 1.5, false));
        Page page = open("bench");
        UUID run = toBringUp(page, ours("Wrong violin"));
        page.keyboard().press("m");
        assertThat(page.locator("[data-heard=note]")).hasText("That was III, not II. Nothing was recorded.");
        assertThat(state(run).pitchCents()).doesNotContainKey(Position.III);
    }

    /** No microphone, or no leave to use it: it says which, and everything is as it was. */
    @ParameterizedTest
    @CsvSource({"false, has no microphone", "true, does not let this page use the microphone"})
    void withoutAMicrophoneItSaysWhy(boolean there, String why) {
        Page page = signedIn("bench", 1280);
        if (there) {
            hearing = Browser.refusing();
            page = open("bench");
        }
        toBringUp(page, ours("Deaf violin"));
        page.keyboard().press("m");
        assertThat(page.locator(".ears-says")).containsText(why);
        assertThat(page.locator("#ears [data-again]")).isVisible();
        page.keyboard().press("2");
        page.keyboard().type("-35");
        page.keyboard().press("Enter");
        assertThat(page.locator("#read-II")).containsText("nearly");
    }

    /** A page that cannot be seen does not listen; seen again it goes on. Of two devices one listens, and the other sees what it hears. */
    @Test
    void oneDeviceListensAndOnlyWhileItIsSeen() throws Exception {
        hears(new MadeUpSound().rest(0.4).string(VIOLIN_HERTZ.get(1) * Math.pow(2, -20 / 1200.0), 1.5, false));
        Page first = open("bench");
        UUID run = toBringUp(first, ours("Shared violin"));
        first.keyboard().press("m");
        assertThat(first.locator("#read-II")).containsText(ABOUT_TWENTY_FLAT);

        Page second = open("pit");
        second.navigate("/bench/" + run);
        assertThat(second.locator("#read-II")).containsText(ABOUT_TWENTY_FLAT);
        second.keyboard().press("m");
        assertThat(second.locator(".ears-says")).hasText("Another device listens to this run.");
        second.locator("[data-instead]").click();
        assertThat(second.locator(".hearing-now")).isVisible();
        assertThat(first.locator(".ears-says")).hasText("Another device listens to this run.");

        see(second, false);
        assertThat(second.locator(".ears-says")).containsText("while this page is hidden");
        assertThat(second.locator(".hearing-now")).isHidden();
        see(second, true);
        assertThat(second.locator(".hearing-now")).isVisible();
        assertThat(second.locator("[data-heard=string]")).hasText("II");
    }

    /** A string that settles: the first pluck is a reading, the next only help to tune it; a wrong reading is taken back. */
    @Test
    void aPluckIsAReadingOfAStringThatSettles() throws Exception {
        UUID violin = ours("Settling violin");
        UUID fitted = CurrentWorkshop.in(
                account("bench"),
                () -> instruments.fit(
                        violin,
                        Position.II,
                        instruments
                                .get(violin)
                                .string(Position.II)
                                .orElseThrow()
                                .kind()
                                .id(),
                        Instant.now().minus(1, ChronoUnit.DAYS),
                        Before.NOTHING,
                        false));
        double a = 440;
        hears(new MadeUpSound()
                .rest(0.4)
                .string(a * Math.pow(2, -17 / 1200.0), 1.2, false)
                .rest(0.3)
                .string(a, 1.2, false));
        Page page = open("pit");
        page.navigate("/settling/" + fitted);
        Locator readings = page.locator("#readings tbody tr");
        int before = readings.count();
        page.keyboard().press("m");
        assertThat(readings).hasCount(before + 1);
        assertThat(page.locator("[data-heard=note]")).hasText("String II: at pitch.");
        assertThat(readings).hasCount(before + 1);
        assertThat(readings.last()).containsText(Pattern.compile("−1[3-9]|−2[01]"));
        assertThat(readings.last()).containsText("and tuned");
        readings.last().locator("button").click();
        assertThat(readings).hasCount(before);
        assertThat(database.sql(
                                "select count(*) from settling_reading where fitted_string_id = ? and taken_back_by = ?")
                        .param(fitted)
                        .param(account("pit").personId())
                        .query(Long.class)
                        .single())
                .isEqualTo(1);
    }

    private static void see(Page page, boolean seen) {
        page.evaluate(
                "hidden => { Object.defineProperty(document, 'hidden', { value: hidden, configurable: true });"
                        + " document.dispatchEvent(new Event('visibilitychange')); }",
                !seen);
    }

    /** By itself, on a narrow screen, for any violin and for one of the rack. */
    @Test
    void listensByItself() throws Exception {
        hears(new MadeUpSound().rest(0.4).string(VIOLIN_HERTZ.get(3) * Math.pow(2, 14 / 1200.0), 1.5, false));
        Page page = hearing.open(address(), 390, 844);
        Browser.signIn(page, "pit");
        page.navigate("/listen?fifths=TEMPERED");
        page.locator(".hearing-start [data-ears]").click();
        Locator note = page.locator("[data-heard=note]");
        assertThat(note).hasText(Pattern.compile("String IV: 1[2-8](\\.\\d)? cents sharp\\."));
        Browser.assertFits(page);
        Browser.assertAccessible(page);
        page.navigate("/listen?instrument=Pit 1 violin&fifths=PURE");
        page.keyboard().press("m");
        assertThat(note).containsText(Pattern.compile("String IV: ([6-9]|1[01])(\\.\\d)? cents sharp\\."));
    }
}
