package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;

/** What a stranger does first, in a real browser. */
class FirstMinuteIT extends InBrowser {

    /** Tabs until something is in focus. */
    private static void tabTo(Page page, String selector) {
        for (int i = 0; i < 80; i++) {
            if ((boolean) page.evaluate("selector => document.activeElement.matches(selector)", selector)) {
                return;
            }
            page.keyboard().press("Tab");
        }
        throw new AssertionError("the keyboard does not reach " + selector + " on " + page.url());
    }

    @Test
    void changesStringTwoOfAViolinWithTheKeyboardAlone() {
        Page page = browser.open(address(), 1280, 800);
        page.navigate("/");
        Browser.assertAccessible(page);
        Browser.signIn(page, "bench");
        assertThat(heading(page)).containsText("16 instruments");
        Browser.assertAccessible(page);

        String plan = "a[href='/instruments/" + instrument("Pit 1 violin") + "/plan']";
        tabTo(page, plan);
        page.keyboard().press("Enter");
        assertThat(heading(page)).hasText("Plan a change");
        assertThat(page.locator("#planned")).containsText("72 %");
        Browser.assertAccessible(page);
        tabTo(page, "#planned button.strong");
        page.keyboard().press("Enter");

        assertThat(heading(page)).hasText("Look the instrument over");
        Browser.assertAccessible(page);
        Browser.turn(page, "Space");
        assertThat(heading(page)).hasText("Roughly in tune, bridge upright");
        Browser.assertAccessible(page);

        // A bridge that leans too far holds the run back until it stands.
        page.keyboard().press("g");
        page.keyboard().type("2.4");
        page.keyboard().press("Enter");
        assertThat(page.locator("[role=alert]")).containsText("leans too far");
        Browser.assertAccessible(page);
        Browser.turn(page, "Space");
        assertThat(heading(page)).hasText("Roughly in tune, bridge upright");
        page.keyboard().press("g");
        page.keyboard().type("0,3");
        page.keyboard().press("Enter");
        assertThat(page.locator("#read-gap")).containsText("Upright");

        // A key that is still sent to what was in focus in a dialogue, in the moment after it has closed.
        page.keyboard().press("w");
        page.keyboard().press("Escape");
        page.locator("#wrong input").first().dispatchEvent("keydown", Map.of("key", "?"));
        assertThat(page.locator("#keys")).isVisible();
        page.keyboard().press("Escape");
        assertThat(page.locator("#keys")).isHidden();

        // The pedal sends PageDown.
        next(page, "PageDown", "Lay everything within reach");
        next(page, "ArrowRight", "Wash your hands");
        next(page, "Space", "Rest it on your lap");
        next(page, "Space", "Mark where the bridge stands");
        next(page, "Space", "Let II, A, down and off the peg");
        next(page, "PageUp", "Mark where the bridge stands");
        next(page, "Space", "Let II, A, down and off the peg");
        next(page, "Space", "Free the tail end of II");
        assertThat(page.locator(".bench-load")).containsText("72 %");
        next(page, "Space", "Coil the old II into its packet");
        next(page, "Space", "Wipe the board under II");
        next(page, "Space", "Draw the peg of II, clean and treat it");
        next(page, "Space", "Graphite in both grooves of II");
        next(page, "s", "Tip of II through the hole, then lock it");
        next(page, "Space", "Wind the first turns of II");
        next(page, "Space", "Hang the tail end of II");
        next(page, "Space", "Wind II, a small gap left to the wall");
        next(page, "Space", "Lay II in its grooves");
        next(page, "Space", "Push the turns of II together");
        next(page, "Space", "Graphite in both grooves of II");
        assertThat(page.locator("#bench")).containsText("You left this out before");
        Browser.assertAccessible(page);
        next(page, "Space", "Bring II up to A");

        // A reading no tuner shows comes back as typed, with the range beside it.
        page.keyboard().press("2");
        page.keyboard().type("900");
        page.keyboard().press("Enter");
        assertThat(page.locator("#read-II")).containsText("It goes from −1200 to 200 cents.");
        assertThat(page.locator("#cents-II")).hasValue("900");
        Browser.assertAccessible(page);
        // The cursor is in the refused field, so it can be corrected at once.
        assertThat(page.locator("#cents-II")).isFocused();
        page.locator("#cents-II").selectText();
        page.keyboard().type("-600");
        assertThat(page.locator("#cents-II")).hasValue("-600");
        page.keyboard().press("Enter");
        assertThat(page.locator("#read-II")).containsText("on its way, −600");
        assertThat(page.locator(".bench-load")).containsText("86 %");
        page.keyboard().press("2");
        page.keyboard().type("3");
        page.keyboard().press("Enter");
        assertThat(page.locator("#read-II")).containsText("at pitch, 3");
        next(page, "Space", "Look at the bridge");
        next(page, "Space", "Tune round until all hold");
        Browser.assertAccessible(page);
        next(page, "Space", "The bridge once more");
        next(page, "Space", "Fine tuners: travel both ways");
        next(page, "Space", "Put away and record");
        next(page, "Space", "II is on and recorded");
        Browser.assertAccessible(page);

        tabTo(page, "a[href^='/settling/']");
        page.keyboard().press("Enter");
        assertThat(heading(page)).containsText("II holds for a concert from");
        Browser.assertAccessible(page);
        page.navigate("/instruments/" + instrument("Pit 1 violin"));
        assertThat(page.locator("table").first()).containsText("0 % worn");
        Browser.assertAccessible(page);
        assertThat(browser.complaints()).isEmpty();
    }

