package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.ISO_8859_1;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.io.StringReader;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** The diary of a workshop that begins with nothing: dates by hand and from calendars, what follows from them, and out again. */
class DiaryIT extends InRequests {

    private static final ZoneId ZONE = ZoneId.of("Europe/Paris");

    private SignedIn keeper;
    private LocalDate today;

    @BeforeEach
    void begin() {
        SignedIn one = stranger();
        database.sql("update workshop set zone = ? where id = ?")
                .params(ZONE.getId(), one.workshopId())
                .update();
        keeper = new SignedIn(
                one.accountId(),
                one.personId(),
                one.workshopId(),
                one.workshopName(),
                ZONE,
                one.referenceAHz(),
                one.signIn(),
                one.name(),
                one.role(),
                one.active(),
                one.playersOwnOnly(),
                one.keepersSecondStep(),
                one.secondStepDue(),
                one.leavesAt());
        today = LocalDate.now(ZONE);
    }

    private MvcTestResult enter(String kind, String name, LocalDate day, String... more) {
        List<String> fields = Stream.concat(
                        Stream.of("kind", kind, "name", name, "day", day.toString(), "from", "19:30", "until", "22:00"),
                        Stream.of(more))
                .toList();
        return post(keeper, "/diary/new", fields.toArray(String[]::new));
    }

    private List<LocalDateTime> begins(String name) {
        return database
                .sql("select begins_at from occasion where workshop_id = ? and name = ? order by begins_at")
                .params(keeper.workshopId(), name)
                .query(OffsetDateTime.class)
                .list()
                .stream()
                .map(moment -> moment.atZoneSameInstant(ZONE).toLocalDateTime())
                .toList();
    }

    private UUID first(String name) {
        return database.sql("select id from occasion where workshop_id = ? and name = ? order by begins_at limit 1")
                .params(keeper.workshopId(), name)
                .query(UUID.class)
                .single();
    }

    /** Across the end of summer time: half past seven stays half past seven. */
    @Test
    void aDateIsRepeatedPutRightAndTakenOut() throws Exception {
        assertThat(page(keeper, "/diary")).contains("Nothing is to be played yet");
        LocalDate first =
                LocalDate.of(today.getYear() + 1, 10, 1).with(TemporalAdjusters.nextOrSame(DayOfWeek.THURSDAY));
        assertThat(enter(
                        "REHEARSAL",
                        "Village band",
                        first,
                        "every",
                        "2",
                        "lastRepeat",
                        first.plusWeeks(8).toString()))
                .hasRedirectedUrl("/diary?from=" + first);
        assertThat(begins("Village band"))
                .containsExactlyElementsOf(IntStream.rangeClosed(0, 4)
                        .mapToObj(i -> first.plusWeeks(2L * i).atTime(19, 30))
                        .toList());
        assertThat(page(keeper, "/diary?from=" + first)).contains("Village band", "19:30 to 22:00");
        assertThat(enter("CONCERT", "village BAND", first))
                .bodyText()
                .contains("There is one of that name at that moment already.", "value=\"village BAND\"");

        UUID second = database.sql("select id from occasion where workshop_id = ? order by begins_at offset 1 limit 1")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        String[] later = {
            "kind",
            "REHEARSAL",
            "name",
            "Village band",
            "day",
            first.plusWeeks(4).toString(),
            "from",
            "18:00",
            "until",
            "20:00",
            "following",
            "true",
            "version",
            "0"
        };
        assertThat(page(keeper, "/diary/" + second)).contains("and the 3 after it");
        assertThat(post(keeper, "/diary/" + second, later)).hasStatus(302);
        assertThat(begins("Village band"))
                .as("moved by as many days as the step of the series")
                .containsExactly(
                        first.atTime(19, 30),
                        first.plusWeeks(4).atTime(18, 0),
                        first.plusWeeks(6).atTime(18, 0),
                        first.plusWeeks(8).atTime(18, 0),
                        first.plusWeeks(10).atTime(18, 0));
        assertThat(post(keeper, "/diary/" + second, later))
                .as("from a page before that")
                .bodyText()
                .contains("Somebody else has changed it");
        assertThat(post(keeper, "/diary/" + second + "/remove")).hasStatus(302);
        assertThat(begins("Village band")).hasSize(4);
        assertThat(post(keeper, "/diary/" + first("Village band") + "/remove", "following", "true"))
                .hasRedirectedUrl("/diary");
        assertThat(begins("Village band")).isEmpty();
        assertThat(mvc.get().uri("/diary/" + second).with(user(keeper))).hasStatus(404);
    }

