package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.ISO_8859_1;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Whoever keeps a shop or a shelf begins alone, with what they have: a table, one instrument of each sort, a calendar. */
class TechnicianIT extends InBrowser {

    /** As a spreadsheet of another country writes it. */
    private static String drawer() {
        return "maker;line;family;size;string;core;winding;price;currency\r\n"
                + IntStream.rangeClosed(1, 15)
                        .boxed()
                        .flatMap(line -> Stream.of("I", "II", "III", "IV")
                                .map(string -> "Größler;Tarn " + line + ";violin;1/4;" + string + ";rope steel;steel;"
                                        + (10 + line) + ",50;EUR"))
                        .collect(Collectors.joining("\r\n"));
    }

    private static void add(Page page, String name, LocalDate since) {
        page.navigate("/instruments/new");
        page.locator("[name=name]").fill(name);
        page.locator("[name=size]").selectOption("VIOLIN 1/4");
        page.locator("[name=demand]").selectOption("LOAN");
        page.locator("[name=length]").fill("262");
        page.locator("[name=strung][value=OWN]").check();
        page.locator("[name=ownSet]").selectOption(new SelectOption().setLabel("Größler Tarn 3, Violin 1/4"));
        page.locator("[name=since]").fill(since.toString());
        page.locator("main form button.strong").click();
        assertThat(heading(page)).hasText(name);
        assertThat(page.locator("main")).containsText("Größler Tarn 3");
        page.locator("a[href$='/copy']").click();
        page.locator("[name=count]").fill("39");
        page.locator("[name=since]").fill(since.toString());
        page.locator("main form button.strong").click();
        page.waitForURL(address -> address.endsWith("/"));
    }

    @Test
    void eightyInstrumentsSixtyKindsAndASeason() {
        LocalDate today = LocalDate.now(ZoneId.of("UTC"));
        Page page = signedIn(stranger().signIn(), 1280);
        page.navigate("/strings/import");
        page.locator("#file").setInputFiles(new FilePayload("drawer.csv", "text/csv", drawer().getBytes(ISO_8859_1)));
        page.locator("main form button").click();
        page.locator("main form button.strong").click();
        assertThat(heading(page)).hasText("60 kinds of string");
        assertThat(page.locator("main")).containsText("Größler Tarn 15");

        add(page, "Shelf A 1", today.minusYears(4));
        add(page, "Shelf B 1", today.minusDays(20));
        assertThat(heading(page)).hasText("80 instruments, 40 want hands");

        String from = today.plusDays(9).format(DateTimeFormatter.BASIC_ISO_DATE);
        page.navigate("/diary/import");
        page.locator("#pasted")
                .fill(String.join(
                        "\r\n",
                        "BEGIN:VCALENDAR",
                        "VERSION:2.0",
                        "PRODID:-//Somebody//EN",
                        "BEGIN:VEVENT",
                        "UID:a",
                        "SUMMARY:School concert",
                        "DTSTART:" + from + "T180000Z",
                        "DTEND:" + from + "T193000Z",
                        "END:VEVENT",
                        "BEGIN:VEVENT",
                        "UID:b",
                        "SUMMARY:Orchestra rehearsal",
                        "DTSTART:" + from + "T160000Z",
                        "DTEND:" + from + "T170000Z",
                        "RRULE:FREQ=WEEKLY;COUNT=10",
                        "END:VEVENT",
                        "END:VCALENDAR"));
        page.locator("main form button").click();
        page.locator("main form button.strong").click();
        assertThat(page.locator("main")).containsText("11 dates were entered");
        assertThat(page.locator("main")).containsText("School concert");
        assertThat(page.locator(".of-change").first()).containsText("to hold for Orchestra rehearsal");
        page.locator(".of-change a:has-text('and 35 more')").click();
        assertThat(page.locator(".of-change a[href*='/plan']").allTextContents().stream()
                        .map(String::strip)
                        .collect(Collectors.toSet()))
                .isEqualTo(IntStream.rangeClosed(1, 40)
                        .mapToObj(number -> "Shelf A " + number)
                        .collect(Collectors.toSet()));
        assertThat(browser.complaints()).isEmpty();
    }

    /** The other hand holds the drawer: numbers, = for what is as recorded, Enter to the next. */
    @Test
    void countsTheDrawerWithOneHand() {
        Page page = signedIn("bench", 1280);
        page.navigate("/drawer?family=CELLO");
        page.locator("a[href*='/drawer/count']").click();
        page.locator("[data-count] input[data-shown]").first().focus();
        for (String key : List.of("2", "Enter", "=", "1", "Enter", "=")) {
            page.keyboard().press(key);
        }
        assertThat(page.locator("button:focus")).hasText("That is what lies there");
        page.keyboard().press("Enter");
        assertThat(page.locator(".notice")).containsText("2 kinds were not as recorded");
        assertThat(page.locator(".tray .heap .state"))
                .hasText(new String[] {"2 there", "none of 2", "1 of 2", "2 there"});
    }

