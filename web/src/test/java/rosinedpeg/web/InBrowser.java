package rosinedpeg.web;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
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

    /** A page left open would go on asking for what the next test no longer has. */
    @AfterEach
    void closePages() {
        browser.closePages();
    }

    static Locator heading(Page page) {
        return page.locator("h1");
    }

    Page signedIn(String signIn, int width) {
        Page page = browser.open(address(), width, 800);
        Browser.signIn(page, signIn);
        return page;
    }
}
