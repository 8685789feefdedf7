package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A session that ends while somebody works takes nothing with it. */
class SignedOutIT extends InBrowser {

    private static final int LONG_ADDRESS = 2000;

    @AfterEach
    void notKnown() {
        browser.expected(401);
    }

    private void endSessions() {
        database.sql("delete from spring_session").update();
    }

    private long sessions() {
        return database.sql("select count(*) from spring_session")
                .query(Long.class)
                .single();
    }

    private static void signInAgain(Page page, Locator link) {
        link.click();
        page.locator("[name=signIn]").fill("bench");
        page.locator("[name=password]").fill(PASSWORD);
        page.keyboard().press("Enter");
    }

    /** Pressed after it ended, or noticed by the page itself: what is pressed is sent once, after the next sign-in, at the same step. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aPressIsSentAfterTheNextSignIn(boolean noticed) {
        UUID run = openRun("Pit 5 viola");
        Page page = signedIn("bench", 1280);
        page.navigate("/bench/" + run);
        Object next = page.locator("#ahead").evaluate("ahead => ahead.content.querySelector('h1').textContent");
        long before = events(run);
        endSessions();
        Locator kept = page.locator("#kept");
        if (noticed) {
            assertThat(kept).containsText("You are signed out");
        }
        Browser.turn(page, "PageDown");
        assertThat(kept.locator("b")).hasText("1");
        assertThat(kept).containsText("You are signed out");
        assertThat(heading(page)).hasText(next.toString());
        assertThat(events(run)).isEqualTo(before);
        Browser.assertAccessible(page);

        signInAgain(page, kept.locator("a"));
        page.waitForURL("**/bench/" + run + "*");
        assertThat(heading(page)).hasText(next.toString());
        assertThat(kept).isHidden();
        assertThat(events(run)).isEqualTo(before + 1);
    }

    /** A part of any other page is asked for in vain: the page stays, and says so. */
    @Test
    void aPageStaysAsItIs() {
        Page page = signedIn("bench", 1280);
        String plan = "/instruments/" + instrument("Pit 2 violin") + "/plan";
        page.navigate(plan);
        page.waitForLoadState();
        endSessions();
        page.locator("[name=strings][value=III]").check();
        Locator told = page.locator("#notice");
        assertThat(told).containsText("You are signed out");
        assertThat(page.locator("[name=strings][value=III]")).isChecked();
        signInAgain(page, told.locator("a"));
        page.waitForURL("**" + plan + "*");
    }

    /** Where scripts do not run, what was sent is told not to have been taken. */
    @Test
    void withoutScriptsItSaysThatNothingWasTaken() {
        UUID run = openRun("Pit 5 viola");
        Page page = browser.openWithoutScripts(address(), 1280, 800);
        page.navigate("/sign-in");
        signInAgain(page, page.locator("main h1"));
        page.waitForURL(url -> !url.contains("/sign-in"));
        page.navigate("/bench/" + run);
        long before = events(run);
        endSessions();
        page.locator("[data-key=next]").click();
        assertThat(page.locator("[role=status]")).containsText("once more");
        assertThat(events(run)).isEqualTo(before);
    }

    /** Whoever only looks, or guesses, takes no room. */
    @Test
    void aStrangerHasNoSession() throws Exception {
        endSessions();
        Device stranger = new Device(address());
        for (String path :
                List.of("/", "/sign-in", "/bench", "/begin", "/nowhere", "/bench?" + "far".repeat(LONG_ADDRESS))) {
            assertThat(stranger.get(path).statusCode()).as(path).isEqualTo(200);
        }
        String csrf = Device.field(stranger.get("/sign-in").body(), "_csrf");
        stranger.post("/sign-in", Map.of("signIn", "bench", "password", "wrong", "_csrf", csrf));
        assertThat(sessions()).isZero();
        stranger.signIn("bench");
        assertThat(sessions()).isEqualTo(1);
    }
}
