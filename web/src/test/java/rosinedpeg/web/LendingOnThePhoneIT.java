package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;

/** An instrument goes out and comes back, on a narrow screen and from the keyboard, in a workshop that begins with nothing. */
class LendingOnThePhoneIT extends InBrowser {

    private static final int NARROW = 390;

    @Test
    void itGoesOutAndComesBack() {
        SignedIn keeper = stranger();
        CurrentWorkshop.in(keeper, () -> violin("Loan 1"));
        Page page = signedIn(keeper.signIn(), NARROW);
        page.navigate("/lend");
        page.getByLabel("An instrument that is lent").fill("Loan 7");
        page.getByText("Put it on the shelf").click();
        assertThat(page.locator("#instrument-said .error")).hasText("No instrument of the workshop is called so.");
        assertThat(page.getByLabel("An instrument that is lent")).hasValue("Loan 7");
        page.getByLabel("An instrument that is lent").fill("loan 1");
        page.keyboard().press("Enter");
        assertThat(page.locator(".shelf-line")).hasCount(1);
        sound(page);
        page.locator(".shelf-line").getByText("Lend it").click();
        page.getByLabel("Who borrows").fill("Village 3");
        sound(page);
        page.keyboard().press("Enter");
        assertThat(page.locator(".lede")).containsText("Promised to Village 3");
        page.getByText("Hand it out").click();
        page.getByText("It goes out", new Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.locator(".look .error"))
                .hasCount(page.locator(".look > li").count());
        sound(page);
        for (Locator good : page.locator("input[name=good]").all()) {
            good.focus();
            page.keyboard().press("Space");
        }
        page.getByText("It goes out", new Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.locator(".lede")).containsText("Village 3 has it since");
        sound(page);
        page.getByText("Slip to sign").click();
        page.waitForURL("**/slip");
        sound(page);
        assertThat(page.pdf()).hasSizeGreaterThan(5_000);
        page.goBack();
        page.getByText("Take it back").click();
        page.locator("input[value='II STICKS']").check();
        for (String stop : List.of("STRINGS", "BRIDGE", "POST", "FINE_TUNERS", "BODY", "BOW")) {
            Locator good = page.locator("input[name=good][value=" + stop + "]");
            if (good.count() > 0) {
                good.check();
            }
        }
        page.getByText("It is back", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("main")).containsText("Peg II sticks");
        for (String path : List.of("/lend", "/lend/wear", "/lend/turn", "/lend/borrowers")) {
            page.navigate(path);
            sound(page);
        }
    }

    private static void sound(Page page) {
        Browser.assertAccessible(page);
        Browser.assertFits(page);
    }
}
