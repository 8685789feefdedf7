package rosinedpeg.web.diary;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.TimezoneInfo;
import biweekly.property.DateStart;
import biweekly.property.ICalProperty;
import biweekly.property.RecurrenceRule;
import biweekly.property.TextProperty;
import biweekly.util.Frequency;
import biweekly.util.ICalDate;
import biweekly.util.com.google.ical.compat.javautil.DateIterator;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Date;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TimeZone;
import org.jspecify.annotations.Nullable;
import rosinedpeg.web.occasions.Occasion;

/**
 * A calendar as programs hand it to each other, iCalendar (RFC 5545), read and written with biweekly.
 *
 * <p>What is repeated is read as single dates, from a year ago to two years from now. A date without a zone is in the workshop's.
 */
final class CalendarFile {

    /** No larger file is read. */
    static final int LARGEST_BYTES = 1_000_000;
    /** No file with more events is read: what each is to be is one field of a form. */
    static final int MOST_EVENTS = 500;
    /** No more dates are read of one event. */
    static final int MOST_OF_ONE = 400;
    /** No more dates are read of one file. */
    static final int MOST_DATES = 2_000;

    /** No longer event is read. */
    static final Duration LONGEST = Duration.ofDays(400);

    private static final Set<Frequency> TOO_OFTEN =
            EnumSet.of(Frequency.SECONDLY, Frequency.MINUTELY, Frequency.HOURLY);

    private CalendarFile() {}

    /**
     * Reads a calendar.
     *
     * @param text what is in the file
     * @param today the day it is
     * @param zone the workshop's zone
     * @return what stands in it, or why it cannot be taken
     */
    static Read read(String text, LocalDate today, ZoneId zone) {
        String whole = text.strip().toUpperCase(Locale.ROOT);
        // One that breaks off would be read as far as it goes, and nobody would miss the rest.
        if (!whole.contains("BEGIN:VCALENDAR") || !whole.endsWith("END:VCALENDAR")) {
            return Read.refused("diary.import.noCalendar");
        }
        List<ICalendar> calendars;
        try {
            calendars = Biweekly.parse(text).all();
        } catch (RuntimeException cutOffOrBroken) {
            return Read.refused("diary.import.noCalendar");
        }
        if (calendars.stream().mapToInt(one -> one.getEvents().size()).sum() > MOST_EVENTS) {
            return Read.refused("diary.import.manyEvents", MOST_EVENTS);
        }
        List<Entry> entries = new ArrayList<>();
        int number = 0;
        for (ICalendar calendar : calendars) {
            Map<String, Set<Date>> moved = moved(calendar);
            for (VEvent event : calendar.getEvents()) {
                entry(number++, event, calendar.getTimezoneInfo(), moved, today, zone)
                        .ifPresent(entries::add);
            }
        }
        entries.sort(Comparator.comparing((Entry entry) -> entry.spans().isEmpty()
                        ? Instant.MAX
                        : entry.spans().get(0).beginsAt())
                .thenComparing(Entry::name));
        int dates = entries.stream().mapToInt(entry -> entry.spans().size()).sum();
        if (dates > MOST_DATES) {
            return Read.refused("diary.import.manyDates", dates, MOST_DATES);
        }
        return entries.isEmpty()
                ? Read.refused("diary.import.nothing")
                : new Read(Optional.empty(), List.of(), entries);
    }

    /** The dates of repeated events that stand in the file once more, moved or called off. */
    private static Map<String, Set<Date>> moved(ICalendar calendar) {
        Map<String, Set<Date>> moved = new HashMap<>();
        for (VEvent event : calendar.getEvents()) {
            if (event.getRecurrenceId() != null && event.getUid() != null) {
                moved.computeIfAbsent(event.getUid().getValue(), none -> new HashSet<>())
                        .add(new Date(event.getRecurrenceId().getValue().getTime()));
            }
        }
        return moved;
    }

    private static Optional<Entry> entry(
            int number, VEvent event, TimezoneInfo zones, Map<String, Set<Date>> moved, LocalDate today, ZoneId zone) {
        DateStart start = event.getDateStart();
        if (event.getStatus() != null && event.getStatus().isCancelled()) {
            return Optional.empty();
        }
        String name = shortened(text(event.getSummary()), Occasion.LONGEST_NAME);
        String note = shortened(text(event.getLocation()), Occasion.LONGEST_NOTE);
        if (start == null || start.getValue() == null || name.isEmpty()) {
            return Optional.of(Entry.wrong(number, name, "diary.import.noStart"));
        }
        RecurrenceRule rule = event.getRecurrenceRule();
        if (rule != null
                && rule.getValue() != null
                && TOO_OFTEN.contains(rule.getValue().getFrequency())) {
            return Optional.of(Entry.wrong(number, name, "diary.import.often"));
        }
        boolean days = !start.getValue().hasTime();
        Duration length = length(event, start.getValue(), days);
        if (length.isNegative() || length.compareTo(LONGEST) > 0) {
            return Optional.of(Entry.wrong(number, name, "diary.import.long"));
        }
        Set<Date> elsewhere = event.getRecurrenceId() != null || event.getUid() == null
                ? Set.of()
                : moved.getOrDefault(event.getUid().getValue(), Set.of());
        List<Span> spans = new ArrayList<>();
        Date until = Date.from(today.plusYears(2).atStartOfDay(zone).toInstant());
        TimeZone ticks = zoneOf(start, zones);
        DateIterator dates = event.getDateIterator(ticks);
        dates.advanceTo(Date.from(today.minusYears(1).atStartOfDay(zone).toInstant()));
        while (dates.hasNext()) {
            Date date = dates.next();
            if (!date.before(until)) {
                break;
            }
            if (elsewhere.contains(date)) {
                continue;
            }
            if (spans.size() == MOST_OF_ONE) {
                return Optional.of(Entry.wrong(number, name, "diary.import.often"));
            }
            spans.add(span(date, length, days, zones.isFloating(start), zone));
        }
        return spans.isEmpty()
                ? Optional.empty()
                : Optional.of(new Entry(number, name, note, days, spans, Optional.empty()));
    }

