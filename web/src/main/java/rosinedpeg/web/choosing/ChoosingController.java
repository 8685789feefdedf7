package rosinedpeg.web.choosing;

import jakarta.servlet.http.HttpServletRequest;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.core.choosing.Limit;
import rosinedpeg.core.choosing.Towards;
import rosinedpeg.core.choosing.Wish;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.load.FeetLoad;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.working.SettlingFigure;
import rosinedpeg.core.working.SettlingGrounds;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.core.working.WearGrounds;
import rosinedpeg.core.working.Working;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.working.WorkingView;

/** Choosing the next strings of an instrument. */
@Controller
class ChoosingController {

    private final Instruments instruments;
    private final StringKinds kinds;
    private final Choices choices;
    private final WorkingView workings;

    ChoosingController(Instruments instruments, StringKinds kinds, Choices choices, WorkingView workings) {
        this.instruments = instruments;
        this.kinds = kinds;
        this.choices = choices;
        this.workings = workings;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/choose")
    @Transactional(readOnly = true)
    String choose(@PathVariable UUID id, @ModelAttribute("form") ChoiceForm form, BindingResult result, Model model) {
        Instrument instrument = instruments.get(id);
        Position position = Optional.ofNullable(form.string())
                .filter(instrument.setUp().positions()::contains)
                .or(() -> instrument.mostWorn().map(StringOn::position))
                .orElse(Position.I);
        Optional<Choices.ForPlace> forPlace = instrument
                .string(position)
                .map(on -> choices.of(
                        instrument, position, kinds.of(instrument.setUp(), position), form.wish(), form.skipped()));
        Page.lay(
                new ChoicePage(
                        instrument,
                        position,
                        forPlace,
                        List.of(SoundScale.values()),
                        List.of(Towards.values()),
                        List.of(Limit.values()),
                        form.wish(),
                        set(instrument, form),
                        new Addresses(instrument.id(), form)),
                model);
        return "choosing/choose";
    }

    /** What the set would be: what was chosen for each string, and what is on where nothing was. */
    private Optional<Together> set(Instrument instrument, ChoiceForm form) {
        Map<UUID, StringKind> known = kinds.some(form.set().values());
        Map<Position, StringKind> chosen = new EnumMap<>(Position.class);
        form.set()
                .forEach((position, kindId) -> Optional.ofNullable(known.get(kindId))
                        .filter(kind -> kind.family() == instrument.setUp().family()
                                && kind.spec().position() == position)
                        .filter(kind -> instrument
                                .string(position)
                                .filter(on -> !on.kind().id().equals(kindId))
                                .isPresent())
                        .ifPresent(kind -> chosen.put(position, kind)));
        return chosen.isEmpty() ? Optional.empty() : Optional.of(Together.of(instrument, chosen, choices.prices()));
    }

    /**
     * Shows how many hours a kind of string lasts there.
     *
     * @param kind the kind
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/choose/working/HOURS_LEFT")
    String lasts(@PathVariable UUID id, @RequestParam UUID kind, Model model, HttpServletRequest request) {
        Instrument instrument = instruments.get(id);
        StringKind of = kind(kind);
        return workings.showNotOn(
                id,
                of.spec().position(),
                () -> Working.of(
                        WearFigure.HOURS_LEFT,
                        WearGrounds.ofNew(
                                of.lasts(instrument.demand()), instrument.demand(), instrument.hoursPerWeek())),
                model,
                request);
    }

    /**
     * Shows when a new string of a kind holds.
     *
     * @param kind the kind
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/choose/working/STEADY_AT")
    String holds(@PathVariable UUID id, @RequestParam UUID kind, Model model, HttpServletRequest request) {
        StringKind of = kind(kind);
        return workings.showNotOn(
                id,
                of.spec().position(),
                () -> Working.of(
                        SettlingFigure.STEADY_AT,
                        SettlingGrounds.of(SettlingForecast.usual(of.spec().core()), List.of(), 0, Steadiness.CONCERT)),
                model,
                request);
    }

    private StringKind kind(UUID id) {
        return kinds.find(id).orElseThrow(() -> new NotFoundException("kind of string " + id));
    }

    /**
     * What is wished, and what was chosen so far.
     *
     * @param sound how it is to sound; null on a scale that does not matter
     * @param limits what it is to keep to
     * @param string which string is looked at; the most worn when none is named
     * @param set what was chosen for each string
     * @param from how many come before those that are listed
     */
    record ChoiceForm(
            Map<SoundScale, @Nullable Towards> sound,
            Set<Limit> limits,
            @Nullable Position string,
            Map<Position, @Nullable UUID> set,
            String from) {

        /** What is not sent is as on an empty form. */
        ChoiceForm {
            sound = chosen(sound, SoundScale.class);
            limits = limits == null ? EnumSet.noneOf(Limit.class) : limits;
            set = chosen(set, Position.class);
            from = Entry.orEmpty(from);
        }

        /** Whoever binds a form puts back in what was sent as nothing. */
        @Override
        public Map<SoundScale, Towards> sound() {
            return chosen(sound, SoundScale.class);
        }

        @Override
        public Map<Position, UUID> set() {
            return chosen(set, Position.class);
        }

        private static <K extends Enum<K>, V> Map<K, V> chosen(@Nullable Map<K, @Nullable V> sent, Class<K> keys) {
            Map<K, V> chosen = new EnumMap<>(keys);
            if (sent != null) {
                sent.forEach((key, value) -> {
                    if (value != null) {
                        chosen.put(key, value);
                    }
                });
            }
            return chosen;
        }

        private Wish wish() {
            return new Wish(sound(), limits);
        }

        private int skipped() {
            return ListPage.after(from);
        }
    }

    /**
     * Where the same choice is looked at otherwise.
     *
     * @param instrumentId the instrument
     * @param form what is wished and chosen
     */
    record Addresses(UUID instrumentId, ChoiceForm form) {

        private String with(@Nullable Position string, Map<Position, UUID> set, int from) {
            UriComponentsBuilder address = UriComponentsBuilder.fromPath("/instruments/" + instrumentId + "/choose");
            form.sound().forEach((scale, towards) -> address.queryParam("sound[" + scale + "]", towards));
            form.limits().forEach(limit -> address.queryParam("limits", limit));
            set.forEach((position, kind) -> address.queryParam("set[" + position + "]", kind));
            address.queryParamIfPresent("string", Optional.ofNullable(string));
            if (from > 0) {
                address.queryParam("from", from);
            }
            return address.encode().toUriString();
        }

        /** {@return where another string is looked at} */
        public String at(Position string) {
            return with(string, form.set(), 0);
        }

        /** {@return where the next ones are listed} */
        public String next(Position string, int from) {
            return with(string, form.set(), from);
        }

        /** {@return where a kind is in the set} */
        public String taking(Position string, UUID kind) {
            Map<Position, UUID> set = new EnumMap<>(Position.class);
            set.putAll(form.set());
            set.put(string, kind);
            return with(string, set, 0);
        }

        /** {@return where what is on stays in the set} */
        public String without(Position string) {
            Map<Position, UUID> set = new EnumMap<>(Position.class);
            set.putAll(form.set());
            set.remove(string);
            return with(form.string(), set, 0);
        }

        /** {@return where a change to the set is planned} */
        public String plan(Together set) {
            UriComponentsBuilder address = UriComponentsBuilder.fromPath("/instruments/" + instrumentId + "/plan");
            set.chosen()
                    .forEach((position, kind) ->
                            address.queryParam("strings", position).queryParam("kinds[" + position + "]", kind.id()));
            return address.encode().toUriString();
        }
    }

    /**
     * What a set comes to.
     *
     * @param chosen what goes on that is not on
     * @param tensionN what all strings pull together, in N
     * @param presentN what those pull that are on, in N
     * @param feet what they put on the feet; empty where a string is missing
     * @param loadRise by how much more they press the top, as a share; below 0 for less
     * @param together what is to be watched of that
     * @param holdsAfterHours hours until the last of the new ones holds for a concert
     * @param prices what the new ones cost, as far as it is known
     * @param unpriced of how many of them it is not
     * @param carries what each string carries with the set on, in N
     * @param present what each carries now, in N
     */
    record Together(
            Map<Position, StringKind> chosen,
            double tensionN,
            double presentN,
            Optional<FeetLoad> feet,
            double loadRise,
            Optional<Finding> together,
            double holdsAfterHours,
            List<Price> prices,
            long unpriced,
            Map<Position, Double> carries,
            Map<Position, Double> present) {

        private static Together of(
                Instrument instrument, Map<Position, StringKind> chosen, Function<StringKind, Optional<Price>> prices) {
            Map<Position, StringSpec> present = instrument.specs();
            Map<Position, StringSpec> news = new EnumMap<>(Position.class);
            chosen.forEach((position, kind) -> news.put(position, kind.spec()));
            Map<Position, StringSpec> set = new EnumMap<>(present);
            set.putAll(news);
            Map<Position, Double> carries = instrument.setUp().tensionsN(set);
            Map<Position, Double> now = instrument.setUp().tensionsN(present);
            FitCheck check = FitCheck.of(instrument.setUp(), present);
            return new Together(
                    chosen,
                    sum(carries),
                    sum(now),
                    instrument.fullyStrung()
                            ? Optional.of(new InstrumentLoad(instrument.setUp(), now).feet(carries))
                            : Optional.empty(),
                    check.loadRise(news).value(),
                    check.judgeTogether(news),
                    news.values().stream()
                            .mapToDouble(
                                    spec -> SettlingForecast.usual(spec.core()).steadyAtHours(Steadiness.CONCERT))
                            .max()
                            .orElse(0),
                    Price.sums(chosen.values().stream()
                            .flatMap(kind -> prices.apply(kind).stream())
                            .toList()),
                    chosen.values().stream()
                            .map(prices)
                            .filter(Optional::isEmpty)
                            .count(),
                    carries,
                    now);
        }

        private static double sum(Map<Position, Double> ofEach) {
            return ofEach.values().stream().mapToDouble(Double::doubleValue).sum();
        }
    }

    /**
     * What there is to choose from.
     *
     * @param instrument the instrument
     * @param position which string is looked at
     * @param forPlace what there is for it; empty where no string is on
     * @param set what the set comes to; empty while nothing was chosen
     */
    private record ChoicePage(
            Instrument instrument,
            Position position,
            Optional<Choices.ForPlace> forPlace,
            List<SoundScale> scales,
            List<Towards> towards,
            List<Limit> limits,
            Wish wish,
            Optional<Together> set,
            Addresses addresses) {}
}