    @ParameterizedTest
    @CsvSource({
        "name, '', Write something",
        "day, 2026-02-30, A day from",
        "day, 1999-01-01, A day from",
        "from, 25:00, 'A time of day, as 19:30.'",
        "until, 19:30, It has to end at another time",
        "every, 0, A whole number from 1 to 8",
        "lastRepeat, 2001-01-01, A day from"
    })
    void whatCannotBeIsSaidBesideTheField(String field, String typed, String said) {
        List<String> fields = Stream.of(
                        "kind",
                        "CONCERT",
                        "name",
                        "Opening",
                        "day",
                        today.toString(),
                        "from",
                        "19:30",
                        "until",
                        "22:00",
                        "every",
                        "1",
                        "lastRepeat",
                        today.plusWeeks(2).toString())
                .collect(Collectors.toList());
        fields.set(fields.indexOf(field) + 1, typed);
        assertThat(post(keeper, "/diary/new", fields.toArray(String[]::new)))
                .hasStatus(200)
                .bodyText()
                .contains(said, "value=\"" + typed + "\"");
        assertThat(begins("Opening")).isEmpty();
    }

    /** A set of two years that is played hard, and a season before it. */
    @Test
    void theLastSafeMomentStandsBeforeWhatIsPlayed() throws Exception {
        UUID violin = violin(today.minusYears(2), 20);
        assertThat(page(keeper, "/diary")).contains("Leader&#39;s violin", "due now");
        LocalDateTime soon = LocalDateTime.now(ZONE).plusHours(3);
        assertThat(post(
                        keeper,
                        "/diary/new",
                        "kind",
                        "REHEARSAL",
                        "name",
                        "Far too soon",
                        "day",
                        soon.toLocalDate().toString(),
                        "from",
                        soon.format(DateTimeFormatter.ofPattern("HH:mm")),
                        "until",
                        soon.plusHours(1).format(DateTimeFormatter.ofPattern("HH:mm"))))
                .hasStatus(302);
        enter("CONCERT", "Opening night", today.plusDays(14));
        enter(
                "TERM",
                "Summer season",
                today.minusDays(3),
                "lastDay",
                today.plusDays(30).toString());
        enter(
                "HOLIDAY",
                "Feast",
                today.plusDays(2),
                "lastDay",
                today.plusDays(2).toString());
        String diary = page(keeper, "/diary");
        assertThat(diary)
                .contains("to hold for Opening night", "Far too soon", "Summer season", "Feast", "class=\"concert\"");
        assertThat(diary).contains("/instruments/" + violin + "/plan?strings=");
        LocalDate change = today;
        while (!page(keeper, "/diary/day/" + change).contains("to hold for Opening night")) {
            change = change.plusDays(1);
            assertThat(change).as("a day to change them").isBefore(today.plusDays(14));
        }
        assertThat(change)
                .as("not before the rehearsal, which new strings would spoil")
                .isAfter(today);
    }

