package rosinedpeg.web.drawer;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;
import rosinedpeg.core.stock.Level;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.Envelopes;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.kinds.KindWords;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Puts into words what lies in the drawer. In templates: {@code @drawerWords}. */
@Component("drawerWords")
class DrawerWords {

    private final Words words;
    private final Say say;
    private final KindWords kinds;

    DrawerWords(Words words, Say say, KindWords kinds) {
        this.words = words;
        this.say = say;
        this.kinds = kinds;
    }

    /** {@return the rows of a drawer, in words} */
    public List<Line> lines(Shelf shelf) {
        return shelf.rows().stream()
                .map(row -> new Line(
                        kinds.label(row.kind()),
                        row.kind().madeFor().code(),
                        shelf.columns().stream()
                                .map(position -> new Place(
                                        position,
                                        row.compartments().getOrDefault(position, List.of()).stream()
                                                .map(this::heap)
                                                .toList()))
                                .toList()))
                .toList();
    }

    private HeapLine heap(Shelf.Compartment one) {
        List<String> also = new ArrayList<>();
        one.oldest().ifPresent(bought -> also.add(words.say("drawer.oldest", month(bought))));
        if (one.inCases() > 0) {
            also.add(words.say("drawer.inCases", one.inCases()));
        }
        if (one.old() > 0) {
            also.add(words.say("drawer.old", one.old()));
        }
        return new HeapLine(
                one.id(),
                Envelopes.of(one.packets(), one.ready(), one.old()),
                one.packets(),
                style(one.level()),
                one.level() == Level.ENOUGH
                        ? words.say("drawer.level.ENOUGH", one.packets())
                        : words.say("drawer.level." + one.level(), one.packets(), one.ready()),
                String.join(" · ", also));
    }

    /** {@return how a level is marked} */
    public String style(Level level) {
        return switch (level) {
            case ENOUGH -> "good";
            case LOW -> "watch";
            case EMPTY -> "stop";
            case NOT_KEPT -> "none";
        };
    }

    private String month(LocalDate day) {
        Locale locale = LocaleContextHolder.getLocale();
        return DateTimeFormatter.ofPattern(words.say("drawer.month"), locale).format(day);
    }

    /** {@return where it lies, and what is known of it: K7Q F3M, top shelf, bought Mar 2026} */
    public String lies(InDrawer string, ZoneId zone) {
        List<String> parts = new ArrayList<>();
        if (!string.place().isEmpty()) {
            parts.add(string.place());
        }
        if (string.boughtOn() != null) {
            parts.add(words.say("drawer.bought", month(string.boughtOn())));
        } else if (!string.old()) {
            parts.add(words.say("drawer.entered", say.day(string.enteredAt(), zone)));
        }
        return String.join(" · ", parts);
    }

    /** {@return what an old string was: from Pit 2 violin, 120 h, 8 months, worn 42 %} */
    public String was(OldString old) {
        return old.wear()
                .map(wear -> words.say(
                        "drawer.was",
                        old.instrument(),
                        Say.number(wear.hours(), 0),
                        Say.number(wear.months(), 0),
                        Say.percent(wear.worn())))
                .orElseGet(() -> words.say("drawer.was.unknown", old.instrument()));
    }

    /**
     * A set in the drawer, in words.
     *
     * @param label what it is called
     * @param size the size it is for
     * @param places where its strings lie
     */
    record Line(String label, String size, List<Place> places) {}

    /**
     * Where the strings for one place lie.
     *
     * @param position the place
     * @param heaps what lies there
     */
    record Place(Position position, List<HeapLine> heaps) {}

    /**
     * A kind in the drawer, in words.
     *
     * @param kindId the kind
     * @param drawing how it lies
     * @param packets how many new ones
     * @param style how its level is marked
     * @param level how many there are, and of how many
     * @param also what else is known
     */
    record HeapLine(
            UUID kindId,
            View drawing,
            int packets,
            String style,
            String level,
            @Nullable String also) {}
}
