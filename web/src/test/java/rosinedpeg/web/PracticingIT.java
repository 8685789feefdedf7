package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.strings.Position;

/** A whole first change on the practice peg, with the pointer and with keys alone, in a workshop that begins with nothing. */
class PracticingIT extends InBrowser {

    private static Page begun(Page page, String size) {
        page.navigate("/practice");
        page.locator("#size").selectOption(size);
        page.getByText("Begin", new Page.GetByTextOptions().setExact(true)).click();
        page.waitForURL("**/practice/*");
        return page;
    }

    private static Locator state(Page page, String string) {
        return page.locator(".practice-string:has([value=" + string + "]) > .hint");
    }

    private static void press(Page page, String id) {
        page.locator("#" + id).click();
        done(page);
    }

    /** Everything that was pressed is answered. */
    private static void done(Page page) {
        assertThat(page.locator("#practice[aria-busy]")).hasCount(0);
    }

    /** Round the middle of a knob, in small steps as a hand goes. */
    private static void drag(Page page, String string, int degrees) {
        BoundingBox box = page.locator(".grip.at-" + string).boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        double radius = box.width * 0.4;
        page.mouse().move(x + radius, y);
        page.mouse().down();
        for (int at = 0; Math.abs(at) <= Math.abs(degrees); at += degrees < 0 ? -15 : 15) {
            page.mouse().move(x + radius * Math.cos(Math.toRadians(at)), y + radius * Math.sin(Math.toRadians(at)));
            page.waitForTimeout(10);
        }
        page.mouse().up();
        done(page);
    }

    private static boolean postFell(Page page) {
        return page.locator("#told").textContent().contains("sound post fell");
    }

    @Test
    void withThePointer() {
        Page page = begun(signedIn(stranger().signIn(), 1280), "VIOLIN 4/4");
        List<String> sounds = new ArrayList<>();
        page.onRequest(request -> {
            if (request.url().contains(".wav")) {
                sounds.add(request.url());
            }
        });
        Browser.assertAccessible(page);
        page.locator("[name=string][value=II]").click();
        assertThat(page.locator(".grip.at-II")).isVisible();
        press(page, "do-PLUCK");
        assertThat(page.locator(".practice-said")).containsText("String II sounds at its pitch");
        assertThat(sounds).as("silent until asked").isEmpty();
        drag(page, "II", -45);
        assertThat(state(page, "II")).containsText("cents flat");
        press(page, "do-TAKE_OFF");
        assertThat(page.locator(".practice-said")).containsText("still pulls too much");
        press(page, "turn-360");
        press(page, "turn-360");
        press(page, "do-TAKE_OFF");
        assertThat(state(page, "II")).hasText("off");
        Browser.assertAccessible(page);
        press(page, "do-GRAPHITE");
        press(page, "do-HANG");
        press(page, "do-THREAD");
        press(page, "do-LAY_BACK");
        for (int i = 0; i < 20 && !state(page, "II").textContent().contains("cents"); i++) {
            press(page, "turn90");
        }
        for (int i = 0; i < 60 && state(page, "II").textContent().contains("flat"); i++) {
            press(page, "turn15");
        }
        for (int i = 0; i < 12 && state(page, "II").textContent().contains("sharp"); i++) {
            press(page, "turn-3");
        }
        assertThat(state(page, "II")).hasText("at pitch");
        press(page, "do-LET_GO");
        assertThat(state(page, "II")).hasText("at pitch");
        page.locator("#hear").check();
        page.waitForRequest("**/sound/II.wav", () -> press(page, "do-PLUCK"));
        assertThat(page.locator("#hear")).isChecked();
    }

    /** What is pressed after a sign-out, or without a connection, is sent when both are back, once. */
    @Test
    void noPressIsLost() {
        String who = stranger().signIn();
        Page page = begun(signedIn(who, 1280), "VIOLIN 4/4");
        page.locator("#string-II").click();
        done(page);
        page.context().clearCookies();
        page.locator("#turn-15").click();
        page.waitForURL("**/sign-in**");
        Browser.signIn(page, who);
        assertThat(page.locator(".practice-head .hint")).containsText("One thing done");
        page.locator("#string-II").click();
        done(page);
        assertThat(state(page, "II")).containsText("cents flat");
        page.context().setOffline(true);
        page.locator("#turn15").click();
        assertThat(page.locator("#unsent")).isVisible();
        page.context().setOffline(false);
        assertThat(page.locator(".practice-head .hint")).containsText("2 things done");
        assertThat(page.locator("#unsent")).isHidden();
        assertThat(state(page, "II")).hasText("at pitch");
        assertThat(browser.complaints()).as("the refusal itself").allMatch(one -> one.contains("403"));
        browser.complaints().clear();
    }

    /** The post falls once, and is gone back from; then one string is changed. */
    @Test
    void withKeysAlone() {
        Page page = begun(signedIn(stranger().signIn(), 390), "VIOLIN 4/4");
        Browser.assertFits(page);
        for (int string = 1; string <= 3 && !postFell(page); string++) {
            page.keyboard().press(Integer.toString(string));
            assertThat(page.locator("[name=string][value=" + Position.ofNumber(string) + "]"))
                    .isChecked();
            done(page);
            for (int i = 0; i < 14 && !postFell(page); i++) {
                page.keyboard().press("Shift+ArrowDown");
                done(page);
            }
        }
        for (int i = 0; i < 60 && !postFell(page); i++) {
            page.keyboard().press("p");
            done(page);
        }
        assertThat(page.locator("#told")).containsText("The sound post fell");
        Browser.assertAccessible(page);
        page.keyboard().press("b");
        assertThat(page.locator(".practice-views")).not().containsText("has fallen");
        done(page);
        begun(page, "CELLO 4/4");
        page.keyboard().press("4");
        assertThat(page.locator("[name=string][value=IV]")).isChecked();
        done(page);
        for (int i = 0; i < 40 && !state(page, "IV").textContent().equals("slack"); i++) {
            page.keyboard().press("Shift+ArrowDown");
            done(page);
        }
        done(page);
        page.locator("#do-TAKE_OFF").focus();
        page.keyboard().press("Enter");
        assertThat(state(page, "IV")).hasText("off");
        done(page);
        page.locator("#do-HANG").focus();
        page.keyboard().press("Enter");
        assertThat(state(page, "IV")).containsText("tail only");
        done(page);
        page.locator("#do-THREAD").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#do-LAY_BACK")).isVisible();
        done(page);
        page.locator("#do-LAY_BACK").focus();
        page.keyboard().press("Enter");
        assertThat(state(page, "IV")).hasText("slack");
        Browser.assertFits(page);
    }
}
