package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.WindingPlan;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.platform.CurrentWorkshop;

/** Every family at the bench, work that is not a plain change, and the inside of the pegbox, in a real browser. */
class FamiliesIT extends InBrowser {

    private static final Pattern POINT = Pattern.compile("(-?[\\d.]+) (-?[\\d.]+)");

    /** Presses the pedal until a heading comes up. */
    private static void pedalTo(Page page, String heading) {
        for (int presses = 0; presses < 120; presses++) {
            if (heading(page).textContent().equals(heading)) {
                return;
            }
            pedal(page);
        }
        throw new AssertionError("the pedal does not come to " + heading + " but to "
                + heading(page).textContent());
    }

    private static void choose(Page page, String string) {
        page.locator("#string-" + string).check();
        assertThat(page.locator("#planned")).containsText("Graphite in both grooves of " + string);
        for (String other : List.of("I", "II", "III", "IV", "V")) {
            Locator box = page.locator("#string-" + other);
            if (!other.equals(string) && box.count() > 0 && box.isChecked()) {
                page.locator("#string-" + other).uncheck();
                assertThat(page.locator("#planned li", new Page.LocatorOptions().setHasText("Bring " + other + " up")))
                        .hasCount(0);
            }
        }
    }

    private Page plan(String name, String string, boolean broken) {
        Page page = signedIn("bench", 1280);
        page.navigate("/instruments/" + instrument(name) + "/plan");
        choose(page, string);
        if (broken) {
            page.locator("input[name=broken][value=" + string + "]").check();
            assertThat(page.locator("#planned")).containsText("Take out what is left of " + string);
        }
        return page;
    }

    @ParameterizedTest
    @CsvSource({
        "'Pit 4 violin, five strings', V, false, Rest it on your lap, PEG_SLIPS, Push peg V in while turning,"
                + " Peg V slipped.",
        "Pit 6 viola, III, false, Rest it on your lap, STRING_BROKE, Take out what is left of III,"
                + " 'III broke, at the nut; another went on.'",
        "Pit 9 cello, IV, false, Lay it on its back, BRIDGE_DOWN, Lay it flat on its back,"
                + " The bridge fell and was stood up again.",
        "Pit 8 cello, II, true, Lay it on its back, CUT_FINGER, See to the cut first, Somebody was cut at the bench."
    })
    void aChangeIsLedFromTheFirstStepToTheRecordThoughSomethingGoesWrong(
            String name, String string, boolean broken, String rests, String mishap, String firstStep, String noted) {
        Page page = plan(name, string, broken);
        toTheBench(page);
        pedalTo(page, rests);
        if (broken) {
            pedalTo(page, "Take out what is left of " + string);
        } else {
            pedalTo(page, "Free the tail end of " + string);
        }
        pedalTo(page, "Graphite in both grooves of " + string);
        Browser.assertAccessible(page);
        pedalTo(page, "Look at the bridge");
        page.keyboard().press("w");
        Browser.assertAccessible(page);
        page.locator("#place").selectOption("NUT");
        page.locator("#wrong button[value=" + mishap + "]").click();
        assertThat(heading(page)).hasText(firstStep);
        pedalTo(page, string + " is on and recorded");
        page.setViewportSize(390, 800);
        Browser.assertFits(page);
        page.navigate("/instruments/" + instrument(name));
        assertThat(page.locator("main")).containsText(noted);
        assertThat(browser.complaints()).isEmpty();
    }