    private static void next(Page page, String key, String heading) {
        Browser.turn(page, key);
        assertThat(heading(page)).hasText(heading);
    }

    @Test
    void aPlanFollowsItsChoicesWithTheMouse() {
        Page page = signedIn("pit", 1280);
        page.navigate("/instruments/" + instrument("Pit 3 violin") + "/plan");
        for (boolean chosen : new boolean[] {false, true}) {
            for (String string : List.of("I", "II", "III", "IV")) {
                page.locator("#string-" + string).setChecked(chosen);
            }
            assertThat(page.locator("#planned")).containsText(chosen ? "37 %" : "Choose at least one string.");
        }
        page.locator("summary", new Page.LocatorOptions().setHasText("How you like to work"))
                .click();
        page.locator("input[name=off][value=TOGETHER]").check();
        assertThat(page.locator("#planned [role=alert]")).containsText("This plan is refused.");
        assertThat(page.locator("#planned button.strong")).hasCount(0);
        Browser.assertAccessible(page);
        page.locator("input[name=off][value=ONE_AT_A_TIME]").check();
        assertThat(page.locator("#planned button.strong")).hasCount(1);
        assertThat(page.locator("#planned tr.mine")).containsText("best held");
        assertThat(page.locator("#planned")).containsText("Opening night");

        // What the rack offers is what the plan begins with.
        page.navigate("/");
        page.locator("a.button", new Page.LocatorOptions().setHasText("Plan the set"))
                .click();
        assertThat(page.locator("input[name=strings]:checked")).hasCount(4);
    }

