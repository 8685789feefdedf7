package rosinedpeg.web.rack;

import java.time.Clock;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearState;
import rosinedpeg.core.working.SettlingFigure;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;
import rosinedpeg.web.settling.SettlingString;
import rosinedpeg.web.working.WorkingAddresses;

/** Puts a row of the rack into words. In templates: {@code @rackWords}. */
@Component("rackWords")
class RackWords {

    private final Words words;
    private final Say say;
    private final WorkingAddresses workings;
    private final Clock clock;

    RackWords(Words words, Say say, WorkingAddresses workings, Clock clock) {
        this.words = words;
        this.say = say;
        this.workings = workings;
        this.clock = clock;
    }

    /** {@return a line for a row, its days those of that zone} */
    RackLine line(RackRow row, ZoneId zone) {
        Figure length = row.vibratingLength();
        String working = working(row);
        // The figure stands in the state where strings are due, and else in the reason.
        boolean inState = row.need() == Need.DUE;
        return new RackLine(
                row.instrument().id(),
                row.instrument().name(),
                row.instrument().setUp().size().code(),
                say.mm(length.value(), 0),
                words.say("origin." + length.origin()),
                row.strands(),
                strands(row),
                style(row.need()),
                state(row),
                inState ? working : null,
                reason(row, zone),
                inState ? null : working,
                action(row),
                actionAddress(row),
                row.need() == Need.ON_BENCH);
    }

    private static String style(Need need) {
        return switch (need) {
            case ON_BENCH -> "bench";
            case UNREADABLE, REFERRED, CHANGE_NOW -> "stop";
            case DUE, AGE_UNKNOWN, SOON -> "watch";
            case SETTLING -> "settling";
            case GOOD -> "good";
            case NO_STRINGS -> "none";
        };
    }

    private String action(RackRow row) {
        return switch (row.need()) {
            case ON_BENCH -> words.say("rack.goOn");
            case SETTLING -> words.say("rack.read");
            case CHANGE_NOW, DUE, AGE_UNKNOWN, SOON ->
                row.instrument().fullyStrung() ? words.say("rack.plan", due(row)) : words.say("rack.open");
            case UNREADABLE, REFERRED, GOOD, NO_STRINGS -> words.say("rack.open");
        };
    }

    private static String actionAddress(RackRow row) {
        String instrument = "/instruments/" + row.instrument().id();
        return switch (row.need()) {
            case ON_BENCH -> "/bench/" + row.run().orElseThrow().id();
            case UNREADABLE -> "/bench/" + row.unreadable().orElseThrow();
            case SETTLING -> "/settling/" + row.string().fittedId();
            case CHANGE_NOW, DUE, AGE_UNKNOWN, SOON ->
                row.instrument().fullyStrung() ? instrument + "/plan" : instrument;
            case REFERRED, GOOD, NO_STRINGS -> instrument;
        };
    }

    /** {@return how the instrument stands, in a few words} */
    private String state(RackRow row) {
        return switch (row.need()) {
            case ON_BENCH ->
                row.run().orElseThrow().off().isEmpty()
                        ? words.say("rack.ON_BENCH")
                        : words.say(
                                "rack.ON_BENCH.off",
                                words.list(row.run().orElseThrow().off()));
            case UNREADABLE -> words.say("rack.ON_BENCH");
            case REFERRED -> words.say("rack.REFERRED");
            case CHANGE_NOW -> words.say("rack.CHANGE_NOW", row.string().position());
            case DUE -> {
                List<StringOn> due = inState(row, WearState.DUE);
                double least =
                        due.stream().mapToDouble(s -> s.wear().worn()).min().orElse(0);
                yield due.size() == 1
                        ? words.say("rack.DUE", row.string().position(), Say.percent(least))
                        : words.say("rack.DUE.several", positions(due), Say.percent(least));
            }
            case AGE_UNKNOWN -> words.say("rack.AGE_UNKNOWN", positions(inState(row, WearState.AGE_UNKNOWN)));
            case SETTLING ->
                words.say(
                        "rack.SETTLING",
                        words.list(row.settling().stream()
                                .map(SettlingString::position)
                                .sorted()
                                .toList()));
            case SOON -> words.say("rack.SOON", row.string().position());
            case GOOD -> words.say("rack.GOOD");
            case NO_STRINGS -> words.say("rack.NO_STRINGS");
        };
    }

