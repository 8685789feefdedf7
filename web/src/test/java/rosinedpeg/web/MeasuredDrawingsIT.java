package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.PictureLine;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.tailpiece.Afterlength;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.platform.CurrentWorkshop;

/** An instrument is measured in one sitting; every drawing of it is then exact, and says the same in words. */
class MeasuredDrawingsIT extends InBrowser {

    private static final Pattern POINT = Pattern.compile("[ML](-?[\\d.]+) (-?[\\d.]+)");

    private Instrument violin() {
        UUID id = instrument("Pit 3 violin");
        return CurrentWorkshop.in(account("bench"), () -> instruments.get(id));
    }

    private static void fill(Page page, Map<String, String> values) {
        values.forEach((code, value) -> page.locator("#" + code).fill(value));
    }

    private static void record(Page page, boolean onwards) {
        page.locator(onwards ? "button[name=onwards]" : "main form button.strong")
                .click();
        assertThat(page.locator("main [role=status]")).containsText("Recorded");
    }

    private static double[] point(String path, int index) {
        Matcher matcher = POINT.matcher(path);
        for (int i = 0; i <= index; i++) {
            assertThat(matcher.find()).isTrue();
        }
        return new double[] {Double.parseDouble(matcher.group(1)), Double.parseDouble(matcher.group(2))};
    }

    private static double attribute(Locator locator, String name) {
        return Double.parseDouble(locator.getAttribute(name));
    }

    @Test
    void whatIsMeasuredIsDrawnWhereTheCoreSaysItIs() {
        String address = "/instruments/" + violin().id();
        Page page = signedIn("bench", 1280);
        page.navigate(address + "/measure");
        assertThat(heading(page)).hasText("Body and strings");
        fill(page, Map.of("VIBRATING_LENGTH", "329", "BACK_ANGLE", "14"));
        record(page, true);
        assertThat(heading(page)).hasText("Bridge");
        fill(
                page,
                Map.of(
                        "BRIDGE_HEIGHT", "32.4",
                        "STRING_HEIGHT_I", "28",
                        "STRING_HEIGHT_II", "32",
                        "STRING_HEIGHT_III", "32.3",
                        "STRING_HEIGHT_IV", "30.1",
                        "FROM_LOWEST_STRING_II", "22.6",
                        "BRIDGE_GROOVE_DEPTH_IV", "0.7",
                        "BRIDGE_GAP", "1.3"));
        record(page, false);
        page.navigate(address + "/measure/PEGBOX");
        fill(page, Map.of("NUT_TO_PEG_II", "66.5", "SHAFT_DEPTH_III", "11.9", "PEGBOX_DEPTH", "19.6"));
        record(page, true);
        fill(page, Map.of("AFTERLENGTH", "52.5"));
        record(page, false);

        Instrument measured = violin();
        page.navigate(address + "/bridge");
        Thrust thrust = Thrust.of(measured.setUp(), Lean.of(measured.setUp()));
        double[] push = point(page.locator(".bridge-drawing .push").getAttribute("d"), 1);
        assertThat(push[0]).isCloseTo(thrust.atMm(), within(0.01));
        assertThat(page.locator(".bridge-drawing desc").textContent())
                .as("the drawing says the same to those who cannot see it")
                .endsWith("it is to be eased back.");
        List<BridgeCurve.StringPoint> curve = BridgeCurve.of(measured.setUp()).points();
        for (int i = 0; i < curve.size(); i++) {
            Locator end = page.locator(".bridge-front .string-end").nth(i);
            assertThat(attribute(end, "cx")).isCloseTo(curve.get(i).xMm(), within(0.01));
            assertThat(attribute(end, "cy")).isCloseTo(-curve.get(i).yMm(), within(0.01));
        }
        assertThat(page.locator(".bridge-front desc").textContent()).contains("II stands", "III stands");
        assertThat(page.locator(".grooves")).containsText("too deep, for a repairer");

        page.navigate(address + "/tailpiece");
        double[] target = point(page.locator(".tailpiece-drawing .target").getAttribute("d"), 0);
        double backRad = Math.toRadians(14);
        assertThat(target[0]).isCloseTo(-Afterlength.of(measured.setUp()).targetMm() * Math.cos(backRad), within(0.01));

        page.navigate(address + "/pegbox");
        StrungPegbox pegbox = new StrungPegbox(measured.setUp(), measured.specs(), Map.of());
        int i = 0;
        for (Position position : measured.setUp().positions()) {
            Locator side = page.locator(".pegbox-drawing").nth(1);
            double[] end = point(side.locator("path.string").nth(i).getAttribute("d"), 1);
            assertThat(end[0]).isCloseTo(pegbox.line(position).to().getY(), within(0.01));
            assertThat(end[1]).isCloseTo(-pegbox.line(position).to().getZ(), within(0.01));
            assertThat(attribute(side.locator("circle.shaft").nth(i), "cx"))
                    .isCloseTo(measured.setUp().value(Quantity.NUT_TO_PEG, position), within(0.01));
            i++;
        }

        page.navigate(address);
        assertThat(page.locator("#found")).containsText("Ease the bridge back");
        page.locator("#found a", new Page.LocatorOptions().setHasText("IV too deep in the bridge"))
                .click();
        assertThat(heading(page)).hasText("The bridge");
        page.navigate(address + "/referral");
        assertThat(page.locator("main")).containsText("IV too deep in the bridge");
        assertThat(browser.complaints()).isEmpty();
    }