    @Test
    void everyPageFitsANarrowScreenAndIsAccessible() {
        UUID violin = instrument("Pit 2 violin");
        UUID settling = database.sql(
                        "select id from fitted_string where instrument_id = ? and position = 'II' and removed_at is null")
                .param(violin)
                .query(UUID.class)
                .single();
        String trueness = "/instruments/" + instrument("Pit 1 violin") + "/strings/III/trueness";
        UUID run = openRun("Pit 5 viola");
        UUID kind = database.sql("select kind_id from fitted_string where id = ?")
                .param(settling)
                .query(UUID.class)
                .single();
        String loan = "/lend/loans/" + any("loan");
        lengthenNames();
        SoftAssertions softly = new SoftAssertions();
        for (int width : new int[] {390, 1280}) {
            Page page = signedIn("keeper", width);
            for (String path : List.of(
                    "/",
                    "/bench",
                    "/bench/" + run,
                    "/settling",
                    "/settling/" + settling,
                    "/settling/" + settling + "/recording",
                    trueness,
                    "/instruments/" + violin,
                    "/instruments/" + violin + "/plan",
                    "/instruments/" + violin + "/plan?strings=I&strings=II&strings=III&strings=IV",
                    "/instruments/" + violin + "/plan/card?strings=II",
                    "/kit",
                    "/instruments/" + violin + "/work",
                    "/instruments/" + violin + "/pegbox",
                    "/instruments/" + violin + "/bridge?gap=1.2",
                    "/instruments/" + violin + "/pegs",
                    "/instruments/" + violin + "/tailpiece",
                    "/instruments/" + violin + "/fit?string=III",
                    "/instruments/" + violin + "/referral",
                    "/instruments/" + violin + "/log",
                    "/instruments/" + violin + "/passport",
                    "/instruments/passport",
                    "/workshop/archive",
                    "/instruments/" + violin + "/measure/BODY",
                    "/instruments/" + violin + "/measure/BRIDGE",
                    "/instruments/" + violin + "/measure/NUT",
                    "/instruments/" + violin + "/measure/PEGBOX",
                    "/instruments/" + violin + "/measure/TAILPIECE",
                    "/instruments/" + violin + "/symptoms",
                    "/instruments/" + violin + "/symptoms?symptom=SLIPS&no=1",
                    "/instruments/" + violin + "/symptoms?symptom=DULL&no=2&found=true",
                    "/instruments/" + violin + "/strings/II",
                    "/instruments/" + violin + "/edit",
                    "/instruments/" + violin + "/case",
                    "/instruments/" + violin + "/sound",
                    "/instruments/" + violin + "/sound?string=II",
                    "/instruments/" + violin + "/choose?sound%5BDARK_BRIGHT%5D=FIRST_A_LITTLE&limits=NO_TENSER",
                    "/sound",
                    "/instruments/" + violin + "/copy",
                    "/instruments/new",
                    "/instruments/retired",
                    "/strings",
                    "/strings/new?maker=Harrow&line=Tarn&known=GAUGE",
                    "/strings/import",
                    "/drawer",
                    "/drawer/new",
                    "/drawer/count",
                    "/drawer/labels",
                    "/drawer/import",
                    "/lives",
                    "/buying",
                    "/buying/suppliers",
                    "/buying/import",
                    "/buying/budget",
                    "/week",
                    "/week/late",
                    "/week/hours",
                    "/week/hours/otherwise",
                    "/week/ask",
                    "/week/away",
                    "/listen",
                    "/practice",
                    "/practice/course",
                    "/practice/people",
                    "/instruments/" + violin + "/two-sets",
                    "/lend",
                    "/lend/new",
                    "/lend/turn",
                    "/lend/borrowers",
                    "/lend/wear",
                    "/diary",
                    "/diary?from=" + LocalDate.now().plusWeeks(4),
                    "/diary/day/" + LocalDate.now(),
                    "/diary/new",
                    "/diary/import",
                    "/diary/feeds",
                    "/workshop",
                    "/people",
                    "/people/" + account("pit").accountId(),
                    "/password",
                    "/strings/" + kind,
                    "/drawer/kinds/" + kind,
                    "/lives/" + kind,
                    "/sound/" + kind,
                    loan,
                    loan + "/slip",
                    "/lend/borrowers/" + any("borrower"),
                    "/buying/" + any("purchase"),
                    "/diary/" + any("occasion"),
                    "/week/day/" + LocalDate.now(),
                    "/instruments/" + violin + "/sittings",
                    "/instruments/" + violin + "/players")) {
                page.navigate(path);
                softly.check(() -> Browser.assertFits(page));
                // Tablets, held either way, and what lies between a telephone and one.
                for (int between : width == 390 ? new int[] {560} : new int[] {1024, 768}) {
                    page.setViewportSize(between, 800);
                    softly.check(() -> Browser.assertFits(page));
                }
                page.setViewportSize(width, 800);
                if (width > 390 || page.url().endsWith(violin.toString())) {
                    Browser.assertAccessible(page);
                }
            }
        }
        softly.assertAll();
        Page low = signedIn("keeper", 1280);
        for (int height : new int[] {640, 768, 800}) {
            low.setViewportSize(1280, height);
            BoundingBox out = low.locator(".who button").boundingBox();
            assertThat(out.y + out.height).as("the way out, on a low screen").isLessThan(height);
        }
        assertThat(browser.complaints()).isEmpty();
    }

    private UUID any(String table) {
        return database.sql("select id from " + table + " order by id limit 1")
                .query(UUID.class)
                .single();
    }

    /** Every name as long as it may be, and without a space to break at. */
    private void lengthenNames() {
        for (String column : List.of(
                "instrument.name 60",
                "string_kind.maker 60",
                "string_kind.line 60",
                "supplier.name 60",
                "occasion.name 60",
                "borrower.name 80",
                "person.name 80",
                "workshop.name 80")) {
            String[] parts = column.split("[. ]");
            database.sql("update %1$s set %2$s = rpad(replace(%2$s, ' ', ''), %3$s, 'Hafenspeicher')"
                            .formatted((Object[]) parts))
                    .update();
        }
    }

