package rosinedpeg.web.diary;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.platform.Words;

/** The diary as calendar programs read it: the dates with their times, and what follows from them on the day it stands on. */
@Service
@Transactional
class DiaryCalendar {

    private static final int WEEKS_BACK = 4;
    private static final int MONTHS_AHEAD = 12;
    private static final int WEEKS_AHEAD = 8;

    private final Weeks weeks;
    private final Occasions occasions;
    private final DiaryWords diaryWords;
    private final Words words;
    private final Clock clock;

    DiaryCalendar(Weeks weeks, Occasions occasions, DiaryWords diaryWords, Words words, Clock clock) {
        this.weeks = weeks;
        this.occasions = occasions;
        this.diaryWords = diaryWords;
        this.words = words;
        this.clock = clock;
    }

    /** {@return the diary of the workshop in hand, four weeks back and a year ahead} */
    String of(DiaryFeeds.Owner owner) {
        ZoneId zone = owner.zone();
        LocalDate today = weeks.today(zone);
        List<CalendarFile.Event> events = new ArrayList<>();
        for (Occasion one : occasions.between(
                start(today.minusWeeks(WEEKS_BACK), zone), start(today.plusMonths(MONTHS_AHEAD), zone))) {
            events.add(new CalendarFile.Event(
                    one.id().toString(),
                    one.name(),
                    one.what().note(),
                    new CalendarFile.Span(one.beginsAt(), one.what().endsAt()),
                    one.kind().takesDays()
                            ? Optional.of(new CalendarFile.Days(
                                    day(one.beginsAt(), zone),
                                    day(one.what().endsAt().minusSeconds(1), zone)))
                            : Optional.empty()));
        }
        for (Told told : weeks.told(start(today.plusWeeks(WEEKS_AHEAD), zone), zone)) {
            LocalDate day = told.day(zone);
            events.add(new CalendarFile.Event(
                    told.kind() + "-" + told.instrumentId() + "-"
                            + String.join(
                                    "", told.strings().stream().map(Enum::name).toList()) + "-"
                            + (told.owed() == null ? day : told.owed().id()),
                    diaryWords.event(told),
                    diaryWords.says(told, zone),
                    new CalendarFile.Span(told.at(), told.at()),
                    Optional.of(new CalendarFile.Days(day, day))));
        }
        return CalendarFile.write(words.say("diary.calendar", owner.workshop()), events, clock.instant());
    }

    private static Instant start(LocalDate day, ZoneId zone) {
        return day.atStartOfDay(zone).toInstant();
    }

    private static LocalDate day(Instant moment, ZoneId zone) {
        return moment.atZone(zone).toLocalDate();
    }
}