    /** From what is missing to the drawer: written, sent, unpacked in two parcels; the rest is given up. */
    @Test
    void buysWhatIsMissing() {
        Page page = signedIn("bench", 1280);
        page.navigate("/buying?weeks=8");
        Locator order = page.locator("form.buying:has(h2:has-text('Ferry Lane'))");
        Locator sluice = order.locator("tr:has(.roman:text-is('V')):has-text('Tidewick Sluice')");
        assertThat(sluice).containsText("2 missing");
        for (Locator many : order.locator("tbody input[type=number]").all()) {
            many.fill("0");
        }
        sluice.locator("input").fill("3");
        page.keyboard().press("Enter");
        assertThat(heading(page)).hasText("Order to Ferry Lane");
        assertThat(page.locator("textarea")).hasValue("3 × Tidewick Sluice, Violin 4/4, V C, ball end");
        page.locator("button:has-text('It was sent today')").click();
        assertThat(page.locator(".notice")).containsText("counts as on order");
        page.locator("[name=place]").fill("top shelf");
        page.locator("tbody input[type=number]").fill("2");
        page.locator("button:has-text('Lay what came into the drawer')").click();
        assertThat(page.locator(".notice")).containsText("2 strings lie in the drawer now.");
        assertThat(page.locator(".lede .state")).hasText("partly in");
        page.locator("button:has-text('The rest does not come')").click();
        assertThat(page.locator("main")).containsText("1 not coming");
        assertThat(page.locator(".lede .state")).hasText("in");
        page.navigate("/drawer");
        assertThat(page.locator(".tray tr:has-text('Tidewick Sluice') .heap").last())
                .containsText("2 there");
        page.navigate("/buying?weeks=8");
        assertThat(sluice).hasCount(0);
    }

    /** How long a kind lasts is drawn to scale, beside another on the same scale. */
    @Test
    void seesWhatLastsBesideAnother() {
        Page page = signedIn("pit", 390);
        page.navigate("/lives");
        page.locator("a:has-text('Tidewick Sluice')").first().click();
        assertThat(page.locator(".lives-ten .lasting")).hasCount(10);
        page.locator("#with").selectOption(new SelectOption().setLabel("Tidewick Weir"));
        page.locator("button:has-text('Show both')").click();
        assertThat(page.locator(".lives-ten .lasting.other")).hasCount(10);
        assertThat(page.locator("main")).containsText("half of them last");
        assertThat(page.locator("table a[href^='/instruments/']").first()).isVisible();
    }

    /** Said with the keyboard, found again where the next one is chosen, and from there to a plan. */
    @Test
    void saysHowItSoundsAndChoosesAgain() {
        Page page = signedIn("pit", 1280);
        page.navigate("/sound");
        page.locator("main a:has-text('Pit 3 violin')").click();
        String string = page.locator(".sound-sheet .roman").first().innerText();
        page.locator(".scale input").first().focus();
        page.keyboard().press("Tab");
        page.locator("input[name$='DARK_BRIGHT]'][value='-1']").focus();
        page.keyboard().press("ArrowLeft");
        page.locator("textarea").fill("Dark for such a thin string.");
        page.locator("button:has-text('That is how it sounds')").click();
        assertThat(page.locator(".notice")).hasText("It is kept.");
        assertThat(page.locator("main")).containsText("dark Dark for such a thin string.");
        page.setViewportSize(390, 800);
        page.locator("a:has-text('Choose the next strings')").click();
        page.locator(".strings-nav a:has(.roman:text-is('" + string + "'))").click();
        assertThat(page.locator(".choice.on-now")).containsText("Dark for such a thin string.");
        page.locator("#sound-DARK_BRIGHT").selectOption("SECOND_A_LITTLE");
        page.locator("label:has-text('no tenser') input").check();
        page.locator("button:has-text('Put them in order')").click();
        assertThat(page.locator("li.choice .rank").first()).hasText("1");
        assertThat(page.locator("li.choice .reasons").first()).containsText("a little brighter:");
        page.locator("li.choice a:has-text('Into the set')").first().click();
        assertThat(page.locator("#set")).containsText("Corrowyn Ember stays");
        page.locator("#set a:has-text('Plan this change')").click();
        assertThat(page.locator("select[name='kinds[" + string + "]'] option:checked"))
                .not()
                .hasText("");
        assertThat(browser.complaints()).isEmpty();
    }

    /** A packet is held against the run beside its step: the step stays, and the bench goes on. */
    @Test
    void theWrongStringIsToldBeforeItIsUnrolled() {
        Page page = signedIn("bench", 1280);
        page.navigate("/bench/" + openRun("Pit 5 viola"));
        String step = heading(page).innerText();
        String wrong = database.sql("select code from drawer_string s join string_kind k on k.id = s.kind_id"
                        + " where k.line = 'Sluice' and k.position = 'IV' and s.left_at is null limit 1")
                .query(String.class)
                .single();
        page.locator("#code").fill(wrong);
        page.keyboard().press("Enter");
        assertThat(page.locator("#held")).containsText("Wrong string: that is Tidewick Sluice IV");
        page.locator("#code").fill(page.locator("a[href^='/drawer/']").innerText());
        page.locator("button:has-text('right one')").click();
        assertThat(page.locator("#held")).containsText("Right: Tidewick Reed II");
        assertThat(page.locator("#packets")).containsText(page.locator("#code").inputValue());
        assertThat(heading(page)).hasText(step);
        page.locator("[data-key=next]").click();
        assertThat(heading(page)).not().hasText(step);
        assertThat(browser.complaints()).isEmpty();
    }
}