    @Test
    void theBenchIsLeftOnOneDeviceAndGoneOnWithOnAnother() {
        Page first = signedIn("bench", 1280);
        UUID run = openRun("Pit 5 viola");
        first.navigate("/bench/" + run);
        String here = heading(first).textContent();
        Browser.turn(first, "Space");
        assertThat(heading(first)).not().hasText(here);
        String reached = heading(first).textContent();

        Page second = signedIn("pit", 390);
        second.navigate("/bench/" + run);
        assertThat(heading(second)).hasText(reached);
        second.locator("[data-key=back]").click();
        assertThat(heading(second)).hasText(here);

        // The first device follows by itself.
        first.bringToFront();
        assertThat(heading(first)).hasText(here);

        // While something is being typed there it does not; then its press must not undo what the second one did.
        first.locator("details summary").click();
        first.locator("#note").fill("half a thought");
        second.bringToFront();
        second.locator("[data-key=next]").click();
        assertThat(heading(second)).hasText(reached);
        first.bringToFront();
        first.locator("#note").blur();
        Browser.turn(first, "Space");
        assertThat(first.locator("[role=status]:visible")).containsText("had already moved on");
        assertThat(heading(first)).hasText(reached);
    }

    /** Without a connection the bench goes on by itself; each press counts once when it is back, whoever else is there. */
    @Test
    void aLostNetworkLosesNothing() {
        UUID run = openRun("Pit 5 viola");
        Page page = signedIn("bench", 1280);
        page.navigate("/bench/" + run);
        page.waitForLoadState();
        List<String> headings = page.locator("#ahead")
                                .evaluate(
                                        "ahead => [...ahead.content.querySelectorAll('h1')].map(each => each.textContent)")
                        instanceof List<?> all
                ? all.stream().map(Object::toString).toList()
                : List.of();
        long before = events(run);
        page.context().setOffline(true);
        next(page, "PageDown", headings.get(0));
        assertThat(page.locator("#kept")).containsText("No connection");
        next(page, "PageDown", headings.get(1));
        next(page, "PageUp", headings.get(0));
        next(page, "PageDown", headings.get(1));
        page.locator("details summary").click();
        page.locator("#note").fill("the lamp went out");
        page.locator("#note ~ button, form:has(#note) button").first().click();
        assertThat(page.locator("#kept b")).hasText("5");
        assertThat(page.locator("#note")).hasValue("");
        next(page, "PageDown", headings.get(2));
        Browser.assertAccessible(page);

        // Meanwhile somebody else has read the bridge, which moves nothing.
        Page second = signedIn("pit", 390);
        second.navigate("/bench/" + run);
        second.waitForLoadState();
        second.locator("details summary").click();
        second.locator("#note").fill("the bridge stands");
        second.locator("form:has(#note) button").first().click();
        assertThat(second.locator("details")).containsText("One note");
        assertThat(events(run)).isEqualTo(before + 1);

        page.bringToFront();
        page.context().setOffline(false);
        assertThat(page.locator("#kept")).isHidden();
        assertThat(heading(page)).hasText(headings.get(2));
        assertThat(page.locator("#bench")).not().hasClass(Pattern.compile("ahead"));
        assertThat(events(run)).isEqualTo(before + 7);
    }

    /** Back from the bench there is no plan to begin again, but the same run, where it was. */
    @Test
    void theBrowsersBackButtonBeginsNothingTwice() {
        UUID violin = instrument("Pit 3 violin");
        Page page = signedIn("bench", 1280);
        page.navigate("/instruments/" + violin + "/plan");
        page.locator("#planned button.strong").click();
        page.waitForURL("**/bench/**");
        page.waitForLoadState();
        UUID run = openRun("Pit 3 violin");
        Browser.turn(page, "PageDown");
        assertThat(heading(page)).hasText("Roughly in tune, bridge upright");
        page.goBack();
        page.waitForURL("**/bench/" + run);
        page.waitForLoadState();
        assertThat(heading(page)).hasText("Roughly in tune, bridge upright");
        Browser.turn(page, "PageDown");
        assertThat(heading(page)).hasText("Lay everything within reach");
        assertThat(openRun("Pit 3 violin")).isEqualTo(run);
        assertThat(events(run)).isEqualTo(2);
        page.locator("details summary").click();
        page.locator("form[action$='/end'] button").click();
        assertThat(heading(page)).hasText("Ended, nothing changed");
    }

