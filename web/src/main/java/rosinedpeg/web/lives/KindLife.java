package rosinedpeg.web.lives;

import static rosinedpeg.web.lives.Lives.lived;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.estimate.KaplanMeier;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.LearnedLife;
import rosinedpeg.core.wear.Life;
import rosinedpeg.web.drawing.LifeDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.PastString;
import rosinedpeg.web.kinds.StringKind;

/**
 * How long strings of one kind last, and what says so.
 *
 * @param kind the kind
 * @param strings all of it of which anybody knows how long they were on, the first first
 * @param learned what they say, whoever played them
 */
record KindLife(StringKind kind, List<PastString> strings, LearnedLife learned) {

    private static final int TEN = 10;

    static KindLife of(StringKind kind, List<PastString> strings) {
        return new KindLife(kind, strings, LearnedLife.of(kind.thought(), lived(strings)));
    }

    /**
     * What is learned for one demand.
     *
     * @param demand which
     * @param over how many strings of it are over
     * @param stillGood how many are still good
     * @param life how long such a string lasts
     * @param hours the same in h, with its interval
     */
    record Of(Demand demand, int over, int stillGood, Life life, Interval hours) {}

    /** {@return that for every demand a string was played for} */
    public List<Of> demands() {
        List<Of> demands = new ArrayList<>();
        for (Demand demand : Demand.values()) {
            if (strings.stream().anyMatch(string -> string.lived().demand() == demand)) {
                LearnedLife one = LearnedLife.of(kind.thought(), lived(strings), demand);
                demands.add(new Of(demand, one.over(), one.stillGood(), one.life(), hours(one.factorWithin())));
            }
        }
        return demands;
    }

    private Interval hours(Interval lives) {
        double each = kind.thought().hours();
        return new Interval(lives.low() * each, lives.best() * each, lives.high() * each);
    }

    /** {@return how long half of them last, in h, with its interval} */
    public Interval halfHours() {
        return hours(learned.factorWithin());
    }

    /** {@return how many hours of playing a month on the instrument counts as} */
    public double hoursOfMonth() {
        return kind.thought().hours() / kind.thought().months();
    }

    /** {@return where what it rests on comes from} */
    public Origin origin() {
        return learned.life().origin();
    }

    private LifeDrawing.Kind drawn() {
        return new LifeDrawing.Kind(
                learned.ends(TEN).stream().map(this::hours).toList(),
                lived(strings).stream()
                        .map(string -> new KaplanMeier.Watched(
                                string.shareOf(kind.thought()) * kind.thought().hours(), string.over()))
                        .toList());
    }

    /** {@return ten of them, and ten of another kind beside them} */
    View drawing(@Nullable KindLife other) {
        return LifeDrawing.ten(drawn(), other == null ? null : other.drawn());
    }

    /** {@return all of them, the last that went on first} */
    List<PastString> latest() {
        List<PastString> latest = new ArrayList<>(strings);
        Collections.reverse(latest);
        return latest;
    }

    /** {@return how many broke where, of those of which it was said} */
    public Map<BreakPlace, Long> breaks() {
        return strings.stream()
                .flatMap(string -> string.where().stream())
                .collect(Collectors.groupingBy(place -> place, Collectors.counting()));
    }

    /**
     * A moment of the picture in words.
     *
     * @param hours after so many hours
     * @param ofTen how many of ten are still good
     * @param byThemselves the same by the strings alone, as far as they were watched
     */
    record StillGood(double hours, Interval ofTen, Optional<Double> byThemselves) {}

    /** {@return how many of ten are still good after a half, once, and one and a half of what half of them reach} */
    public List<StillGood> stillGood() {
        return IntStream.rangeClosed(1, 3)
                .mapToObj(half -> {
                    double lives = learned.factor() * half / 2;
                    Interval share = learned.stillGoodAfter(lives);
                    return new StillGood(
                            learned.hours(lives).value(),
                            new Interval(share.low() * TEN, share.best() * TEN, share.high() * TEN),
                            learned.stillGoodByThemselves(lives).map(alone -> alone * TEN));
                })
                .toList();
    }
}