    /** Counted anew when a holiday is entered or taken out, and from a day on which somebody knew better. */
    @Test
    void nobodyPlaysInHolidays() throws Exception {
        UUID violin = violin(today.minusDays(100), 14);
        String string = "/instruments/" + violin + "/strings/II";
        assertThat(hours(string)).isBetween(199.0, 203.0);
        assertThat(page(account("keeper"), "/")).contains("Pit 1 violin");
        enter(
                "HOLIDAY",
                "Laid up",
                today.minusDays(80),
                "lastDay",
                today.minusDays(31).toString());
        assertThat(hours(string)).as("50 days without").isBetween(99.0, 103.0);
        assertThat(database.sql("select count(*) from rack_place where holds_until <= timestamptz 'epoch'"
                                + " and workshop_id = ?")
                        .param(account("keeper").workshopId())
                        .query(Integer.class)
                        .single())
                .as("places of another workshop")
                .isZero();
        String version = String.valueOf(
                database.sql("select version from fitted_string where instrument_id = ?" + " and position = 'II'")
                        .param(violin)
                        .query(Integer.class)
                        .single());
        UUID fitted = database.sql("select id from fitted_string where instrument_id = ? and position = 'II'")
                .param(violin)
                .query(UUID.class)
                .single();
        assertThat(post(keeper, string + "/hours", "hours", "many", "fitted", fitted.toString(), "version", version))
                .hasStatus(200)
                .bodyText()
                .contains("It goes from 0 to 5000 h", "value=\"many\"");
        String[] counted = {"hours", "12,5", "fitted", fitted.toString(), "version", version};
        assertThat(post(keeper, string + "/hours", counted)).hasRedirectedUrl("/instruments/" + violin);
        assertThat(hours(string)).isBetween(12.0, 13.0);
        assertThat(page(keeper, string)).contains("counted ");
        assertThat(post(keeper, string + "/hours", counted)
                        .getMvcResult()
                        .getFlashMap()
                        .get("notice"))
                .as("from a page before that")
                .isEqualTo("changed.meanwhile");
        post(keeper, "/diary/" + first("Laid up") + "/remove");
        assertThat(hours(string)).as("counted since").isBetween(12.0, 13.0);
    }

    /** A season of long evenings wears the strings that play them, and asks nothing of the others. */
    @Test
    void aDateConcernsTheInstrumentsItNames() throws Exception {
        UUID violin = violin(today.minusDays(100), 2);
        String string = "/instruments/" + violin + "/strings/II";
        assertThat(post(keeper, "/instruments/new", "name", "Spare viola", "size", "VIOLA 16", "strung", "SYNTHETIC"))
                .hasStatus(302);
        double before = hours(string);
        assertThat(enter("CONCERT", "Gala", today.minusDays(20), "played", "Leaders"))
                .bodyText()
                .contains("No instrument on the rack is called Leaders, or begins so", ">Leaders</textarea>");
        LocalDate monday = today.minusDays(21).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        enter(
                "CONCERT",
                "Gala",
                monday,
                "played",
                "leader",
                "every",
                "1",
                "lastRepeat",
                monday.plusWeeks(1).toString());
        assertThat(hours(string)).as("two weeks of 2½ h in the place of 2 h").isCloseTo(before + 1, within(0.2));
        assertThat(page(keeper, string + "/working/HOURS_PLAYED")).contains("hours beyond the usual ones");
        enter("CONCERT", "Recital", today.plusDays(9), "played", "Leader's violin\n\n");
        assertThat(page(keeper, "/diary?from=" + today.plusDays(9))).contains("Leader&#39;s violin");
        assertThat(page(keeper, "/instruments/" + violin + "/plan")).contains("Recital");
        UUID spare = database.sql("select id from instrument where name = 'Spare viola'")
                .query(UUID.class)
                .single();
        assertThat(page(keeper, "/instruments/" + spare + "/plan")).doesNotContain("Recital");
        assertThat(outdated()).isZero();
        String gala = "/diary/" + first("Gala");
        assertThat(page(keeper, gala)).contains(">Leader&#39;s violin</textarea>");
        post(
                keeper,
                gala,
                "kind",
                "CONCERT",
                "name",
                "Gala",
                "day",
                monday.toString(),
                "from",
                "19:30",
                "until",
                "22:00",
                "following",
                "true",
                "version",
                "0");
        assertThat(outdated()).as("places that were reckoned with it").isEqualTo(1);
        assertThat(hours(string)).as("of nobody in particular").isCloseTo(before, within(0.1));
        post(keeper, "/diary/" + first("Recital") + "/remove");
        assertThat(begins("Recital")).isEmpty();
        post(keeper, "/instruments/" + spare + "/retire");
        assertThat(enter("CONCERT", "Matinee", today.minusDays(3), "played", "Spare viola"))
                .as("a date that names one that has left the rack since can still be put right")
                .hasStatus(302);
    }

