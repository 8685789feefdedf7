package rosinedpeg.web.diary;

import static rosinedpeg.web.platform.Entry.orEmpty;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.validation.Errors;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.platform.Entry;

/**
 * A date as typed.
 *
 * @param kind what sort of date it is
 * @param name what it is called
 * @param note what somebody notes of it
 * @param day the day it is on; where it takes days, the first
 * @param from when it begins, as 19:30
 * @param until when it is over; before it begins means the next day
 * @param lastDay where it takes days, the last
 * @param played which instruments are played, a name or how several begin in each line; empty for all
 * @param every after how many weeks it is repeated; empty for once
 * @param lastRepeat the last day it may be repeated on
 * @param following whether those of its series that come after it are meant too
 * @param version how often it had been changed when the page was made
 */
record DiaryForm(
        OccasionKind kind,
        String name,
        String note,
        String day,
        String from,
        String until,
        String lastDay,
        String played,
        String every,
        String lastRepeat,
        Boolean following,
        Integer version) {

    /** No date is taken that is so many years away, in either direction. */
    static final int YEARS = 5;
    /** No date is repeated more often. */
    static final int MOST_REPEATS = 400;
    /** No more lines of instruments are read. */
    private static final int MOST_NAMES = 300;
    /** The weeks after which something may be repeated. */
    static final int MOST_WEEKS = 8;

    private static final Duration LONGEST_SPAN = Duration.ofDays(400);

    /** What is not sent is as on an empty form. */
    DiaryForm {
        kind = kind == null ? OccasionKind.REHEARSAL : kind;
        name = orEmpty(name);
        note = orEmpty(note);
        day = orEmpty(day);
        from = orEmpty(from);
        until = orEmpty(until);
        lastDay = orEmpty(lastDay);
        played = orEmpty(played);
        every = orEmpty(every);
        lastRepeat = orEmpty(lastRepeat);
        following = following != null && following;
        version = version == null ? -1 : version;
    }

    static DiaryForm blank(LocalDate day) {
        return new DiaryForm(
                OccasionKind.REHEARSAL,
                "",
                "",
                day.toString(),
                "18:30",
                "21:00",
                day.toString(),
                "",
                "",
                "",
                false,
                -1);
    }

    static DiaryForm of(Occasion one, Collection<String> played, ZoneId zone) {
        Instant last = one.kind().takesDays()
                ? one.what().endsAt().minusSeconds(1)
                : one.what().endsAt();
        return new DiaryForm(
                one.kind(),
                one.name(),
                one.what().note(),
                one.beginsAt().atZone(zone).toLocalDate().toString(),
                one.kind().takesDays()
                        ? ""
                        : one.beginsAt().atZone(zone).toLocalTime().toString(),
                one.kind().takesDays()
                        ? ""
                        : one.what().endsAt().atZone(zone).toLocalTime().toString(),
                last.atZone(zone).toLocalDate().toString(),
                played.stream().sorted().collect(Collectors.joining("\n")),
                "",
                "",
                false,
                one.version());
    }

    /**
     * Reads it.
     *
     * @param errors where a refusal is noted, at the field
     * @param today the day it is
     * @param zone the zone its times are in
     * @param meant the instruments that a name means
     * @return each of its dates, the first first; empty where something was refused
     */
    List<Occasion.What> read(Errors errors, LocalDate today, ZoneId zone, Function<String, Set<UUID>> meant) {
        Optional<String> called = Entry.text(errors, "name", name, Occasion.LONGEST_NAME);
        Entry.note(errors, "note", note, Occasion.LONGEST_NOTE);
        LocalDate earliest = today.minusYears(YEARS);
        LocalDate latest = today.plusYears(YEARS);
        Optional<LocalDate> first = Entry.date(errors, "day", day, earliest, latest);
        List<Occasion.What> dates = kind.takesDays()
                ? span(errors, first, zone)
                : repeated(errors, first, latest, instruments(errors, meant), zone);
        return errors.hasErrors() || called.isEmpty() ? List.of() : dates;
    }

    private List<Occasion.What> span(Errors errors, Optional<LocalDate> first, ZoneId zone) {
        if (first.isEmpty()) {
            return List.of();
        }
        LocalDate furthest = first.get().plusDays(LONGEST_SPAN.toDays() - 1);
        return Entry.date(errors, "lastDay", lastDay, first.get(), furthest)
                .map(last -> List.of(what(
                        Set.of(),
                        first.get().atStartOfDay(zone).toInstant(),
                        last.plusDays(1).atStartOfDay(zone).toInstant())))
                .orElse(List.of());
    }

    private List<Occasion.What> repeated(
            Errors errors, Optional<LocalDate> first, LocalDate latest, Set<UUID> instruments, ZoneId zone) {
        Optional<LocalTime> begins = time(errors, "from", from);
        Optional<LocalTime> ends = time(errors, "until", until);
        List<LocalDate> days = first.map(day -> days(errors, day, latest)).orElse(List.of());
        if (begins.isEmpty() || ends.isEmpty()) {
            return List.of();
        }
        if (begins.get().equals(ends.get())) {
            errors.rejectValue("until", "diary.until.same");
        }
        boolean overMidnight = ends.get().isBefore(begins.get());
        return days.stream()
                .map(day -> what(
                        instruments,
                        day.atTime(begins.get()).atZone(zone).toInstant(),
                        day.plusDays(overMidnight ? 1 : 0)
                                .atTime(ends.get())
                                .atZone(zone)
                                .toInstant()))
                .filter(what -> what.endsAt().isAfter(what.beginsAt()))
                .toList();
    }

    private List<LocalDate> days(Errors errors, LocalDate first, LocalDate latest) {
        if (every.isBlank()) {
            return List.of(first);
        }
        OptionalInt weeks = Entry.count(errors, "every", every, 1, MOST_WEEKS);
        Optional<LocalDate> last = Entry.date(errors, "lastRepeat", lastRepeat, first, latest);
        List<LocalDate> days = new ArrayList<>();
        if (weeks.isPresent() && last.isPresent()) {
            for (LocalDate day = first; !day.isAfter(last.get()); day = day.plusWeeks(weeks.getAsInt())) {
                days.add(day);
            }
            if (days.size() > MOST_REPEATS) {
                errors.rejectValue("lastRepeat", "diary.repeat.often", new Object[] {MOST_REPEATS}, null);
            }
        }
        return days;
    }

    private static Optional<LocalTime> time(Errors errors, String field, String typed) {
        try {
            return Optional.of(LocalTime.parse(typed.strip().replace('.', ':')));
        } catch (DateTimeParseException notATime) {
            errors.rejectValue(field, "diary.time.wrong");
            return Optional.empty();
        }
    }

    private Set<UUID> instruments(Errors errors, Function<String, Set<UUID>> meant) {
        Set<UUID> instruments = new HashSet<>();
        List<String> names = played.lines()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .toList();
        if (names.size() > MOST_NAMES) {
            errors.rejectValue("played", "diary.played.many", new Object[] {MOST_NAMES}, null);
            return Set.of();
        }
        for (String name : names) {
            Set<UUID> found = meant.apply(name);
            if (found.isEmpty()) {
                errors.rejectValue("played", "diary.played.unknown", new Object[] {name}, null);
                return Set.of();
            }
            instruments.addAll(found);
        }
        return instruments;
    }

    private Occasion.What what(Set<UUID> instruments, Instant begins, Instant ends) {
        return new Occasion.What(kind, name.strip(), note.strip(), begins, ends, instruments);
    }
}
