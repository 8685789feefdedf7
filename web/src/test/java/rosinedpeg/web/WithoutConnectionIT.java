package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The bench on a device that has lost its connection, and was reloaded or started anew meanwhile. */
class WithoutConnectionIT extends InBrowser {

    private UUID run;
    private Page page;

    /** Signed in at the bench, on a device that has kept what it needs. */
    @BeforeEach
    void atTheBench() {
        run = openRun("Pit 5 viola");
        page = browser.openKeeping(address(), 1280, 800);
        Browser.signIn(page, "bench");
        page.navigate("/bench/" + run);
        until("() => navigator.serviceWorker.ready.then(() => true)", "");
        keeps("/bench/" + run);
        keeps("/bench");
        until("async () => (await (await caches.open('peg-parts')).keys()).length > 5", "");
    }

    /** Asks again and again: the browser's own waiting takes the promise of an answer for one. */
    private void until(String question, Object of) {
        for (int asked = 0; !Boolean.TRUE.equals(page.evaluate(question, of)); asked++) {
            assertThat(asked).as(question).isLessThan(300);
            page.waitForTimeout(100);
        }
    }

    private void keeps(String path) {
        until(
                "async (path) => Boolean(await (await caches.open('peg-pages')).match(path, {ignoreSearch: true}))",
                path);
    }

    /** Waits until the page is kept as it stands. */
    private void keepsHeading(String heading) {
        until(
                "async ([path, heading]) => (await (await (await caches.open('peg-pages')).match(path, {ignoreSearch: true}))?.text())?.includes(heading)",
                List.of("/bench/" + run, heading));
    }

    private List<String> later() {
        return page.locator("#ahead")
                                .evaluate(
                                        "ahead => [...ahead.content.querySelectorAll('h1')].map(each => each.textContent)")
                        instanceof List<?> all
                ? all.stream().map(Object::toString).toList()
                : List.of();
    }

    private static void endsOffline(Page page) {
        page.context().setOffline(false);
    }

    @Test
    void aReloadOrAStartWithoutAConnectionOpensTheBenchAsItWasLeft() {
        List<String> later = later();
        long before = events(run);
        page.context().setOffline(true);
        Browser.turn(page, "PageDown");
        assertThat(heading(page)).hasText(later.get(0));
        keepsHeading("class=\"bench-page ahead\"");

        page.reload();
        assertThat(heading(page)).hasText(later.get(0));
        assertThat(page.locator("#kept b")).hasText("1");
        Browser.turn(page, "PageDown");
        assertThat(heading(page)).hasText(later.get(1));

        page.navigate("/bench");
        page.locator("a[href='/bench/" + run + "']").first().click();
        page.waitForURL("**/bench/" + run);
        assertThat(heading(page)).hasText(later.get(1));
        assertThat(page.locator("#kept b")).hasText("2");
        page.navigate("/diary");
        assertThat(heading(page)).hasText("No connection");
        assertThat(page.locator("body")).not().containsText("Lantern Quay");
        Browser.assertAccessible(page);
        page.navigate("/bench/" + run);

        endsOffline(page);
        assertThat(page.locator("#kept")).isHidden();
        assertThat(page.locator("#bench")).not().hasClass(Pattern.compile("ahead"));
        assertThat(heading(page)).hasText(later.get(1));
        assertThat(events(run)).isEqualTo(before + 2);
    }

    /** Two presses and away, before the page was kept after either: it opens where they led, and goes on from there. */
    @Test
    void whoeverLeavesBeforeThePageWasKeptLosesNoStep() {
        List<String> later = later();
        long before = events(run);
        page.context().setOffline(true);
        keepsHeading("id=\"bench\"");
        page.evaluate("() => { caches.open = () => new Promise(() => {}); }");
        Browser.turn(page, "PageDown");
        assertThat(heading(page)).hasText(later.get(0));
        Browser.turn(page, "PageDown");
        assertThat(heading(page)).hasText(later.get(1));
        page.reload();
        assertThat(heading(page)).hasText(later.get(1));
        assertThat(page.locator("#kept b")).hasText("2");
        Browser.turn(page, "PageDown");
        assertThat(heading(page)).hasText(later.get(2));

        endsOffline(page);
        assertThat(page.locator("#kept")).isHidden();
        assertThat(heading(page)).hasText(later.get(2));
        assertThat(events(run)).isEqualTo(before + 3);
    }

    /** What is typed at a step that was sent ahead counts like any other reading. */
    @Test
    void readingsAreTypedAtStepsThatWereSentAhead() {
        page.context().setOffline(true);
        Locator readings = page.locator(".readings.ahead-part");
        for (int step = 0; step < later().size() && readings.count() == 0; step++) {
            Browser.turn(page, "PageDown");
        }
        assertThat(readings).isVisible();
        Locator field = readings.locator("input:not([type=hidden])").first();
        boolean gap = "gap".equals(field.getAttribute("name"));
        field.fill(gap ? "0.3" : "-12");
        field.press("Enter");
        assertThat(field).hasValue("");
        String kind = gap ? "GAP_READ" : "PITCH_READ";
        int before = read(kind);
        endsOffline(page);
        assertThat(page.locator("#kept")).isHidden();
        assertThat(page.locator("#refused")).isHidden();
        assertThat(read(kind)).isEqualTo(before + 1);
    }

    private int read(String kind) {
        return database.sql("select count(*) from run_event where run_id = ? and kind = ?")
                .params(run, kind)
                .query(Integer.class)
                .single();
    }

    @Test
    void whoSignsOutLeavesNothingToTheNext() {
        page.navigate("/");
        page.locator("form[action$='/sign-out'] button").click();
        page.waitForURL("**/sign-in?out");
        page.context().setOffline(true);
        page.navigate("/bench/" + run);
        assertThat(heading(page)).hasText("No connection");
        assertThat(page.locator("body")).not().containsText("Pit 5");
        endsOffline(page);
    }

    /** As if the last version had left its parts and its pages here. */
    @Test
    void aNewVersionTakesThePlaceOfTheOld() {
        String old = "/assets/bench-" + "0".repeat(32) + ".js";
        page.evaluate(
                "async (old) => { const parts = await caches.open('peg-parts');"
                        + " for (const part of await parts.keys()) if (part.url.includes('/assets/bench-')) await parts.delete(part);"
                        + " await parts.put(old, new Response('old'));"
                        + " await (await caches.open('peg-pages')).put('/bench/00000000-0000-0000-0000-000000000000', new Response('old')) }",
                old);
        page.reload();
        until(
                "async (old) => !(await caches.match(old)) && !(await caches.match('/bench/00000000-0000-0000-0000-000000000000', {ignoreSearch: true}))",
                old);
        keeps("/bench/" + run);
        assertThat(page.evaluate("async () => (await (await fetch('/manifest.webmanifest')).json()).start_url"))
                .isEqualTo("/bench");
    }
}
