package rosinedpeg.web.choosing;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.choosing.Option;
import rosinedpeg.core.choosing.Ranked;
import rosinedpeg.core.choosing.Wish;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.sound.SoundPlaces;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.core.working.WearGrounds;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawing.SoundDrawing;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.KindPast;
import rosinedpeg.web.instrument.PastStrings;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.sound.Heard;
import rosinedpeg.web.sound.SoundWords;
import rosinedpeg.web.sound.Sounds;

/** Gathers what is on record of the kinds that fit a place on an instrument, and ranks them by a wish. */
@Service
@Transactional(readOnly = true)
class Choices {

    /** So many are held beside one another at a time: more than that nobody weighs up. */
    private static final int MOST_SHOWN = 6;

    private final PastStrings pastStrings;
    private final Drawer drawer;
    private final Sounds sounds;
    private final SoundWords soundWords;

    Choices(PastStrings pastStrings, Drawer drawer, Sounds sounds, SoundWords soundWords) {
        this.pastStrings = pastStrings;
        this.drawer = drawer;
        this.sounds = sounds;
        this.soundWords = soundWords;
    }

    /**
     * What there is for one place.
     *
     * @param position the place
     * @param present the string that is on
     * @param shown as many of the other kinds that fit as a page shows, the best first
     * @param unfit how many kinds for that place do not fit
     */
    record ForPlace(Position position, Choice present, ListPage<Choice.InOrder> shown, int unfit) {}

    /**
     * Ranks what there is for a place.
     *
     * @param instrument the instrument
     * @param position a place on which a string is on
     * @param kinds the kinds for that place
     * @param wish what is wished
     * @param from how many come before those that are shown
     * @return it
     */
    ForPlace of(Instrument instrument, Position position, List<StringKind> kinds, Wish wish, int from) {
        Gathered gathered = gathered(instrument, position, kinds);
        StringKind on = instrument.string(position).orElseThrow().kind();
        Map<UUID, Fitting> fitting = new LinkedHashMap<>();
        int unfit = 0;
        for (StringKind kind : kinds) {
            List<Finding> findings = gathered.check().judge(position, kind.spec());
            if (findings.stream().anyMatch(Finding::stops)) {
                unfit++;
            } else if (!kind.id().equals(on.id())) {
                fitting.put(kind.id(), new Fitting(kind, gathered.option(kind), findings));
            }
        }
        List<Ranked<UUID>> ranked = Ranked.of(
                wish,
                gathered.option(on),
                fitting.values().stream().map(Fitting::option).toList(),
                gathered.places());
        ListPage<Ranked<UUID>> page = ListPage.of(ranked, from, MOST_SHOWN);
        Map<UUID, KindPast> past = pastStrings.ofKinds(Stream.concat(
                        Stream.of(on.id()),
                        page.shown().stream().map(one -> one.option().kind()))
                .toList());
        List<Choice.InOrder> shown = new ArrayList<>();
        for (Ranked<UUID> one : page.shown()) {
            Fitting fits = requireNonNull(fitting.get(one.option().kind()));
            shown.add(new Choice.InOrder(
                    gathered.choice(
                            fits.kind(),
                            fits.findings().stream()
                                    .filter(finding -> finding.severity() != Severity.GOOD)
                                    .toList(),
                            past),
                    page.from() + shown.size() + 1,
                    one));
        }
        return new ForPlace(
                position,
                gathered.choice(on, List.of(), past),
                new ListPage<>(shown, page.from(), page.total()),
                unfit);
    }

    /** A kind that fits, and what was found of that. */
    private record Fitting(StringKind kind, Option<UUID> option, List<Finding> findings) {}

    /** {@return what a string of a kind costs, if that is known} */
    Function<StringKind, Optional<Price>> prices() {
        return drawer.prices();
    }

