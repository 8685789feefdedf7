package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.springframework.beans.factory.annotation.Autowired;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.NewInstrument;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;

/** Tests in a real browser, one for each class. */
abstract class InBrowser extends RunningApplication {

    @Autowired
    Instruments instruments;

    @Autowired
    StringKinds kinds;

    static Browser browser;

    @BeforeAll
    static void openBrowser() {
        browser = new Browser();
    }

    @AfterAll
    static void closeBrowser() {
        browser.close();
    }

    /** A page left open would go on asking for what the next test no longer has. Nobody's console is left dirty. */
    @AfterEach
    void closePages() {
        List<String> complaints = List.copyOf(browser.complaints());
        browser.closePages();
        assertThat(complaints).as("said in the console").isEmpty();
    }

    /** A full-sized violin in the workshop at hand, its strings on for a month: neither due nor new. */
    UUID violin(String name) {
        UUID id = instruments.add(new NewInstrument(
                name,
                Size.of(Family.VIOLIN, "4/4"),
                false,
                ReferenceA.STANDARD,
                Family.VIOLIN.openStrings(),
                Collections.nCopies(4, TailEnd.SLOT),
                false,
                Family.VIOLIN.usualPegs(),
                2,
                Demand.STUDY));
        Map<Position, StringKind> set =
                kinds.usual(instruments.get(id).setUp()).values().iterator().next();
        Instant since = Instant.now().minus(30, ChronoUnit.DAYS);
        set.forEach((position, kind) -> instruments.fit(id, position, kind.id(), since, Before.NOTHING, false));
        return id;
    }

    static Locator heading(Page page) {
        return page.locator("h1");
    }

    Page signedIn(String signIn, int width) {
        Page page = browser.open(address(), width, 800);
        Browser.signIn(page, signIn);
        return page;
    }

    /** Presses the pedal once; a bridge that leans too far is straightened and read first. */
    static void pedal(Page page) {
        String here = heading(page).textContent();
        if (page.locator("#bench [role=alert]").count() > 0) {
            page.keyboard().press("g");
            page.keyboard().type("0.2");
            page.keyboard().press("Enter");
            assertThat(page.locator("#bench [role=alert]")).hasCount(0);
            page.keyboard().press("Escape");
        }
        Browser.turn(page, "PageDown");
        assertThat(heading(page)).not().hasText(here);
        quiet(page);
    }

    /** Waits until what was asked for stands on the page, whole. */
    static void quiet(Page page) {
        assertThat(page.locator(".htmx-request, .htmx-swapping")).hasCount(0);
    }

    /** From a plan to its run. */
    static void toTheBench(Page page) {
        if (page.locator("#lookedAt").count() > 0) {
            page.locator("#lookedAt").check();
            assertThat(page.locator("#lookedAt")).isChecked();
        }
        // A press while one plan takes the place of another falls between two buttons.
        quiet(page);
        page.locator("#planned button.strong").click();
        page.waitForURL("**/bench/**");
        page.waitForLoadState();
    }

    /** Chooses one string, waiting for each answer. */
}
