package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;

/** Tests in a real browser, one for each class. */
abstract class InBrowser extends RunningApplication {

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
        assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                .hasCount(0);
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
