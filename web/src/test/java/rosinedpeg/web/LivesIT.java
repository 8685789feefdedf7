package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Off;
import rosinedpeg.web.instrument.PastStrings;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;

/** How long strings last, learned by a workshop that begins with nothing. */
class LivesIT extends InRequests {

    private static final Off WORN = new Off(CameOff.WORN, null);

    @Autowired
    Instruments instruments;

    @Autowired
    PastStrings pastStrings;

    @Autowired
    StringKinds kinds;

    private SignedIn keeper;
    private UUID violin;
    private UUID kind;

    @BeforeEach
    void begin() throws Exception {
        keeper = stranger();
        enterKind(keeper, "II");
        kind = kind(keeper, "II");
        violin = violin(keeper, "Fiddle");
        assertThat(page(keeper, "/lives")).contains("As soon as strings are recorded");
    }

    private <T> T in(Supplier<T> work) {
        return CurrentWorkshop.in(keeper, work);
    }

    /** One goes on so many days ago; the one before it came off for that reason. */
    private void fit(int daysAgo, Off before) {
        in(() -> instruments.fit(
                violin,
                Position.II,
                kind,
                Instant.now().minus(Duration.ofDays(daysAgo)),
                Before.NOTHING,
                false,
                before));
    }

    private StringOn on() {
        return in(() -> instruments.get(violin)).string(Position.II).orElseThrow();
    }

    private String dueOnRack() throws Exception {
        page(keeper, "/");
        return database.sql("select due_at::text from rack_place where instrument_id = ?")
                .param(violin)
                .query(String.class)
                .single();
    }

    @Test
    void whatIsWornOutTeachesItsKindAndEveryDueDateFollows() throws Exception {
        fit(300, null);
        fit(200, new Off(CameOff.STILL_GOOD, null));
        assertThat(on().wornBy().life().origin()).isEqualTo(Origin.DEFAULT);
        assertThat(page(keeper, "/lives/" + kind)).contains("Thought to last").contains("2 are still good");
        double before = on().monthsLeft();
        String dueBefore = dueOnRack();

        fit(100, WORN);
        fit(40, new Off(CameOff.BROKE, BreakPlace.NUT));
        fit(10, WORN);
        assertThat(on().wornBy().life().origin()).isEqualTo(Origin.LEARNED);
        assertThat(on().wornBy().life().hours()).isLessThan(250);
        assertThat(on().monthsLeft()).isLessThan(before + 6);
        assertThat(dueOnRack()).isNotEqualTo(dueBefore);
        assertThat(page(keeper, "/lives"))
                .contains("3 over (one broke), 2 still good")
                .contains("at the nut: 1")
                .contains("learned");
        assertThat(page(keeper, "/lives/" + kind))
                .contains("Half of them last")
                .contains("rests on few")
                .contains("by these alone")
                .contains("still on");
        SignedIn other = stranger();
        assertThat(mvc.get().uri("/lives/" + kind).with(user(other))).hasStatus(404);
    }

    /** Strings that are changed without the bench teach as much. */
    @ParameterizedTest
    @CsvSource({"WORN, true, 1", "BROKE, false, 0", "STILL_GOOD, true, 1", "'', true, 1"})
    void whoRecordsANewStringSaysWhyTheOldOneCameOff(String why, boolean kept, int inDrawer) {
        fit(200, null);
        assertThat(post(
                        keeper,
                        "/instruments/" + violin + "/strings/II/found",
                        "fitted",
                        on().fittedId().toString(),
                        "kind",
                        kind.toString(),
                        "since",
                        "",
                        "why",
                        why,
                        "keepOld",
                        "true"))
                .hasStatus(302);
        assertThat(database.sql("select coalesce(came_off, '') || kept from fitted_string"
                                + " where instrument_id = ? and kind_id = ? and removed_at is not null")
                        .params(violin, kind)
                        .query(String.class)
                        .single())
                .isEqualTo(why + kept);
        assertThat(database.sql("select count(*) from drawer_string where kind_id = ?")
                        .param(kind)
                        .query(Integer.class)
                        .single())
                .isEqualTo(inDrawer);
    }

    /** One figure for a kind, whichever page is asked, whoever plays it. */
    @Test
    void everyPageSaysTheSameOfAKind() throws Exception {
        fit(300, null);
        fit(220, WORN);
        fit(30, WORN);
        UUID lent = violin(keeper, "Lent");
        database.sql("update instrument set demand = 'LOAN', hours_per_week = 3 where id = ?")
                .param(lent)
                .update();
        for (int days : new int[] {600, 500, 380, 20}) {
            in(() -> instruments.fit(
                    lent,
                    Position.II,
                    kind,
                    Instant.now().minus(Duration.ofDays(days)),
                    Before.NOTHING,
                    false,
                    days == 600 ? null : WORN));
        }
        var half =
                Pattern.compile("Half of them last (\\d+) h or (\\d+) months").matcher(page(keeper, "/lives/" + kind));
        assertThat(half.find()).isTrue();
        String lasts = half.group(1) + " h, " + half.group(2) + " months";
        assertThat(page(keeper, "/lives")).contains(lasts);
        assertThat(page(keeper, "/strings")).contains(lasts);
        assertThat(on().wornBy().life().hours())
                .as("a concert player's own strings count more for them")
                .isNotEqualTo(Double.parseDouble(half.group(1)));
    }

    /** Of an instrument that has left nobody knows how it went on. */
    @Test
    void aStringOnAnInstrumentThatHasLeftGrowsNoOlder() {
        fit(100, null);
        assertThat(post(keeper, "/instruments/" + violin + "/retire")).hasStatus(302);
        database.sql("update instrument set retired_at = now() - interval '60 days' where id = ?")
                .param(violin)
                .update();
        assertThat(in(() -> pastStrings.ofKind(kind, Instant.now())))
                .singleElement()
                .satisfies(string -> {
                    assertThat(string.lived().over()).isFalse();
                    assertThat(string.lived().months()).isBetween(1.2, 1.4);
                });
    }

    @Test
    void anotherLifeThatIsThoughtOfIsWhereLearningBegins() {
        fit(200, null);
        fit(100, WORN);
        double learned = on().wornBy().life().hours();
        database.sql("update string_kind set life_hours = 2000, life_months = 200 where id = ?")
                .param(kind)
                .update();
        in(() -> {
            kinds.learn(kind, Optional.empty());
            return kind;
        });
        assertThat(on().wornBy().life().hours()).isEqualTo(2000);
        fit(50, WORN);
        assertThat(on().wornBy().life().origin()).isEqualTo(Origin.LEARNED);
        assertThat(on().wornBy().life().hours()).isBetween(learned, 2000.0);
    }
}