    /** The press arrived and its answer did not; going back from there is not forgotten. */
    @Test
    void anAnswerThatIsLostLosesNothingEither() {
        UUID run = openRun("Pit 5 viola");
        Page page = signedIn("bench", 1280);
        page.navigate("/bench/" + run);
        page.waitForLoadState();
        String here = heading(page).textContent();
        long before = events(run);
        page.route("**/done", route -> {
            route.fetch();
            route.abort();
        });
        Browser.turn(page, "PageDown");
        assertThat(heading(page)).not().hasText(here);
        next(page, "PageUp", here);
        page.unroute("**/done");
        assertThat(page.locator("#kept")).isHidden();
        assertThat(heading(page)).hasText(here);
        assertThat(events(run)).isEqualTo(before + 2);

        // Something that went wrong is kept too, and the way is clear for it to be sent.
        page.context().setOffline(true);
        page.keyboard().press("w");
        page.locator("#wrong button[value=CUT_FINGER]").click();
        assertThat(page.locator("#wrong")).isHidden();
        assertThat(page.locator("#kept-end")).isVisible();
        page.context().setOffline(false);
        assertThat(heading(page)).hasText("See to the cut first");
        Browser.turn(page, "PageUp");
        assertThat(heading(page)).hasText(here);
    }

    /** What the server does not take is shown with its reason, on every page of the run, until somebody decides. */
    @Test
    void aKeptPressThatIsRefusedIsNotDropped() {
        UUID run = openRun("Pit 5 viola");
        Page page = signedIn("bench", 390);
        page.navigate("/bench/" + run);
        page.waitForLoadState();
        long before = events(run);
        page.context().setOffline(true);
        page.locator("details summary").click();
        for (String note : List.of("x".repeat(501), "the lamp went out")) {
            page.locator("#note").fill(note);
            page.locator("form:has(#note) button").first().click();
            assertThat(page.locator("#note")).hasValue("");
        }
        page.context().setOffline(false);
        Locator refused = page.locator("#refused");
        assertThat(refused).containsText("at most 500 characters");
        assertThat(page.locator("#kept")).isHidden();
        assertThat(events(run)).as("the other one is taken").isEqualTo(before + 1);
        browser.complaints().clear();
        page.reload();
        assertThat(refused.locator(".what")).containsText("xxx");
        Browser.assertAccessible(page);
        Browser.assertFits(page);
        refused.locator("[data-again]").click();
        assertThat(refused.locator(".why")).containsText("at most 500 characters");
        refused.locator("[data-let-go]").click();
        assertThat(refused).isHidden();
        assertThat(events(run)).isEqualTo(before + 1);
        browser.complaints().clear();
    }

    @Test
    void aPedalThatBouncesTurnsOnce() {
        UUID run = openRun("Pit 5 viola");
        Page page = signedIn("bench", 1280);
        page.navigate("/bench/" + run);
        page.waitForLoadState();
        String here = heading(page).textContent();
        long before = events(run);
        // The answer is there at once, so that only the time between the presses tells a bounce.
        page.route("**/done", route -> route.fulfill(new Route.FulfillOptions().setStatus(204)));
        int[] posts = {0};
        page.onRequest(request -> posts[0] += request.method().equals("POST") ? 1 : 0);
        page.evaluate(BOUNCE);
        page.waitForTimeout(200);
        assertThat(posts[0]).isEqualTo(1);
        assertThat(heading(page)).hasText(here);
        assertThat(events(run)).isEqualTo(before);
    }

    /** A step that has just come up is pressed at once; the page stays, and with it whatever it does besides, like listening. */
    @Test
    void aPressOnAStepThatHasJustComeUpStaysOnThePage() {
        UUID run = openRun("Pit 5 viola");
        Page page = signedIn("bench", 1280);
        page.navigate("/bench/" + run);
        page.waitForLoadState();
        long before = events(run);
        page.evaluate(AT_ONCE);
        page.keyboard().press("PageDown");
        page.waitForCondition(() -> events(run) == before + 2);
        assertThat(page.evaluate("() => window.stayed")).isEqualTo(true);
    }

    private static final String AT_ONCE = """
            () => {
              window.stayed = true;
              const changes = new MutationObserver(() => {
                changes.disconnect();
                document.querySelector("[data-key=next]").click();
              });
              changes.observe(document.getElementById("bench").parentElement, { childList: true });
            }""";

    private static final String BOUNCE = """
            async () => {
              for (let i = 0; i < 3; i++) {
                document.body.dispatchEvent(
                  new KeyboardEvent("keydown", { key: "PageDown", bubbles: true, cancelable: true }));
                await new Promise((after) => setTimeout(after, 30));
              }
            }""";
}
