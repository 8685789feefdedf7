package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Media;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import rosinedpeg.core.week.BenchHours;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.week.BenchTimes;
import rosinedpeg.web.week.WishKind;
import rosinedpeg.web.week.Wishes;

/** A shelf of forty before a date: what will be late is brought down by an hour more, a pin holds, and two runs are led. */
class ShelfOfFortyIT extends InBrowser {

    private static final int INSTRUMENTS = 40;
    private static final String HANDS = "Shelf bench";

    @Autowired
    BenchTimes times;

    @Autowired
    Wishes wishes;

    private SignedIn keeper;
    private LocalDate today;

    /** Forty-one pieces of work of 20 minutes until a date, on three days of 200 minutes; two more for which no day is too late. */
    private void shelf() {
        keeper = stranger();
        today = Instant.now().atZone(keeper.zone()).toLocalDate();
        CurrentWorkshop.in(keeper, () -> {
            times.usually(
                    HANDS,
                    Arrays.stream(DayOfWeek.values())
                            .collect(Collectors.toMap(Function.identity(), day -> BenchHours.of("9:00-12:20"))));
            times.otherwise(HANDS, today, today, BenchHours.NONE);
            for (int shelf = 1; shelf <= INSTRUMENTS; shelf++) {
                UUID id = violin("Shelf " + shelf);
                for (int work = 0; work < (shelf == 1 ? 2 : 1); work++) {
                    wishes.ask(
                            UUID.randomUUID(),
                            id,
                            WishKind.OTHER,
                            List.of(),
                            "new tail cord",
                            20,
                            null,
                            today.plusDays(3));
                }
                if (shelf <= 2) {
                    wishes.ask(UUID.randomUUID(), id, WishKind.PEG_SERVICE, List.of(), "", null, null, null);
                }
            }
            return keeper;
        });
    }

    @Test
    void fromElevenThatWillBeLateToTwo() {
        shelf();
        assumeThat(LocalTime.now(keeper.zone())).as("the day is not over").isBefore(LocalTime.of(23, 55));
        Page page = signedIn(keeper.signIn(), 1280);
        page.navigate("/week");
        Locator told = page.locator("p.lede[role=status]");
        assertThat(told).hasText("43 jobs wait for the bench; 11 will be late.");

        page.getByText("Bench hours").click();
        page.getByText("Otherwise on some days").click();
        page.getByLabel("First day").fill(today.plusDays(1).toString());
        page.getByLabel("Last day").fill(today.plusDays(3).toString());
        page.getByLabel("Hours on those days").fill("9:00-25:00");
        page.getByText("These are the hours").click();
        assertThat(page.locator(".error")).containsText("between 0:00 and 24:00");
        page.getByLabel("Hours on those days").fill("9:00-13:20");
        page.getByText("These are the hours").click();
        page.navigate("/week");
        assertThat(told).hasText("43 jobs wait for the bench; 2 will be late.");
        Locator late = page.locator(".bench-undone .job-line").first();
        assertThat(late).containsText("other work takes 780 of 780 min");
        assertThat(late).containsText("20 more min of " + HANDS);
        Browser.assertAccessible(page);

        String pinned = late.getAttribute("id");
        late.getByText("Another place").click();
        page.getByLabel("Day").fill(today.toString());
        page.getByText("Pin it there").click();
        assertThat(page.locator(".error")).hasText(HANDS + " is not at the bench on " + said(page, today) + ".");
        Browser.assertAccessible(page);
        page.getByLabel("Day").fill(today.plusDays(1).toString());
        page.getByText("Pin it there").click();
        assertThat(told).hasText("43 jobs wait for the bench; 2 will be late.");

        page.navigate("/week/day/" + today.plusDays(1));
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        assertThat(page.locator(".day-list tbody tr")).hasCount(13);
        assertThat(page.pdf()).hasSizeGreaterThan(5_000);
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.SCREEN));

        for (int run = 1; run <= 2; run++) {
            lead(page, run);
            page.navigate("/week");
            assertThat(told).hasText((43 - run) + " jobs wait for the bench; 2 will be late.");
        }
        page.navigate("/week/late");
        assertThat(page.locator("[id='" + pinned + "']")).hasCount(0);
    }

    /** {@return how the page says a day} */
    private static String said(Page page, LocalDate day) {
        Page other = page.context().newPage();
        other.navigate("/week");
        String said = other.locator("#day-" + day).textContent();
        other.close();
        return said;
    }

    /** Treats the pegs of one of the shelf, from the week's list to the end of its run. */
    private void lead(Page page, int shelf) {
        UUID id = database.sql("select id from instrument where name = ? and workshop_id = ?")
                .params("Shelf " + shelf, keeper.workshopId())
                .query(UUID.class)
                .single();
        page.navigate("/week?from=" + today.plusDays(4));
        page.locator("main a[href*='" + id + "/work']").first().click();
        page.locator("#peg-II").selectOption("STICKS");
        page.getByText("Take it to the bench").click();
        page.waitForURL(url -> url.contains("/bench/"));
        while (page.locator("button[data-key=next]").count() > 0) {
            pedal(page);
        }
        assertThat(heading(page)).hasText("Done, and recorded");
        assertThat(page.locator("main")).containsText("Done today");
    }
}
