package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import rosinedpeg.core.working.PacketFigure;

/** A figure that was worked out opens its working, in place and by keyboard; a figure that was not says where it is from. */
class WorkingIT extends InBrowser {

    /** Figures that neither open a working nor have one or an origin beside them. */
    private static final String BARE = "figures => figures.filter(figure => /\\d/.test(figure.textContent)"
            + " && !figure.querySelector('.worked') && !figure.closest('.worked') && !figure.querySelector('.figure')"
            + " && !figure.closest('.working, svg, .minutes, .number, .clock')"
            + " && !/default|measured|learned/.test((figure.parentElement ?? figure).textContent))"
            + ".map(figure => figure.textContent.trim())";

    /** Times and counts of steps, which are not worked out from the instrument. */
    private static final Pattern TOLD = Pattern.compile("min|\\d of \\d");

    @SuppressWarnings("unchecked")
    private static List<String> bare(Page page) {
        return ((List<String>) page.locator("main .figure").evaluateAll(BARE))
                .stream().filter(text -> !TOLD.matcher(text).find()).toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"Pit 1 violin", "Pit 6 viola", "Pit 8 cello", "Pit 11 bass", "Lending ½ violin 3"})
    void everyFigureOfAnInstrumentOpensItsWorking(String name) {
        Page page = signedIn("bench", 1280);
        UUID id = instrument(name);
        everyFigureOpens(
                page,
                id,
                "",
                "bridge",
                "pegbox",
                "tailpiece",
                "post",
                "fit",
                "referral",
                "plan?strings=II",
                "plan/card?strings=II",
                "work/card?kind=EMERGENCY&string=II");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void anInstrumentWithoutStringsOpensWhatItHas() {
        Page page = signedIn("bench", 1280);
        page.navigate("/instruments/new");
        page.locator("[name=name]").fill("New on the shelf");
        page.locator("[name=strung][value=LATER]").check();
        page.locator("main form button").last().click();
        assertThat(heading(page)).hasText("New on the shelf");
        String address = page.url();
        UUID id = UUID.fromString(
                address.substring(address.indexOf("/instruments/") + 13).substring(0, 36));
        everyFigureOpens(page, id, "bridge", "tailpiece", "fit");
        assertThat(page.locator("main")).containsText("No string is on to compare the load with");
        assertThat(browser.complaints()).isEmpty();
    }

    private void everyFigureOpens(Page page, UUID id, String... views) {
        for (String view : views) {
            everyFigureOpens(page, "/instruments/" + id + (view.isEmpty() ? "" : "/" + view));
        }
    }

    private void everyFigureOpens(Page page, String view) {
        assertThat(page.navigate(view).status()).as(view).isEqualTo(200);
        assertThat(figuresThatOpen(page, new HashSet<>()))
                .as("figures on %s", view)
                .isPositive();
    }

    /** {@return how many figures that were not seen yet open their working; no figure goes without, and each has room for it} */
    private int figuresThatOpen(Page page, Set<String> seen) {
        assertThat(bare(page)).as("figures without a working on %s", page.url()).isEmpty();
        quiet(page);
        // Asked in one breath: a page that is being exchanged would give two answers.
        Locator links = page.locator("main a.worked");
        @SuppressWarnings("unchecked")
        List<String> addresses =
                (List<String>) links.evaluateAll("links => links.map(link => link.getAttribute('href'))");
        @SuppressWarnings("unchecked")
        List<String> without = (List<String>)
                links.evaluateAll("links => links.filter(link => ![...document.querySelectorAll('.working')]"
                        + ".some(slot => link.compareDocumentPosition(slot) & Node.DOCUMENT_POSITION_FOLLOWING))"
                        + ".map(link => link.getAttribute('href'))");
        assertThat(without).as("without room for it").isEmpty();
        int before = seen.size();
        for (String address : addresses) {
            if (seen.add(address)) {
                APIResponse answer = page.request().get(address() + address);
                assertThat(answer.status()).as(address).isEqualTo(200);
                assertThat(answer.text()).as(address).contains("class=\"formula\"");
            }
        }
        return seen.size() - before;
    }

    @Test
    void whatIsWornAndSettlesOpensItsWorking() {
        Page page = signedIn("bench", 1280);
        everyFigureOpens(page, "/");
        everyFigureOpens(page, "/diary");
        everyFigureOpens(page, "/settling");
        everyFigureOpens(
                page, page.locator("a.button[href^='/settling/']").first().getAttribute("href"));
        assertThat(page.locator("a[href*='/READ_LOST?']").count()).isPositive();
        everyFigureOpens(page, "/instruments/" + instrument("Pit 1 violin") + "/pegs");
        assertThat(browser.complaints()).isEmpty();
    }

    /** On record, and while its packet is being typed. */
    @Test
    void everyFigureOfAKindOfStringOpensItsWorking() {
        Page page = signedIn("bench", 1280);
        everyFigureOpens(page, "/strings");
        everyFigureOpens(
                page, page.locator("a.quiet[href^='/strings/']").first().getAttribute("href"));
        page.navigate("/strings/new");
        page.locator("[name=known][value=WEIGHED]").check();
        page.locator("[name=weighed]").fill("1,5");
        page.locator("[name=weighedLength]").fill("560");
        page.locator("[name=weighedLength]").press("Tab");
        page.locator("a.worked[href*='/PACKET_TENSION?'][href*='weighed=1.5']").press("Enter");
        assertThat(page.locator(".working-open")).containsText("what the scales showed of II");
        assertThat(page.locator(".working-open > summary .origin")).hasText("measured");
        assertThat(figuresThatOpen(page, new HashSet<>())).isEqualTo(PacketFigure.values().length);
        assertThat(browser.complaints()).isEmpty();
    }

    /** Whole runs, wound in parts, by knob and by key, and tuned in rounds. */
    @ParameterizedTest
    @CsvSource({"Pit 1 violin, I", "Pit 11 bass, IV"})
    void everyFigureOfARunOpensItsWorking(String name, String string) {
        Page page = signedIn("bench", 1280);
        page.navigate("/instruments/" + instrument(name) + "/plan?strings=" + string);
        toTheBench(page);
        Set<String> seen = new HashSet<>();
        while (page.locator("button[data-key=next]").count() > 0) {
            if (page.locator("input[name=cents]").count() > 1) {
                page.locator("#cents-II").fill("-30");
                page.locator("#cents-II").press("Enter");
                assertThat(page.locator("#read-II")).containsText("30");
                page.keyboard().press("Escape");
            }
            figuresThatOpen(page, seen);
            pedal(page);
        }
        figuresThatOpen(page, seen);
        assertThat(seen.stream()
                        .map(address -> address.replaceAll(".*/working/([A-Z_]+).*", "$1"))
                        .distinct())
                .contains("TURNS", "LAST_PART_TURNS", "STRETCH", "SINKS_BY", "ROUNDS", "DRAG_LEAN_DRY");
        assertThat(browser.complaints()).isEmpty();
    }

    /** The player's own device: nothing is lost by asking, and asking twice shows the second. */
    @Test
    void aWorkingOpensInPlaceByKeyboard() {
        Page page = signedIn("bench", 390);
        UUID id = instrument("Pit 1 violin");
        page.navigate("/instruments/" + id + "/pegbox");
        page.locator("a.worked[href*='/TURNS?string=I&']").focus();
        page.keyboard().press("Enter");
        Locator working = page.locator(".working-open");
        assertThat(working).containsText("Turns when wound");
        assertThat(working).isInViewport();
        assertThat(working.locator(".symbol").first()).hasText("l");
        assertThat(page.locator("a.worked[href*='/TURNS?string=I&']")).isFocused();
        page.locator("a.worked[href*='/WALL_GAP?string=II&']").press("Enter");
        assertThat(working).hasCount(1);
        assertThat(working).containsText("From the last turn to the wall");
        working.locator("a[href*='/measure/']").first().click();
        assertThat(page).hasURL(Pattern.compile(".*/measure/[A-Z_]+#.*"));
    }

    @Test
    void aWorkingAtTheBenchIsNoPress() {
        Page page = signedIn("bench", 1280);
        page.navigate("/bench");
        page.locator("main a[href^='/bench/']").first().click();
        String step = heading(page).textContent();
        Locator share = page.locator(".bench-load a.worked").first();
        share.focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".working-open")).containsText("Load on the treble foot: " + share.textContent());
        assertThat(share).isFocused();
        assertThat(page.locator("button[data-key=next]")).isEnabled();
        assertThat(heading(page)).hasText(step);
    }
}