    /** On the bass: its own steps, and a string set aside that comes back. */
    @Test
    void aBassIsWoundByItsCrank() {
        Page page = signedIn("bench", 1280);
        page.navigate("/instruments/" + instrument("Pit 11 bass") + "/plan");
        choose(page, "IV");
        assertThat(page.locator("input[name='over[IV]'][value=III]")).isChecked();
        assertThat(page.locator("#planned")).containsText("Set III aside");
        toTheBench(page);
        for (String heading : List.of(
                "Lay it on its back and block it",
                "Set III aside",
                "Which way does the machine of IV turn?",
                "Let IV, E, down and off the machine post",
                "Felt washer on the ball of IV",
                "Wind the first turns of IV",
                "Draw the ball of IV up into its channel",
                "Wind IV by its key")) {
            pedalTo(page, heading);
        }
        page.keyboard().press("w");
        page.locator("#wrong input[value=II]").check();
        page.locator("#wrong button[value=STRING_BROKE]").click();
        assertThat(page.locator("#place-said")).hasText("Say where it broke.");
        assertThat(page.locator("#wrong input[value=II]")).isChecked();
        page.locator("#place").selectOption("BRIDGE");
        page.locator("#wrong button[value=STRING_BROKE]").click();
        assertThat(heading(page)).hasText("Take out what is left of II");
        assertThat(page.locator("#bench")).containsText("a groove in the bridge worn too deep");
        for (String heading : List.of(
                "Hang the tail end of II",
                "Bring II back up to D",
                "Lay III back and bring it up",
                "IV is on and recorded")) {
            pedalTo(page, heading);
        }
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void onStageWhatIsLeftOutIsOwed() {
        UUID lending = instrument("Lending ½ violin 3");
        Page page = signedIn("bench", 1280);
        page.navigate("/instruments/" + lending + "/work");
        Browser.assertAccessible(page);
        page.locator("#kind-EMERGENCY").check();
        page.locator("#string-II").check();
        assertThat(page.locator("#planned")).containsText("Let II");
        page.locator("#broken").check();
        assertThat(page.locator("#planned")).containsText("Take out what is left of II");
        Browser.assertAccessible(page);
        toTheBench(page);
        pedalTo(page, "II is on and recorded");
        page.navigate("/instruments/" + lending);
        assertThat(page.locator("main")).containsText("Owed: Graphite in both grooves of II");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void afterTheBridgeFellTheLoadStartsAtNothing() {
        Page page = signedIn("bench", 1280);
        page.navigate("/instruments/" + instrument("Lending ¼ violin 1") + "/work?kind=PEG_SERVICE");
        assertThat(page.locator("#planned")).containsText("Choose at least one peg");
        page.locator("#kind-BRIDGE_DOWN").check();
        assertThat(page.locator("#planned")).containsText("recorded as a repair");
        toTheBench(page);
        assertThat(page.locator(".bench-load")).containsText("0 %");
        pedalTo(page, "Every string up to 60 % of its tension");
        assertThat(page.locator(".bench-load")).containsText("30 %");
        assertThat(page.locator("#bench")).containsText("4.4 semitones below its pitch");
        pedalTo(page, "Done, and recorded");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void theBridgeIsDrawnAsItLeans() {
        Instrument violin = violin();
        Page page = signedIn("bench", 1280);
        page.navigate("/instruments/" + violin.id() + "/bridge");
        page.locator("#gap").fill("2");
        assertThat(page.locator("#stance .state").first()).containsText("to be straightened");
        double heightMm = violin.setUp().value(Quantity.BRIDGE_HEIGHT);
        Thrust thrust = Thrust.of(violin.setUp(), Lean.fromGap(2, heightMm));
        double[] meets = lastPoint(page.locator(".bridge-drawing .push").getAttribute("d"));
        assertThat(meets[0]).isCloseTo(thrust.atMm(), within(0.01));
        page.locator("#gap").fill("90");
        assertThat(page.locator("#stance [role=alert]")).containsText("The gap is a number from −8.9 to 8.9 mm");
        assertThat(page.locator("#gap")).hasValue("90");
        assertThat(browser.complaints()).isEmpty();
    }

    /** From what is heard, one look after another, to the plan that cures it; what has no cure here is noted. */
    @Test
    void aSymptomLeadsToItsCure() {
        UUID viola = instrument("Pit 6 viola");
        Page page = signedIn("pit", 1280);
        page.navigate("/instruments/" + viola);
        page.locator("a", new Page.LocatorOptions().setHasText("Something wrong?"))
                .click();
        page.locator("a", new Page.LocatorOptions().setHasText("The bridge walks or leans"))
                .click();
        assertThat(page.locator("main")).containsText("a dry groove");
        page.locator("a.button", new Page.LocatorOptions().setHasText("No")).click();
        assertThat(page.locator("main")).containsText("not: a dry groove");
        page.locator("a.button", new Page.LocatorOptions().setHasText("Yes")).click();
        page.locator("a.button", new Page.LocatorOptions().setHasText("Plan the graphite"))
                .click();
        assertThat(page.locator("#kind-GRAPHITE")).isChecked();
        page.navigate("/instruments/" + viola + "/symptoms?symptom=DULL&no=9");
        page.locator("button", new Page.LocatorOptions().setHasText("Note it for a repairer"))
                .click();
        assertThat(page.locator("main")).containsText("It sounds dull: none of the usual causes");
        assertThat(browser.complaints()).isEmpty();
    }

    /** The drawing is exact: every string ends where the core says, before and after another choice. */
    @Test
    void thePegboxIsDrawnWhereTheCoreSaysItIs() {
        Instrument violin = violin();
        StrungPegbox core = new StrungPegbox(violin.setUp(), violin.specs(), Map.of());
        for (int width : new int[] {1280, 390}) {
            Page page = signedIn("bench", width);
            page.navigate("/instruments/" + violin.id() + "/pegbox");
            Browser.assertFits(page);
            Browser.assertAccessible(page);
            List<String> drawn = paths(page);
            int i = 0;
            for (Position position : violin.setUp().positions()) {
                WindingPlan.Line line = core.line(position);
                double[] end = lastPoint(drawn.get(i++));
                assertThat(end[0]).isCloseTo(line.to().getX(), within(0.01));
                assertThat(end[1]).isCloseTo(-line.to().getY(), within(0.01));
            }
            page.locator("#far-IV").check();
            assertThat(page.locator("#far-IV")).isChecked();
            assertThat(page.locator(".pegbox-drawing path.string").nth(3)).not().hasAttribute("d", drawn.get(3));
        }
        assertThat(browser.complaints()).isEmpty();
    }

    private Instrument violin() {
        UUID id = instrument("Pit 3 violin");
        return CurrentWorkshop.in(account("bench"), () -> instruments.get(id));
    }

    private static List<String> paths(Page page) {
        return page.locator(".pegbox-drawing").first().locator("path.string").all().stream()
                .map(path -> path.getAttribute("d"))
                .toList();
    }

    private static double[] lastPoint(String path) {
        Matcher matcher = POINT.matcher(path);
        double[] point = new double[2];
        while (matcher.find()) {
            point = new double[] {Double.parseDouble(matcher.group(1)), Double.parseDouble(matcher.group(2))};
        }
        return point;
    }
}