    private int outdated() throws Exception {
        int outdated = database.sql("select count(*) from rack_place where holds_until <= timestamptz 'epoch'"
                        + " and workshop_id = ?")
                .param(keeper.workshopId())
                .query(Integer.class)
                .single();
        page(keeper, "/");
        return outdated;
    }

    private UUID violin(LocalDate since, int hoursPerWeek) {
        assertThat(post(
                        keeper,
                        "/instruments/new",
                        "name",
                        "Leader's violin",
                        "size",
                        "VIOLIN 4/4",
                        "strung",
                        "SYNTHETIC",
                        "since",
                        since.toString(),
                        "hoursPerWeek",
                        String.valueOf(hoursPerWeek),
                        "demand",
                        "CONCERT"))
                .hasStatus(302);
        return database.sql("select id from instrument where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
    }

    /** A newcomer who knows nothing of the strings is not told that nothing is due. */
    @Test
    void stringsOfUnknownAgeCountAsDue() throws Exception {
        assertThat(post(keeper, "/instruments/new", "name", "Mine", "size", "VIOLA 16", "strung", "UNKNOWN"))
                .hasStatus(302);
        assertThat(page(keeper, "/diary")).contains("Age not known", "treated as due until somebody knows");
        enter("CONCERT", "Recital", today.plusDays(20));
        assertThat(page(keeper, "/diary")).contains("treated as due; by ", "to hold for Recital");
    }

    private double hours(String string) throws Exception {
        Matcher told = Pattern.compile("([\\d.]+) h by now").matcher(page(keeper, string));
        assertThat(told.find()).isTrue();
        return Double.parseDouble(told.group(1));
    }

    private MvcTestResult send(byte[] file) {
        return mvc.post()
                .uri("/diary/import")
                .multipart()
                .file(new MockMultipartFile("file", "season.ics", "text/calendar", file))
                .with(user(keeper))
                .with(csrf())
                .exchange();
    }

    private static String calendar(String... lines) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Somebody//EN\r\n" + String.join("\r\n", lines)
                + "\r\nEND:VCALENDAR\r\n";
    }

    private static String event(String uid, String name, String... lines) {
        return "BEGIN:VEVENT\r\nUID:" + uid + "\r\nDTSTAMP:20260101T000000Z\r\nSUMMARY:" + name + "\r\n"
                + String.join("\r\n", lines) + "\r\nEND:VEVENT";
    }

    static Stream<Arguments> badFiles() {
        Random random = new Random(7);
        byte[] noise = new byte[3000];
        random.nextBytes(noise);
        String often = event("a", "Rehearsal", "DTSTART:20260101T180000Z", "RRULE:FREQ=SECONDLY");
        String many = IntStream.range(0, 501)
                .mapToObj(i -> event("e" + i, "Rehearsal " + i, "DTSTART:20260101T180000Z"))
                .collect(Collectors.joining("\r\n"));
        return Stream.of(
                Arguments.of("empty", new byte[0], "Choose a file"),
                Arguments.of("binary", noise, "That is no calendar"),
                Arguments.of("a table", "name,day\nOpening,2027-01-01".getBytes(UTF_8), "That is no calendar"),
                Arguments.of("large", ("BEGIN:VCALENDAR\n" + "x".repeat(1_000_000)).getBytes(UTF_8), "too large"),
                Arguments.of(
                        "cut off",
                        calendar(event("a", "Rehearsal", "DTSTART:20260101T180000Z"))
                                .replace("\r\nEND:VCALENDAR", "")
                                .getBytes(UTF_8),
                        "or it breaks off"),
                Arguments.of("no events", calendar("X-A:1").getBytes(UTF_8), "No event in it"),
                Arguments.of("501 events", calendar(many).getBytes(UTF_8), "too many events: at most 500"),
                Arguments.of(
                        "long past",
                        calendar(event("a", "Old", "DTSTART:19900101T180000Z")).getBytes(UTF_8),
                        "No event in it"),
                Arguments.of(
                        "never",
                        calendar(event(
                                        "a",
                                        "Never",
                                        "DTSTART:20260101T180000Z",
                                        "RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30"))
                                .getBytes(UTF_8),
                        ""),
                Arguments.of("every second", calendar(often).getBytes(UTF_8), ""));
    }

