package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import rosinedpeg.core.week.BenchSchedule.Undone;
import rosinedpeg.web.aftercare.OwedWords;
import rosinedpeg.web.buying.PacketDays;
import rosinedpeg.web.platform.PersonNames;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** The week in words. */
@Component
class WeekWords {

    private final Words words;
    private final Say say;
    private final PersonNames names;
    private final OwedWords owed;

    WeekWords(Words words, Say say, PersonNames names, OwedWords owed) {
        this.words = words;
        this.say = say;
        this.names = names;
        this.owed = owed;
    }

    /** {@return what is done: strings II and III; look at the bridge} */
    public String what(Job job) {
        return switch (job.kind()) {
            case STRINGS_PLAYED, STRINGS_DUE, AGE_UNKNOWN -> strings(job);
            case SETS_IN_TURN -> words.say("week.what.turn");
            case BRIDGE -> words.say("week.what.bridge");
            case PEGS -> words.say("week.what.pegs");
            case BACK -> words.say("week.what.back");
            case OWED -> job.owed().map(owed::says).orElse("");
            case WISHED ->
                job.wish()
                        .map(wish -> switch (wish.kind()) {
                            case STRINGS -> strings(job) + note(wish);
                            case PEG_SERVICE -> words.say("week.what.pegs") + note(wish);
                            case OTHER -> wish.note();
                        })
                        .orElse("");
        };
    }

    private static String note(Wish wish) {
        return wish.note().isEmpty() ? "" : " · " + wish.note();
    }

    private String strings(Job job) {
        return words.say("week.what.strings", job.strings().size(), words.list(job.strings()));
    }

    /** {@return why, and until when} */
    public String why(Job job, LocalDate furthest) {
        String by = job.latest().isBefore(furthest) ? words.say("week.by", say.day(job.latest())) : "";
        String why = job.played()
                .filter(played -> job.latest().isBefore(furthest))
                .map(played -> words.say("week.why.played", played.name()))
                .orElseGet(() -> job.wish()
                        .map(wish -> words.say("week.why.WISHED", names.of(wish.by())))
                        .orElseGet(() -> words.say("week.why." + job.kind())));
        return by.isEmpty() ? why : by + ", " + why;
    }

    /** {@return where its packet comes from; empty where it needs none or the packet lies there} */
    public String packet(Job job) {
        return job.packet()
                .filter(packet -> packet.from() != PacketDays.From.DRAWER)
                .map(packet -> words.say("week.packet." + packet.from(), say.day(packet.on())))
                .orElse("");
    }

    /** {@return where its packet comes from, the drawer included; empty where it needs none} */
    public String packets(Job job) {
        return job.packet()
                .filter(packet -> packet.from() == PacketDays.From.DRAWER)
                .map(packet -> words.say("week.packet.DRAWER"))
                .orElseGet(() -> packet(job));
    }

    /** {@return why a job cannot be done, with the figures that rests on} */
    public String reason(Undone undone, Job job) {
        if (job.latest().isBefore(job.earliest())) {
            return words.say("week.undone.late", say.day(job.latest()), say.day(job.earliest()));
        }
        return words.say(
                "week.undone." + undone.reason(),
                say.day(job.earliest()),
                say.day(job.latest()),
                undone.minutesInWindow(),
                undone.takenInWindow(),
                undone.job().pinned().map(place -> say.day(place.day())).orElse(""),
                undone.job().earliest().equals(undone.job().latest()) ? 1 : 2);
    }

    /** {@return what would make it possible, the least first} */
    public List<String> remedies(Undone undone, Job job) {
        List<String> remedies = new ArrayList<>();
        undone.more()
                .ifPresent(more -> remedies.add(words.say(
                        "week.help.minutes",
                        more.minutes(),
                        more.place().person(),
                        say.day(more.place().day()))));
        boolean waitsForPacket = job.packet()
                .filter(packet ->
                        packet.from() != PacketDays.From.DRAWER && packet.on().equals(job.earliest()))
                .isPresent();
        undone.daysSooner().ifPresent(days -> {
            if (waitsForPacket) {
                remedies.add(words.say(
                        "week.help.packet",
                        days,
                        say.day(undone.sooner().orElseThrow().day())));
            }
        });
        boolean isPlayed = job.changesStrings() && job.played().isPresent();
        undone.daysLater()
                .filter(days -> !isPlayed || days <= job.settles().orElseThrow().toDays())
                .ifPresent(days -> remedies.add(words.say(
                        isPlayed ? "week.help.core" : "week.help.later",
                        days,
                        say.day(undone.later().orElseThrow().day()))));
        return remedies;
    }
}
