package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;

/** Renews the pictures in docs/screenshots/; run by {@code ./peg shots}. */
@EnabledIfSystemProperty(named = "peg.shots", matches = ".+")
class ScreenshotsIT extends RunningApplication {

    private static final Path FOLDER = Path.of(System.getProperty("peg.shots", ""));

    @Test
    void takesThem() {
        try (Browser browser = new Browser()) {
            Page page = browser.open(address(), 1280, 800);
            Browser.signIn(page, "bench");
            shoot(page, "rack");
            UUID violin = instrument("Pit 1 violin");
            visit(page, "/instruments/" + instrument("Pit 8 cello"), "instrument");
            visit(page, "/instruments/" + violin + "/plan", "plan");
            visit(page, "/instruments/" + violin + "/pegbox", "pegbox");
            visit(page, "/instruments/" + violin + "/bridge?gap=1.4", "bridge");
            visit(page, "/instruments/" + violin + "/measure/PEGBOX", "measure");
            UUID run = openRun("Pit 5 viola");
            visit(page, "/instruments/" + instrument("Pit 8 cello") + "/symptoms?symptom=BRIDGE_WALKS", "symptoms");
            visit(
                    page,
                    "/instruments/" + violin
                            + "/choose?string=II&sound%5BDARK_BRIGHT%5D=FIRST_A_LITTLE&limits=NO_TENSER",
                    "choose");
            visit(page, "/bench/" + run, "bench");
            UUID settling = database.sql(
                            "select id from fitted_string where instrument_id = ? and position = 'II' and removed_at is null")
                    .param(instrument("Pit 2 violin"))
                    .query(UUID.class)
                    .single();
            visit(page, "/settling/" + settling, "settling");
            visit(page, "/diary", "diary");
            visit(page, "/week", "week");
            visit(page, "/lend", "lend");
            visit(page, "/drawer", "drawer");
            visit(page, "/buying", "buying");
            visit(page, "/lives/" + kind("Sluice") + "?with=" + kind("Weir"), "lives");
            page.navigate("/practice");
            page.locator("#instrument").fill("Pit 1 violin");
            page.locator("#begin").click();
            page.waitForURL("**/practice/*");
            for (String press :
                    List.of("string-II", "turn-360", "turn-360", "do-TAKE_OFF", "string-III", "turn-15", "do-PLUCK")) {
                page.locator("#" + press).click();
                assertThat(page.locator("#practice[aria-busy]")).hasCount(0);
            }
            shoot(page, "practice");
            Page narrow = browser.open(address(), 390, 844);
            Browser.signIn(narrow, "bench");
            visit(narrow, "/bench/" + run, "bench-narrow");
        }
    }

    /** While it hears III, a little flat. */
    @Test
    void takesWhatIsHeard(@TempDir Path folder) throws Exception {
        MadeUpSound sound = new MadeUpSound().string(293.66 * Math.pow(2, -11 / 1200.0), 4, true);
        try (Browser browser = Browser.hearing(sound.write(folder.resolve("heard.wav")))) {
            Page page = browser.open(address(), 1280, 800);
            Browser.signIn(page, "bench");
            page.navigate("/listen?instrument=Pit 1 violin&fifths=PURE");
            page.keyboard().press("m");
            assertThat(page.locator("[data-heard=string]")).hasText("III");
            assertThat(page.locator("[data-heard=note]")).containsText("String III");
            shoot(page, "listen");
        }
    }

    /** The second string of a line. */
    private UUID kind(String line) {
        return database.sql("select id from string_kind where line = ? and position = 'II'")
                .param(line)
                .query(UUID.class)
                .single();
    }

    private static void visit(Page page, String path, String name) {
        page.navigate(path);
        shoot(page, name);
    }

    private static void shoot(Page page, String name) {
        page.waitForLoadState();
        page.evaluate("document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }
}
