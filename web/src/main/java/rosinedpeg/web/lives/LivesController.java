package rosinedpeg.web.lives;

import static java.util.Objects.requireNonNull;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Life;
import rosinedpeg.web.drawing.LifeDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.KindPast;
import rosinedpeg.web.instrument.PastString;
import rosinedpeg.web.instrument.PastStrings;
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

    /** So many kinds of each string stand beside one another. */
    private static final int FIRST_OF_EACH = 12;
    /** And so many of one. */
    private static final int OF_ONE = 40;

    private final StringKinds kinds;
    private final InstrumentNames instrumentNames;
    private final PastStrings pastStrings;
    private final Clock clock;

    LivesController(StringKinds kinds, InstrumentNames instrumentNames, PastStrings pastStrings, Clock clock) {
        this.kinds = kinds;
        this.instrumentNames = instrumentNames;
        this.pastStrings = pastStrings;
        this.clock = clock;
    }

    /**
     * Every kind of one family that was ever on anything.
     *
     * @param wanted which family; the first of which there is anything when none is given
     * @param string only the kinds of one string, as many as a page shows; the first of each when none is given
     * @param from how many of those come before
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/lives")
    @Transactional(readOnly = true)
    String all(
            @RequestParam(name = "family", required = false) @Nullable Family wanted,
            @RequestParam(required = false) @Nullable Position string,
            @RequestParam(defaultValue = "0") int from,
            Model model) {
        Map<UUID, StringKind> known = kinds.all();
        Map<UUID, KindPast> past = pastStrings.ofKinds();
        List<Family> families = past.keySet().stream()
                .map(id -> family(id, known))
                .distinct()
                .sorted()
                .toList();
        Optional<Family> family = Optional.ofNullable(wanted)
                .filter(families::contains)
                .or(() -> families.stream().findFirst());
        past.keySet().removeIf(id -> !Optional.of(family(id, known)).equals(family));
        Map<Position, ListPage<Strand>> strands = new EnumMap<>(Position.class);
        strands(past, known).forEach((position, ofOne) -> {
            if (string == null || position == string) {
                strands.put(
                        position,
                        string == null ? ListPage.of(ofOne, 0, FIRST_OF_EACH) : ListPage.of(ofOne, from, OF_ONE));
            }
        });
        Page.lay(
                new LivesPage(
                        families,
                        family,
                        strands,
                        Optional.ofNullable(string),
                        past.values().stream().mapToLong(KindPast::over).sum(),
                        family.map(pastStrings::brokeAt).orElse(Map.of()),
                        family.map(this::broken).orElse(List.of())),
                model);
        return "lives/lives";
    }

    private static Family family(UUID kindId, Map<UUID, StringKind> known) {
        return requireNonNull(known.get(kindId)).family();
    }

    private static Map<Position, List<Strand>> strands(Map<UUID, KindPast> past, Map<UUID, StringKind> known) {
        double most = past.keySet().stream()
                .map(id -> requireNonNull(known.get(id)))
                .mapToDouble(
                        kind -> Math.max(kind.thought().hours(), kind.lasts().hours()))
                .max()
                .orElse(1);
        Map<Position, List<Strand>> strands = new EnumMap<>(Position.class);
        past.forEach((id, ofKind) -> {
            StringKind kind = requireNonNull(known.get(id));
            strands.computeIfAbsent(kind.spec().position(), none -> new ArrayList<>())
                    .add(new Strand(kind, ofKind, most));
        });
        strands.values()
                .forEach(ofOne -> ofOne.sort(
                        Comparator.comparing((Strand strand) -> -strand.life().hours())
                                .thenComparing(strand ->
                                        strand.kind().maker() + strand.kind().line())));
        return strands;
    }

    private List<Broken> broken(Family family) {
        Map<UUID, Long> most = pastStrings.brokeOn(family, Broken.MOST);
        Map<UUID, String> names = instrumentNames.of(most.keySet());
        return most.entrySet().stream()
                .map(one -> new Broken(one.getKey(), requireNonNull(names.get(one.getKey())), one.getValue()))
                .sorted(Comparator.comparing((Broken one) -> -one.strings()).thenComparing(Broken::instrument))
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
    @Transactional(readOnly = true)
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
                pastStrings.ofKind(
                        kind.id(), kind.learned().map(factors -> factors.at()).orElseGet(clock::instant)));
    }

    /** {@return the other kinds for the same place that were ever on anything} */
    private List<StringKind> others(StringKind kind) {
        return kinds.some(pastStrings.everOn(kind.family(), kind.spec().position())).values().stream()
                .filter(other -> !other.id().equals(kind.id()))
                .sorted(Comparator.comparing(StringKind::source)
                        .thenComparing(StringKind::maker)
                        .thenComparing(StringKind::line))
                .toList();
    }

    /**
     * A kind among the others.
     *
     * @param kind the kind
     * @param past what became of its strings
     * @param mostHours the life of the kind of its family that lasts longest, in h
     */
    record Strand(StringKind kind, KindPast past, double mostHours) {

        /** {@return how long half of them last, whoever plays them} */
        public Life life() {
            return kind.lasts();
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
            Map<Position, ListPage<Strand>> strands,
            Optional<Position> string,
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