    /** None changes anything: a sentence, or a preview in which nothing can be chosen. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("badFiles")
    void aFileThatCannotBeTakenChangesNothing(String name, byte[] file, String said) throws Exception {
        MvcTestResult sent = send(file);
        if (said.isEmpty()) {
            String preview = sent.getResponse().getRedirectedUrl();
            if (preview != null) {
                assertThat(page(keeper, preview)).containsAnyOf("repeated more often than 400", "Never");
            }
        } else {
            assertThat(sent).hasStatus(200).bodyText().contains(said);
        }
        assertThat(database.sql("select count(*) from occasion where workshop_id = ?")
                        .param(keeper.workshopId())
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    /** Zones, none, whole days, repeats with one left out, one moved and one called off; an old Western file. */
    @Test
    void aSeasonComesFromACalendar() throws Exception {
        LocalDate monday = today.plusWeeks(1).with(TemporalAdjusters.nextOrSame(DayOfWeek.MONDAY));
        String day = monday.format(DateTimeFormatter.BASIC_ISO_DATE);
        String next = monday.plusWeeks(1).format(DateTimeFormatter.BASIC_ISO_DATE);
        String third = monday.plusWeeks(2).format(DateTimeFormatter.BASIC_ISO_DATE);
        String fourth = monday.plusWeeks(3).format(DateTimeFormatter.BASIC_ISO_DATE);
        byte[] file = calendar(
                        event(
                                "weekly",
                                "Répétition",
                                "LOCATION:Under the stage",
                                "DTSTART;TZID=America/New_York:" + day + "T120000",
                                "DTEND;TZID=America/New_York:" + day + "T140000",
                                "RRULE:FREQ=WEEKLY;COUNT=5",
                                "EXDATE;TZID=America/New_York:" + next + "T120000"),
                        event(
                                "weekly",
                                "Répétition",
                                "RECURRENCE-ID;TZID=America/New_York:" + third + "T120000",
                                "DTSTART;TZID=America/New_York:" + third + "T150000",
                                "DURATION:PT90M"),
                        event(
                                "weekly",
                                "Répétition",
                                "STATUS:CANCELLED",
                                "RECURRENCE-ID;TZID=America/New_York:" + fourth + "T120000",
                                "DTSTART;TZID=America/New_York:" + fourth + "T120000"),
                        event("floating", "Gala", "DTSTART:" + day + "T200000", "DTEND:" + day + "T230000"),
                        event("off", "Called off", "DTSTART:" + day + "T200000", "STATUS:CANCELLED"),
                        event("feast", "Holiday", "DTSTART;VALUE=DATE:" + day, "DTEND;VALUE=DATE:" + next),
                        event("party", "Somebody's party", "DTSTART;VALUE=DATE:" + day))
                .getBytes(ISO_8859_1);
        String waits = send(file).getResponse().getRedirectedUrl();
        String preview = page(keeper, waits);
        assertThat(preview)
                .contains("R\u00e9p\u00e9tition", "Gala", "Holiday", "Somebody&#39;s party")
                .doesNotContain("Called off");
        String[] chosen = chosen(preview);
        assertThat(post(keeper, waits, chosen)).hasRedirectedUrl("/diary");
        ZoneId newYork = ZoneId.of("America/New_York");
        assertThat(begins("R\u00e9p\u00e9tition"))
                .containsExactlyElementsOf(Stream.of(
                                monday.atTime(12, 0),
                                monday.plusWeeks(2).atTime(15, 0),
                                monday.plusWeeks(4).atTime(12, 0))
                        .map(there ->
                                there.atZone(newYork).withZoneSameInstant(ZONE).toLocalDateTime())
                        .toList());
        assertThat(begins("Gala")).containsExactly(monday.atTime(20, 0));
        assertThat(begins("Holiday")).containsExactly(monday.atTime(LocalTime.MIDNIGHT));
        assertThat(begins("Somebody's party")).as("nothing of ours by its name").isEmpty();
        assertThat(page(keeper, "/diary?from=" + monday)).contains("Under the stage");

        String again = page(keeper, send(file).getResponse().getRedirectedUrl());
        assertThat(again).contains("1 of them in the diary already");
        assertThat(post(keeper, waits, chosen)).hasRedirectedUrl("/diary");
        assertThat(begins("Gala")).as("taken in once").hasSize(1);
    }