    /** Two lines on the made-up picture, one end dragged and one moved with the keys; the core works the lean out. */
    @Test
    void aLeanIsReadFromAPictureThatStaysHere() {
        UUID viola = instrument("Pit 6 viola");
        for (int width : new int[] {1280, 390}) {
            Page page = signedIn("bench", width);
            page.navigate("/instruments/" + viola + "/bridge");
            page.locator("#photo summary").click();
            page.locator("#practice").click();
            Locator upper = page.locator(".handle[data-line=back][data-end='1']");
            assertThat(upper).isVisible();
            Browser.assertFits(page);
            Browser.assertAccessible(page);
            upper.scrollIntoViewIfNeeded();
            BoundingBox box = upper.boundingBox();
            page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
            page.mouse().down();
            page.mouse().move(box.x + box.width / 2 + 12, box.y + box.height / 2 + 4);
            page.mouse().up();
            assertThat(page.locator("#plate")).not().hasValue("");
            page.keyboard().press("Shift+ArrowRight");
            page.keyboard().press("ArrowUp");
            assertThat(page.locator("#stance")).containsText("measured");
            Lean lean = Lean.fromPicture(line(page, "plate"), line(page, "back"), true);
            assertThat(lean.degrees()).isGreaterThan(0.5);
            String shown = String.format(Locale.ROOT, "%.1f", lean.degrees());
            assertThat(page.locator("#stance dd").first()).hasText(shown.replaceAll("\\.0$", "") + "°");
            assertThat(database.sql("select count(*) from bridge_picture where instrument_id = ?")
                            .param(viola)
                            .query(Long.class)
                            .single())
                    .isEqualTo(width == 1280 ? 0 : 1);
            page.locator("button", new Page.LocatorOptions().setHasText("Keep the picture"))
                    .click();
            assertThat(page.locator("main [role=status]")).containsText("The picture is kept");
            page.locator(".pictures img").first().scrollIntoViewIfNeeded();
            assertThat(page.locator(".pictures img").first()).not().hasJSProperty("naturalWidth", 0);
        }
        assertThat(browser.complaints()).isEmpty();
    }

    private static PictureLine line(Page page, String name) {
        String[] ends = page.locator("#" + name).inputValue().split(",");
        return new PictureLine(
                Double.parseDouble(ends[0]),
                Double.parseDouble(ends[1]),
                Double.parseDouble(ends[2]),
                Double.parseDouble(ends[3]));
    }
}
