package rosinedpeg.web.diary;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.web.aftercare.OwedWords;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;
import rosinedpeg.web.working.WorkingAddresses;

/** Puts into words what follows for a day. In templates: {@code @diaryWords}. */
@Component("diaryWords")
class DiaryWords {

    /** So many are named; of more than that the rest are counted. */
    private static final int MOST_NAMES = 5;

    private final Words words;
    private final Say say;
    private final OwedWords owedWords;
    private final WorkingAddresses workings;

    DiaryWords(Words words, Say say, OwedWords owedWords, WorkingAddresses workings) {
        this.words = words;
        this.say = say;
        this.owedWords = owedWords;
        this.workings = workings;
    }

    /** {@return what it concerns: II and III, or what is owed} */
    String what(Told told) {
        return told.owed() != null ? owedWords.says(told.owed()) : words.list(told.strings());
    }

    /** {@return on which instruments something is played, the first of them by name} */
    public String played(Occasion one, Map<UUID, String> names) {
        List<String> called = one.what().instruments().stream()
                .flatMap(id -> Stream.ofNullable(names.get(id)))
                .sorted()
                .toList();
        return called.size() <= MOST_NAMES
                ? String.join(" · ", called)
                : words.say(
                        "diary.played.more",
                        String.join(" · ", called.subList(0, MOST_NAMES - 1)),
                        called.size() - MOST_NAMES + 1);
    }

    /** {@return what, in few words: Pit 1 violin: change II and III} */
    String event(Told told) {
        return words.say(
                "diary.event." + told.kind(),
                told.instrument(),
                what(told),
                told.strings().size());
    }

    /** {@return lines for what follows, one for each, and no more than so many} */
    public List<ToldLine> lines(List<Told> told, int most, ZoneId zone) {
        return told.stream()
                .limit(most)
                .map(one -> new ToldLine(
                        one.address(),
                        one.instrument(),
                        one.kind() == Told.Kind.BRIDGE ? "" : what(one),
                        says(one, zone),
                        working(one)))
                .toList();
    }

    /** {@return where it is shown how its moment came about; null where that rests on nothing but a record} */
    private @Nullable String working(Told told) {
        return switch (told.kind()) {
            case CHANGE -> workings.wear(told.instrumentId(), told.strings().get(0), WearFigure.MONTHS_LEFT);
            case HOLDS_REHEARSAL, HOLDS_CONCERT ->
                "/settling/" + told.fittedId() + "/working/STEADY_AT_LATEST?holds="
                        + (told.kind() == Told.Kind.HOLDS_CONCERT ? Steadiness.CONCERT : Steadiness.REHEARSAL);
            case AGE_UNKNOWN, BRIDGE, OWED -> null;
        };
    }

    /** {@return until when and what for} */
    String says(Told told, ZoneId zone) {
        return switch (told.kind()) {
            case CHANGE, AGE_UNKNOWN -> change(told, zone);
            case HOLDS_REHEARSAL, HOLDS_CONCERT -> words.say("diary.says.from", say.time(told.at(), zone));
            case OWED ->
                told.owed() == null
                        ? ""
                        : words.say("aftercare.since", say.day(told.owed().since(), zone));
            case BRIDGE -> words.say("diary.says.bridge");
        };
    }

    private String change(Told told, ZoneId zone) {
        String tooSoon = told.tooSoon() == null
                ? ""
                : " " + words.say("diary.says.tooSoon", told.tooSoon().name());
        if (told.playedFirst() == null) {
            String due = told.kind() == Told.Kind.AGE_UNKNOWN
                    ? "diary.says.unknown"
                    : told.due() == null ? "diary.says.overdue" : "diary.says.due";
            return words.say(due) + tooSoon;
        }
        String first = told.playedFirst().name();
        if (told.kind() == Told.Kind.AGE_UNKNOWN) {
            return words.say("diary.says.unknownBy", say.time(told.at(), zone), first) + tooSoon;
        }
        if (told.due() == null) {
            return words.say("diary.says.overdueBy", say.time(told.at(), zone), first) + tooSoon;
        }
        return told.isDueDay() && told.latest() != null
                ? words.say("diary.says.dueFor", first, say.dayAndTime(told.latest(), zone)) + tooSoon
                : words.say("diary.says.by", say.time(told.at(), zone), first, say.day(told.due(), zone)) + tooSoon;
    }
}