    /** Dates without a time, and times without a zone, are counted where this program runs, and then moved. */
    private static TimeZone zoneOf(ICalProperty start, TimezoneInfo zones) {
        return zones.isFloating(start) || zones.getTimezone(start) == null
                ? TimeZone.getDefault()
                : zones.getTimezone(start).getTimeZone();
    }

    private static Span span(Date date, Duration length, boolean days, boolean floating, ZoneId zone) {
        if (!days && !floating) {
            return new Span(date.toInstant(), date.toInstant().plus(length));
        }
        LocalDateTime local = LocalDateTime.ofInstant(date.toInstant(), ZoneId.systemDefault());
        if (!days) {
            Instant begins = local.atZone(zone).toInstant();
            return new Span(begins, begins.plus(length));
        }
        return new Span(
                local.toLocalDate().atStartOfDay(zone).toInstant(),
                local.toLocalDate()
                        .plusDays(Math.max(1, length.toDays()))
                        .atStartOfDay(zone)
                        .toInstant());
    }

    private static Duration length(VEvent event, ICalDate start, boolean days) {
        if (event.getDateEnd() != null && event.getDateEnd().getValue() != null) {
            Date end = event.getDateEnd().getValue();
            // A day of an hour more or less in spring and autumn is a day.
            return days
                    ? Duration.ofDays(Math.round((end.getTime() - start.getTime()) / 86_400_000.0))
                    : Duration.ofMillis(end.getTime() - start.getTime());
        }
        if (event.getDuration() != null && event.getDuration().getValue() != null) {
            return Duration.ofMillis(event.getDuration().getValue().toMillis());
        }
        return days ? Duration.ofDays(1) : Duration.ofHours(1);
    }

    private static String text(@Nullable TextProperty property) {
        return property == null || property.getValue() == null
                ? ""
                : property.getValue().replaceAll("[\\p{Cntrl}\\s]+", " ").strip();
    }

    private static String shortened(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest - 1) + "…";
    }

    /**
     * Writes a calendar.
     *
     * @param name what it is called
     * @param events what stands in it
     * @param now the moment it is written
     * @return it
     */
    static String write(String name, List<Event> events, Instant now) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Rosined Peg//Diary//EN");
        calendar.setName(name);
        calendar.setRefreshInterval(biweekly.util.Duration.builder().hours(1).build());
        for (Event event : events) {
            VEvent written = new VEvent();
            written.setUid(event.id() + "@rosined-peg");
            written.setDateTimeStamp(Date.from(now));
            written.setSummary(event.name());
            if (!event.note().isEmpty()) {
                written.setDescription(event.note());
            }
            if (event.days().isPresent()) {
                // Written as it stands where this program runs: as the day it is.
                ZoneId here = ZoneId.systemDefault();
                Days days = event.days().get();
                written.setDateStart(Date.from(days.first().atStartOfDay(here).toInstant()), false);
                written.setDateEnd(
                        Date.from(days.last().plusDays(1).atStartOfDay(here).toInstant()), false);
                written.setTransparency(true);
            } else {
                written.setDateStart(Date.from(event.span().beginsAt()));
                written.setDateEnd(Date.from(event.span().endsAt()));
            }
            calendar.addEvent(written);
        }
        return Biweekly.write(calendar).go();
    }

    /**
     * Two moments.
     *
     * @param beginsAt the one
     * @param endsAt the other
     */
    record Span(Instant beginsAt, Instant endsAt) {}

    /**
     * Whole days.
     *
     * @param first the first
     * @param last the last
     */
    record Days(LocalDate first, LocalDate last) {}

    /**
     * What stands in a calendar that is written.
     *
     * @param id what it is known by from one time to the next
     * @param name what it is called
     * @param note what is said of it beside
     * @param span when it is
     * @param days the days it takes; empty where it has its times
     */
    record Event(String id, String name, String note, Span span, Optional<Days> days) {}

    /**
     * What stands in a calendar that is read: once, or repeated.
     *
     * @param number its place in the file, from 0, whatever else is read of the file
     * @param name what it is called
     * @param note where it is
     * @param days whether it takes whole days
     * @param spans each of its dates, the earliest first
     * @param wrong why it cannot be taken
     */
    record Entry(int number, String name, String note, boolean days, List<Span> spans, Optional<String> wrong) {

        private static Entry wrong(int number, String name, String wrong) {
            return new Entry(number, name, "", false, List.of(), Optional.of(wrong));
        }
    }

    /**
     * What stands in a file.
     *
     * @param refusal why the whole of it cannot be taken
     * @param told the numbers in that sentence
     * @param entries what stands in it
     */
    record Read(Optional<String> refusal, List<Object> told, List<Entry> entries) {

        private static Read refused(String why, Object... told) {
            return new Read(Optional.of(why), List.of(told), List.of());
        }
    }
}