    /** {@return the figure or the day that rests on} */
    private String reason(RackRow row, ZoneId zone) {
        String key = "rack." + row.need() + ".reason";
        return switch (row.need()) {
            case ON_BENCH ->
                words.say(
                        key,
                        row.run().orElseThrow().stepNumber(),
                        row.run().orElseThrow().steps(),
                        Say.percent(row.run().orElseThrow().state().shares().treble()),
                        words.say("band." + row.run().orElseThrow().state().band()));
            case REFERRED -> row.referrals().get(0).text();
            case DUE ->
                words.say(
                        key,
                        words.say("demand." + row.instrument().demand()),
                        Say.percent(row.instrument().demand().threshold()));
            case SETTLING -> words.say(key, say.dayAndTime(lastSteady(row).steadyAt(Steadiness.CONCERT), zone));
            case SOON ->
                words.say(
                        key,
                        say.day(row.string().dueAt(clock.instant()), zone),
                        Say.number(row.instrument().hoursPerWeek(), 1));
            case GOOD -> {
                StringOn next = nextDue(row);
                yield words.say(key, next.position(), say.day(next.dueAt(clock.instant()), zone));
            }
            case UNREADABLE, CHANGE_NOW, AGE_UNKNOWN, NO_STRINGS -> words.say(key);
        };
    }

    /** {@return open strings as they are typed, from I down, as E5 A4 D4 G3} */
    public static String spelt(List<Pitch> openStrings) {
        return openStrings.stream().map(Pitch::spelling).collect(Collectors.joining(" "));
    }

    /** {@return the open strings of an instrument, from I down, as E A D G} */
    public String open(SetUp setUp) {
        return setUp.openStrings().stream().map(Pitch::letter).collect(Collectors.joining(" "));
    }

    /** {@return where the working of that figure is shown, if it rests on one} */
    private @Nullable String working(RackRow row) {
        UUID id = row.instrument().id();
        return switch (row.need()) {
            case ON_BENCH ->
                workings.treble(
                        id,
                        row.run().orElseThrow().state().tensionsN(),
                        row.run().orElseThrow().state().plan().tensionsBeforeN());
            case DUE ->
                workings.wear(
                        id,
                        inState(row, WearState.DUE).stream()
                                .min(Comparator.comparingDouble(s -> s.wear().worn()))
                                .orElseThrow()
                                .position(),
                        WearFigure.WORN);
            case SOON -> workings.wear(id, row.string().position(), WearFigure.MONTHS_LEFT);
            case GOOD -> workings.wear(id, nextDue(row).position(), WearFigure.MONTHS_LEFT);
            case SETTLING ->
                "/settling/" + lastSteady(row).fittedId() + "/working/" + SettlingFigure.STEADY_AT + "?holds="
                        + Steadiness.CONCERT;
            case UNREADABLE, REFERRED, CHANGE_NOW, AGE_UNKNOWN, NO_STRINGS -> null;
        };
    }

    private static StringOn nextDue(RackRow row) {
        return row.instrument().strings().stream()
                .min(Comparator.comparingDouble(StringOn::monthsLeft))
                .orElseThrow();
    }

    private static SettlingString lastSteady(RackRow row) {
        return row.settling().stream()
                .max(Comparator.comparing(string -> string.steadyAt(Steadiness.CONCERT)))
                .orElseThrow();
    }

    /** {@return the strings that want changing, for the button} */
    private String due(RackRow row) {
        WearState least = !row.string().state().isDue() ? row.string().state() : WearState.AGE_UNKNOWN;
        return positions(row.instrument().strings().stream()
                .filter(string -> string.state().compareTo(least) >= 0)
                .toList());
    }

    /** {@return what the drawing shows, for those who do not see it} */
    private String strands(RackRow row) {
        return row.instrument().strings().stream()
                .map(string -> {
                    if (row.run().isPresent() && row.run().get().off().contains(string.position())) {
                        return words.say("strands.off", string.position());
                    }
                    return string.fittedAt().isEmpty()
                            ? words.say("strands.unknown", string.position())
                            : words.say(
                                    "strands.worn",
                                    string.position(),
                                    Say.percent(string.wear().worn()));
                })
                .collect(Collectors.joining(", "));
    }

    private static List<StringOn> inState(RackRow row, WearState state) {
        return row.instrument().strings().stream()
                .filter(string -> string.state() == state)
                .toList();
    }

    private String positions(List<StringOn> strings) {
        if (strings.size() >= 4) {
            return words.say("rack.set");
        }
        List<Position> positions = strings.stream().map(StringOn::position).toList();
        return words.list(positions);
    }
}
