package rosinedpeg.web.diary;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
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
        List<CalendarFile.Entry> entries = read.entries();
        List<Optional<OccasionKind>> likely = entries.stream().map(this::likely).toList();
        List<List<Occasion.What>> fresh = fresh(
                entries,
                likely.stream().map(kind -> kind.orElse(OccasionKind.HOLIDAY)).toList());
        return IntStream.range(0, entries.size())
                .mapToObj(number -> new Row(
                        number,
                        entries.get(number),
                        fresh.get(number).size(),
                        likely.get(number).orElse(null)))
                .toList();
    }

    /** Those dates of each entry that the workshop does not have yet, and no entry before it either; one query for all. */
    private List<List<Occasion.What>> fresh(
            List<CalendarFile.Entry> entries, List<? extends @Nullable OccasionKind> kinds) {
        List<List<Occasion.What>> dates = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            OccasionKind kind = i < kinds.size() ? kinds.get(i) : null;
            dates.add(kind == null ? List.of() : dates(entries.get(i), kind));
        }
        Set<Occasion.What> unknown = new HashSet<>(
                occasions.unknown(dates.stream().flatMap(List::stream).toList()));
        return dates.stream()
                .map(ofOne -> ofOne.stream().filter(unknown::remove).toList())
                .toList();
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
                .map(span -> new Occasion.What(kind, entry.name(), entry.note(), span.beginsAt(), span.endsAt()))
                .filter(what -> what.endsAt().isAfter(what.beginsAt()))
                .toList();
    }

    /**
     * Takes in what was chosen of a calendar.
     *
     * @param id where it waits
     * @param chosen what each entry is to be, in their order; null for what is left out
     * @param zone the workshop's zone
     * @return how many dates were entered; empty when it no longer waits
     */
    Optional<Integer> take(UUID id, List<@Nullable OccasionKind> chosen, ZoneId zone) {
        Optional<String> content = waiting.content(WaitingFiles.Purpose.CALENDAR, id);
        if (content.isEmpty()) {
            return Optional.empty();
        }
        List<CalendarFile.Entry> entries = read(content.get(), zone).entries();
        List<@Nullable OccasionKind> kinds = new ArrayList<>();
        for (int i = 0; i < Math.min(entries.size(), chosen.size()); i++) {
            OccasionKind kind = chosen.get(i);
            kinds.add(kind != null && kind.takesDays() == entries.get(i).days() ? kind : null);
        }
        int entered = 0;
        for (List<Occasion.What> fresh : fresh(entries, kinds)) {
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
     * @param number its place in the file, from 0
     * @param entry the entry
     * @param fresh how many of its dates the workshop does not have yet
     * @param likely what it most likely is
     */
    record Row(
            int number,
            CalendarFile.Entry entry,
            int fresh,
            @Nullable OccasionKind likely) {

        /** {@return whether it can be taken in} */
        public boolean offers() {
            return fresh > 0;
        }
    }
}
