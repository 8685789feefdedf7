package rosinedpeg.web.diary;

import java.time.ZoneId;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.platform.WaitingFiles;
import rosinedpeg.web.platform.Words;

/** A calendar that comes in a file: first it is shown what stands in it, then what was chosen of it is taken in, all or nothing. */
@Service
@Transactional
class CalendarImport {

    private final Occasions occasions;
    private final WaitingFiles waiting;
    private final Weeks weeks;
    private final Words words;

    CalendarImport(Occasions occasions, WaitingFiles waiting, Weeks weeks, Words words) {
        this.occasions = occasions;
        this.waiting = waiting;
        this.weeks = weeks;
        this.words = words;
    }

    /** {@return what stands in a calendar} */
    CalendarFile.Read read(String content, ZoneId zone) {
        return CalendarFile.read(content, weeks.today(zone), zone);
    }

    /** {@return where a calendar waits that was read} */
    UUID keep(String content) {
        return waiting.keep(WaitingFiles.Purpose.CALENDAR, content);
    }

    /** {@return what stands in a calendar that waits, and what is offered for it; empty when it no longer waits} */
    Optional<List<Row>> preview(UUID id, ZoneId zone) {
        return waiting.content(WaitingFiles.Purpose.CALENDAR, id).map(content -> rows(read(content, zone)));
    }

    private List<Row> rows(CalendarFile.Read read) {
        Map<Integer, OccasionKind> likely = new HashMap<>();
        read.entries().forEach(entry -> likely(entry).ifPresent(kind -> likely.put(entry.number(), kind)));
        // What is likely nothing of ours is counted all the same: somebody may say what it is.
        return fresh(read.entries(), entry -> likely.getOrDefault(entry.number(), OccasionKind.HOLIDAY))
                .entrySet()
                .stream()
                .map(each -> new Row(
                        each.getKey(),
                        each.getValue().size(),
                        likely.get(each.getKey().number())))
                .toList();
    }

    /** Those dates of each entry that the workshop does not have yet, and no entry before it either; one query for all. */
    private Map<CalendarFile.Entry, List<Occasion.What>> fresh(
            List<CalendarFile.Entry> entries, Function<CalendarFile.Entry, @Nullable OccasionKind> kinds) {
        Map<CalendarFile.Entry, List<Occasion.What>> dates = new LinkedHashMap<>();
        for (CalendarFile.Entry entry : entries) {
            OccasionKind kind = kinds.apply(entry);
            dates.put(entry, kind == null ? List.of() : dates(entry, kind));
        }
        Set<Occasion.What> unknown = new HashSet<>(
                occasions.unknown(dates.values().stream().flatMap(List::stream).toList()));
        dates.replaceAll((entry, all) -> all.stream().filter(unknown::remove).toList());
        return dates;
    }

    /** {@return what an entry is most likely by its name; empty for what is likely nothing of ours} */
    private Optional<OccasionKind> likely(CalendarFile.Entry entry) {
        for (OccasionKind kind : OccasionKind.values()) {
            if (kind.takesDays() == entry.days()
                    && kind != OccasionKind.REHEARSAL
                    && Pattern.compile(words.say("diary.import.likely." + kind), Pattern.CASE_INSENSITIVE)
                            .matcher(entry.name())
                            .find()) {
                return Optional.of(kind);
            }
        }
        return entry.days() ? Optional.empty() : Optional.of(OccasionKind.REHEARSAL);
    }

    private static List<Occasion.What> dates(CalendarFile.Entry entry, OccasionKind kind) {
        return entry.spans().stream()
                .map(span ->
                        new Occasion.What(kind, entry.name(), entry.note(), span.beginsAt(), span.endsAt(), Set.of()))
                .filter(what -> what.endsAt().isAfter(what.beginsAt()))
                .toList();
    }

    /**
     * Takes in what was chosen of a calendar.
     *
     * @param id where it waits
     * @param chosen what entries are to be, by their numbers; what is missing is left out
     * @param zone the workshop's zone
     * @return how many dates were entered; empty when it no longer waits
     */
    Optional<Integer> take(UUID id, Map<Integer, OccasionKind> chosen, ZoneId zone) {
        Optional<String> content = waiting.content(WaitingFiles.Purpose.CALENDAR, id);
        if (content.isEmpty()) {
            return Optional.empty();
        }
        int entered = 0;
        for (List<Occasion.What> fresh : fresh(
                        read(content.get(), zone).entries(),
                        entry -> Optional.ofNullable(chosen.get(entry.number()))
                                .filter(kind -> kind.takesDays() == entry.days())
                                .orElse(null))
                .values()) {
            if (!fresh.isEmpty()) {
                occasions.enter(fresh);
                entered += fresh.size();
            }
        }
        waiting.taken(id);
        return Optional.of(entered);
    }

    /**
     * An entry as it is shown.
     *
     * @param entry the entry
     * @param fresh how many of its dates the workshop does not have yet
     * @param likely what it most likely is
     */
    record Row(
            CalendarFile.Entry entry, int fresh, @Nullable OccasionKind likely) {

        /** {@return whether it can be taken in} */
        public boolean offers() {
            return fresh > 0;
        }
    }
}