    /** What is chosen where nobody chooses otherwise. */
    private static String[] chosen(String preview) {
        return Jsoup.parse(preview).select("select").stream()
                .flatMap(select -> Stream.of(
                        select.attr("name"), select.select("option[selected]").attr("value")))
                .toArray(String[]::new);
    }

    /** Read with another library than it is written with. */
    @Test
    void aCalendarProgramReadsTheDiaryByASecretAddressUntilThatEnds() throws Exception {
        enter("CONCERT", "Opening night", today.plusDays(14), "note", "Doors at seven; bring a mute, and \\ a lamp");
        enter("TERM", "Summer season", today, "lastDay", today.plusDays(30).toString());
        MvcTestResult made = post(keeper, "/diary/feeds");
        String address = String.valueOf(made.getMvcResult().getFlashMap().get("address"));
        String path = address.substring(address.indexOf("/feeds/"));
        assertThat(page(keeper, "/diary/feeds")).doesNotContain(path);
        MvcTestResult read = mvc.get().uri(path).exchange();
        assertThat(read).hasStatus(200).hasContentTypeCompatibleWith("text/calendar");
        Calendar calendar =
                new CalendarBuilder().build(new StringReader(read.getResponse().getContentAsString(UTF_8)));
        VEvent opening = named(calendar, "Opening night");
        assertThat(String.valueOf(opening.getDateTimeStart().getDate()))
                .startsWith(today.plusDays(14)
                        .atTime(19, 30)
                        .atZone(ZONE)
                        .toInstant()
                        .toString()
                        .substring(0, 16));
        assertThat(opening.getDescription().getValue()).isEqualTo("Doors at seven; bring a mute, and \\ a lamp");
        VEvent season = named(calendar, "Summer season");
        assertThat(season.getDateTimeStart().getDate()).isEqualTo(today);
        assertThat(season.getDateTimeEnd().getDate()).isEqualTo(today.plusDays(31));

        database.sql("update account set active = false where id = ?")
                .param(keeper.accountId())
                .update();
        assertThat(mvc.get().uri(path))
                .as("of somebody who may no longer sign in")
                .hasStatus(404);
        database.sql("update account set active = true where id = ?")
                .param(keeper.accountId())
                .update();
        UUID feed = database.sql("select id from diary_feed where account_id = ?")
                .param(keeper.accountId())
                .query(UUID.class)
                .single();
        post(account("keeper"), "/diary/feeds/" + feed + "/end");
        assertThat(mvc.get().uri(path)).as("nobody else ends it").hasStatus(200);
        assertThat(post(keeper, "/diary/feeds/" + feed + "/end")).hasStatus(302);
        assertThat(mvc.get().uri(path)).hasStatus(404);
    }

    private static VEvent named(Calendar calendar, String name) {
        return calendar.<VEvent>getComponents("VEVENT").stream()
                .filter(event -> event.getSummary().getValue().equals(name))
                .findFirst()
                .orElseThrow();
    }
}
