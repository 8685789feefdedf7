package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** Where a browser runs no scripts, every page works all the same. */
class WithoutScriptsIT extends InBrowser {

    /** From the rack to the end of a run in which a string breaks, with nothing but links and forms. */
    @Test
    void aRunIsLedToItsEndThoughAStringBreaks() {
        Page page = browser.openWithoutScripts(address(), 1280, 800);
        Browser.signIn(page, "bench");
        page.navigate("/instruments/" + instrument("Pit 1 violin") + "/plan?strings=II");
        assertThat(page.locator("button[data-print]:visible, button[data-opens]:visible"))
                .hasCount(0);
        page.locator("input[name=strings][value=II]").uncheck();
        page.locator("input[name=strings][value=III]").check();
        page.locator("noscript button").click();
        assertThat(page.locator("#planned")).containsText("III");
        page.locator("#planned button.strong").click();
        boolean broke = false;
        int presses = 0;
        while (page.locator("button[data-key=next]").count() > 0 && presses++ < 80) {
            if (!broke && page.locator("input[name=cents]").count() > 1) {
                broke = true;
                page.locator("a[data-key=wrong]").click();
                assertThat(heading(page)).hasText("What went wrong?");
                page.locator("button[value=STRING_BROKE]").click();
                assertThat(page.locator(".wrong .error"))
                        .hasText(new String[] {"Say with which string.", "Say where it broke."});
                page.locator("input[name=string][value='I']").check();
                page.locator("#place").selectOption("NUT");
                page.locator("button[value=STRING_BROKE]").click();
                assertThat(heading(page)).hasText("Back the fine tuner of I out");
                continue;
            }
            if (page.locator("#cents-III").count() > 0) {
                page.locator("#cents-III").fill("-20");
                page.locator("form:has(#cents-III) button").first().click();
                assertThat(page.locator("#read-III")).containsText("20");
            }
            String here = heading(page).textContent();
            String url = page.url();
            page.locator("button[data-key=next]").click();
            assertThat(page.url()).as("after %s", here).startsWith(url.replaceAll("\\?.*", ""));
        }
        assertThat(broke).isTrue();
        assertThat(heading(page)).containsText("III");
        assertThat(page.locator("a[href^='/settling/']").first()).isVisible();
    }
}
