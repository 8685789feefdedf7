package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Debian's Chromium, headless. */
final class Browser implements AutoCloseable {

    private static final int BOUNCE_MS = 125;

    /** What a test waits for comes; on a machine with other work to do it comes late. */
    private static final int PATIENCE_MS = 60_000;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    }

    /** What browser and htmx say of a request that a test, or the next page, cut off. */
    private static final Pattern CONNECTION_CUT = Pattern.compile(
            "htmx:(sendError|sendAbort|afterRequest), |net::ERR_(INTERNET_DISCONNECTED|FAILED|ABORTED)");

    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    private final Playwright playwright = Playwright.create();
    private final com.microsoft.playwright.Browser chromium;
    private final List<String> complaints = new ArrayList<>();

    Browser() {
        this(List.of());
    }

    private Browser(List<String> more) {
        chromium = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(
                                Stream.concat(ARGUMENTS.stream(), more.stream()).toList()));
    }

    /** {@return a browser that has a microphone and lets nobody use it} */
    static Browser refusing() {
        return new Browser(List.of("--use-fake-device-for-media-stream", "--deny-permission-prompts"));
    }

    /** {@return a browser whose microphone hears a sound, from its beginning each time, over and over} */
    static Browser hearing(Path wav) {
        return new Browser(List.of(
                "--use-fake-ui-for-media-stream",
                "--use-fake-device-for-media-stream",
                "--use-file-for-fake-audio-capture=" + wav));
    }

    /** {@return a page of its own session} */
    Page open(String address, int width, int height) {
        return open(address, width, height, true, ServiceWorkerPolicy.BLOCK);
    }

    /** {@return a page of its own session on a device that keeps what it needs without a connection} */
    Page openKeeping(String address, int width, int height) {
        return open(address, width, height, true, ServiceWorkerPolicy.ALLOW);
    }

    /** {@return a page of its own session that runs no scripts} */
    Page openWithoutScripts(String address, int width, int height) {
        return open(address, width, height, false, ServiceWorkerPolicy.BLOCK);
    }

    private Page open(String address, int width, int height, boolean scripts, ServiceWorkerPolicy workers) {
        BrowserContext context = chromium.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                .setBaseURL(address)
                .setViewportSize(width, height)
                .setJavaScriptEnabled(scripts)
                .setServiceWorkers(workers)
                .setLocale("en-GB"));
        context.setDefaultTimeout(PATIENCE_MS);
        Page page = context.newPage();
        page.onConsoleMessage(message -> {
            if (message.type().equals("error")
                    && !CONNECTION_CUT.matcher(message.text()).find()) {
                complaints.add(page.url() + ": " + message.text());
            }
        });
        page.onPageError(error -> complaints.add(page.url() + ": " + error));
        return page;
    }

    /** Closes every page, and with them what they complained about. */
    void closePages() {
        List.copyOf(chromium.contexts()).forEach(BrowserContext::close);
        complaints.clear();
    }

    /** {@return what the pages have complained about: script errors, blocked styles, missing files} */
    List<String> complaints() {
        return complaints;
    }

    /** A status that a test asked for is no complaint, though browser and htmx both say it in the console. */
    void expected(int status) {
        complaints.removeIf(complaint ->
                complaint.contains("status of " + status) || complaint.contains("Status Error Code " + status));
    }

    /** Signs in with the keyboard. */
    static void signIn(Page page, String signIn) {
        page.navigate("/sign-in");
        // The first page of all may stand before its field has the keyboard.
        PlaywrightAssertions.assertThat(page.locator("[name=signIn]")).isFocused();
        page.keyboard().type(signIn);
        page.keyboard().press("Tab");
        page.keyboard().type(RunningApplication.PASSWORD);
        page.keyboard().press("Enter");
        page.waitForURL(url -> !url.contains("/sign-in"));
    }

    /** Turns a page with a key or a pedal, slowly enough not to be taken for one that bounces. */
    static void turn(Page page, String key) {
        page.waitForTimeout(BOUNCE_MS);
        page.keyboard().press(key);
    }

    /** Lets axe look at the page as it stands. */
    static void assertAccessible(Page page) {
        // Legacy mode: otherwise axe opens a second page, and the keyboard then types into nowhere.
        var violations = new AxeBuilder(page).setLegacyMode(true).analyze().getViolations();
        assertThat(violations)
                .as(() -> page.url() + " " + page.title()
                        + violations.stream()
                                .map(rule -> "\n" + rule.getId() + ": "
                                        + rule.getNodes().stream()
                                                .map(node -> node.getHtml() + " " + node.getFailureSummary())
                                                .limit(3)
                                                .toList())
                                .toList())
                .isEmpty();
    }

    /** Nothing may stand out to the side of a narrow screen. */
    static void assertFits(Page page) {
        int overflow = (int) page.evaluate("document.documentElement.scrollWidth - window.innerWidth");
        assertThat(overflow).as(() -> page.url() + " " + page.evaluate("""
                        () => [...document.querySelectorAll("main *")]
                            .filter((one) => one.getBoundingClientRect().right > window.innerWidth)
                            .map((one) => one.outerHTML.slice(0, 100))
                            .slice(0, 6)""")).isLessThanOrEqualTo(0);
    }

    @Override
    public void close() {
        playwright.close();
    }
}