    private Gathered gathered(Instrument instrument, Position position, List<StringKind> kinds) {
        Function<StringKind, Optional<Price>> price = prices();
        Optional<String> currency = instrument
                .string(position)
                .flatMap(on -> price.apply(on.kind()))
                .or(() -> kinds.stream()
                        .flatMap(kind -> price.apply(kind).stream())
                        .findFirst())
                .map(Price::currency);
        return new Gathered(
                instrument,
                position,
                FitCheck.of(instrument.setUp(), instrument.specs()),
                price,
                currency,
                sounds.places(kinds.stream().map(StringKind::id).toList(), instrument.id()),
                sounds
                        .heard(
                                instrument.id(),
                                kinds.stream().collect(Collectors.toMap(StringKind::id, Function.identity())))
                        .stream()
                        .filter(heard -> heard.position() == position)
                        .collect(Collectors.groupingBy(heard -> heard.kind().id())));
    }

    /** What is on record of kinds for one place of an instrument. */
    private final class Gathered {

        private final Instrument instrument;
        private final Position position;
        private final FitCheck check;
        private final Function<StringKind, Optional<Price>> price;
        private final Optional<String> currency;
        private final Map<SoundScale, SoundPlaces<UUID>> places;
        private final Map<UUID, List<Heard>> here;
        private final Map<StringCore, Double> holdsAfterHours = new EnumMap<>(StringCore.class);
        private final StringKind on;

        Gathered(
                Instrument instrument,
                Position position,
                FitCheck check,
                Function<StringKind, Optional<Price>> price,
                Optional<String> currency,
                Map<SoundScale, SoundPlaces<UUID>> places,
                Map<UUID, List<Heard>> here) {
            this.instrument = instrument;
            this.position = position;
            this.check = check;
            this.price = price;
            this.currency = currency;
            this.places = places;
            this.here = here;
            this.on = instrument.string(position).orElseThrow().kind();
        }

        FitCheck check() {
            return check;
        }

        Map<SoundScale, SoundPlaces<UUID>> places() {
            return places;
        }

        Option<UUID> option(StringKind kind) {
            return new Option<>(
                    kind.id(),
                    instrument.setUp().tensionN(kind.spec()),
                    holdsAfterHours.computeIfAbsent(
                            kind.spec().core(),
                            core -> SettlingForecast.usual(core).steadyAtHours(Steadiness.CONCERT)),
                    lastsHours(kind.lasts(instrument.demand())),
                    priceFor(kind));
        }

        Choice choice(StringKind kind, List<Finding> watch, Map<UUID, KindPast> past) {
            Option<UUID> figures = option(kind);
            Map<SoundScale, SoundPlaces.Count> heard = new EnumMap<>(SoundScale.class);
            places.forEach((scale, of) -> heard.put(scale, of.count(kind.id())));
            return new Choice(
                    kind,
                    figures,
                    figures.tensionN() - instrument.setUp().tensionN(on.spec()),
                    check.loadRise(Map.of(position, kind.spec())).value(),
                    watch,
                    kind.lasts(instrument.demand()),
                    price.apply(kind),
                    past.getOrDefault(kind.id(), KindPast.NONE),
                    heard,
                    scales(kind),
                    here.getOrDefault(kind.id(), List.of()));
        }

        private OptionalDouble lastsHours(Life life) {
            if (instrument.hoursPerWeek() == 0) {
                return OptionalDouble.empty();
            }
            return OptionalDouble.of(WearFigure.HOURS_LEFT.value(
                    WearGrounds.ofNew(life, instrument.demand(), instrument.hoursPerWeek())));
        }

        /** Prices in another currency cannot be held against one another. */
        private OptionalDouble priceFor(StringKind kind) {
            return price.apply(kind)
                    .filter(paid -> currency.filter(paid.currency()::equals).isPresent())
                    .map(paid -> OptionalDouble.of(paid.amount().doubleValue()))
                    .orElseGet(OptionalDouble::empty);
        }

        private List<SoundDrawing.Scale> scales(StringKind kind) {
            return Arrays.stream(SoundScale.values())
                    .map(scale -> {
                        SoundPlaces<UUID> of = requireNonNull(places.get(scale));
                        return new SoundDrawing.Scale(
                                soundWords.brief(scale, SoundScale.LOWEST),
                                soundWords.brief(scale, SoundScale.HIGHEST),
                                of.count(kind.id()).all() == 0 ? null : of.difference(kind.id(), on.id()));
                    })
                    .toList();
        }
    }
}
