package rosinedpeg.web.lives;

import static java.util.Objects.requireNonNull;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.Life;
import rosinedpeg.web.drawing.LifeDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.PastCount;
import rosinedpeg.web.instrument.PastString;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** What lasts: every kind beside the others, and one with all that it rests on. */
@Controller
class LivesController {

    private final StringKinds kinds;
    private final Instruments instruments;
    private final Clock clock;

    LivesController(StringKinds kinds, Instruments instruments, Clock clock) {
        this.kinds = kinds;
        this.instruments = instruments;
        this.clock = clock;
    }

    /**
     * Every kind of one family that was ever on anything.
     *
     * @param wanted which family; the first of which there is anything when none is given
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/lives")
    String all(@RequestParam(name = "family", required = false) @Nullable Family wanted, Model model) {
        Map<UUID, StringKind> known = kinds.all();
        List<PastCount> counts = instruments.pastCounts();
        List<Family> families = Arrays.stream(Family.values())
                .filter(one ->
                        counts.stream().anyMatch(count -> of(count, known).family() == one))
                .toList();
        Optional<Family> family = Optional.ofNullable(wanted)
                .filter(families::contains)
                .or(() -> families.stream().findFirst());
        List<PastCount> ofFamily = counts.stream()
                .filter(count -> Optional.of(of(count, known).family()).equals(family))
                .toList();
        List<PastCount> broken =
                ofFamily.stream().filter(count -> count.why() == CameOff.BROKE).toList();
        Page.lay(
                new LivesPage(
                        families,
                        family,
                        strands(ofFamily, known),
                        ofFamily.stream().mapToLong(LivesController::over).sum(),
                        places(broken),
                        where(broken)),
                model);
        return "lives/lives";
    }

    private static StringKind of(PastCount count, Map<UUID, StringKind> known) {
        return requireNonNull(known.get(count.kindId()));
    }

    private static long over(PastCount count) {
        return count.why() != null && count.why().over() ? count.strings() : 0;
    }

    private static Map<Position, List<Strand>> strands(List<PastCount> counts, Map<UUID, StringKind> known) {
        Map<UUID, List<PastCount>> byKind = counts.stream().collect(Collectors.groupingBy(PastCount::kindId));
        double most = byKind.keySet().stream()
                .map(id -> requireNonNull(known.get(id)))
                .mapToDouble(
                        kind -> Math.max(kind.thought().hours(), kind.lasts().hours()))
                .max()
                .orElse(1);
        Map<Position, List<Strand>> strands = new EnumMap<>(Position.class);
        byKind.forEach((id, ones) -> {
            StringKind kind = requireNonNull(known.get(id));
            strands.computeIfAbsent(kind.spec().position(), none -> new ArrayList<>())
                    .add(new Strand(
                            kind,
                            ones.stream().mapToLong(LivesController::over).sum(),
                            ones.stream().mapToLong(PastCount::strings).sum(),
                            ones.stream()
                                    .filter(count -> count.why() == CameOff.BROKE)
                                    .mapToLong(PastCount::strings)
                                    .sum(),
                            most));
        });
        strands.values()
                .forEach(ofOne -> ofOne.sort(
                        Comparator.comparing((Strand strand) -> -strand.life().hours())
                                .thenComparing(strand ->
                                        strand.kind().maker() + strand.kind().line())));
        return strands;
    }

    private static Map<BreakPlace, Long> places(List<PastCount> broken) {
        Map<BreakPlace, Long> places = new EnumMap<>(BreakPlace.class);
        broken.stream()
                .filter(count -> count.where() != null)
                .forEach(count -> places.merge(requireNonNull(count.where()), count.strings(), Long::sum));
        return places;
    }

    private List<Broken> where(List<PastCount> broken) {
        Map<UUID, Long> byInstrument = broken.stream()
                .collect(Collectors.groupingBy(PastCount::instrumentId, Collectors.summingLong(PastCount::strings)));
        Map<UUID, String> names = instruments.names(byInstrument.keySet());
        return byInstrument.entrySet().stream()
                .map(one -> new Broken(one.getKey(), requireNonNull(names.get(one.getKey())), one.getValue()))
                .sorted(Comparator.comparing((Broken one) -> -one.strings()).thenComparing(Broken::instrument))
                .limit(Broken.MOST)
                .toList();
    }

    /**
     * One kind.
     *
     * @param id the kind
     * @param with another one to be seen beside it
     * @param from how many strings come before those that are listed
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/lives/{id}")
    String one(
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable UUID with,
            @RequestParam(defaultValue = "0") int from,
            Model model) {
        StringKind kind = kinds.find(id).orElseThrow(() -> new NotFoundException("kind of string " + id));
        Optional<KindLife> beside = Optional.ofNullable(with)
                .filter(other -> !other.equals(id))
                .flatMap(kinds::find)
                .map(this::life);
        KindLife life = life(kind);
        Page.lay(new LifePage(life, beside, others(kind), ListPage.of(life.latest(), from)), model);
        return "lives/life";
    }

    /** What was kept is shown as of when it was kept, so that every page says the same. */
    private KindLife life(StringKind kind) {
        return KindLife.of(
                kind,
                instruments.past(
                        kind.id(), kind.learned().map(factors -> factors.at()).orElseGet(clock::instant)));
    }

    /** {@return the other kinds for the same place that were ever on anything} */
    private List<StringKind> others(StringKind kind) {
        Map<UUID, StringKind> known = kinds.all();
        return instruments.pastCounts().stream()
                .map(PastCount::kindId)
                .distinct()
                .map(id -> requireNonNull(known.get(id)))
                .filter(other -> other.family() == kind.family()
                        && other.spec().position() == kind.spec().position()
                        && !other.id().equals(kind.id()))
                .sorted(Comparator.comparing(StringKind::source)
                        .thenComparing(StringKind::maker)
                        .thenComparing(StringKind::line))
                .toList();
    }

    /**
     * A kind among the others.
     *
     * @param kind the kind
     * @param over how many strings of it are over
     * @param strings how many there ever were of which anybody knows since when they were on
     * @param broke how many of those that are over broke
     * @param mostHours the life of the kind of its family that lasts longest, in h
     */
    record Strand(StringKind kind, long over, long strings, long broke, double mostHours) {

        /** {@return how long half of them last, whoever plays them} */
        public Life life() {
            return kind.lasts();
        }

        /** {@return how many are still good, or came off while they were} */
        public long stillGood() {
            return strings - over;
        }

        /** {@return the string among the others} */
        public View drawing() {
            return LifeDrawing.one(life().hours(), kind.thought().hours(), mostHours);
        }
    }

    /**
     * An instrument on which strings broke.
     *
     * @param id its id
     * @param instrument what it is called
     * @param strings how many
     */
    record Broken(UUID id, String instrument, long strings) {
        private static final int MOST = 8;
    }

    /** Every kind of a family. */
    private record LivesPage(
            List<Family> families,
            Optional<Family> family,
            Map<Position, List<Strand>> strands,
            long over,
            Map<BreakPlace, Long> places,
            List<Broken> broken) {}

    /** One kind. */
    private record LifePage(
            KindLife life, Optional<KindLife> beside, List<StringKind> others, ListPage<PastString> strings) {

        /** {@return ten of them} */
        public View drawing() {
            return life.drawing(beside.orElse(null));
        }
    }
}
