package rosinedpeg.web.kinds;

import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.ReadOnce;

/** The kinds of string of the workshop. */
@Service
@Transactional(readOnly = true)
public class StringKinds {

    private final StringKindRepository kinds;
    private final KnownKinds known;
    private final ApplicationEventPublisher events;
    private final ReadOnce<UUID, StringKind> some = new ReadOnce<>();

    StringKinds(StringKindRepository kinds, KnownKinds known, ApplicationEventPublisher events) {
        this.kinds = kinds;
        this.known = known;
        this.events = events;
    }

    /** {@return every kind, by its id} */
    public Map<UUID, StringKind> all() {
        return known.all().stream().collect(Collectors.toMap(StringKind::id, Function.identity()));
    }

    /** {@return some kinds, by their ids} */
    public Map<UUID, StringKind> some(Collection<UUID> ids) {
        return some.some(
                ids,
                unread -> kinds.findByIdIn(unread).stream()
                        .map(StringKindEntity::view)
                        .collect(Collectors.toMap(StringKind::id, Function.identity())));
    }

    /** {@return the kinds that are for an instrument, in the order they are offered: usual ones of its own size come last} */
    public List<StringKind> of(SetUp setUp) {
        return offered(setUp, setUp.positions());
    }

    /** {@return the kinds for one place on an instrument, in the order they are offered} */
    public List<StringKind> of(SetUp setUp, Position position) {
        return offered(setUp, List.of(position)).stream()
                .filter(kind -> kind.spec().position() == position)
                .toList();
    }

    private List<StringKind> offered(SetUp setUp, List<Position> positions) {
        List<StringCore> cores = UsualString.cores(setUp.size());
        Set<StringSpec> usual = new HashSet<>();
        for (StringCore ofSet : cores) {
            positions.forEach(position -> usual.add(UsualString.of(setUp, position, ofSet)));
        }
        return known.all().stream()
                .filter(kind -> kind.family() == setUp.family())
                .filter(kind -> !kind.isUsual() || usual.contains(kind.spec()))
                .sorted(Comparator.comparing(StringKind::source)
                        .thenComparing(kind ->
                                kind.isUsual() ? cores.indexOf(kind.spec().core()) : 0))
                .toList();
    }

    /**
     * The kinds of which an instrument can be strung while nobody has a packet, added where they are missing.
     *
     * @param setUp the instrument
     * @return a set for each core that sets are made of, the likely one first
     */
    @Transactional
    public Map<StringCore, Map<Position, StringKind>> usual(SetUp setUp) {
        // Two that lay out the same shelf at one moment do it one after the other.
        kinds.lockUsual();
        Map<StringSpec, StringKind> there = new HashMap<>();
        kinds.findByFamilyAndSource(setUp.family(), StringKind.Source.USUAL).stream()
                .map(StringKindEntity::view)
                .forEach(kind -> there.put(kind.spec(), kind));
        Map<StringCore, Map<Position, StringKind>> sets = new LinkedHashMap<>();
        for (StringCore ofSet : UsualString.cores(setUp.size())) {
            Map<Position, StringKind> set = new EnumMap<>(Position.class);
            for (Position position : setUp.positions()) {
                StringSpec spec = UsualString.of(setUp, position, ofSet);
                set.put(position, there.computeIfAbsent(spec, missing -> addUsual(setUp, missing)));
            }
            sets.put(ofSet, set);
        }
        return sets;
    }

    private StringKind addUsual(SetUp setUp, StringSpec spec) {
        String toldApart = spec.core() + " " + spec.nominalPitch().spelling() + ", " + Math.round(spec.totalLengthMm());
        return kinds.save(new StringKindEntity(StringKind.Source.USUAL, "", toldApart, setUp.family(), spec))
                .view();
    }

    /** {@return the kinds that somebody entered, family by family, maker by maker} */
    public List<StringKind> entered() {
        return known.all().stream()
                .filter(kind -> kind.source() == StringKind.Source.PACKET)
                .sorted(Comparator.comparing(StringKind::family))
                .toList();
    }

    /** {@return one kind of each set that somebody entered whole, with a string for every usual place of its family} */
    public List<StringKind> sets() {
        Map<List<Object>, List<StringKind>> sets = entered().stream()
                .collect(Collectors.groupingBy(StringKinds::set, LinkedHashMap::new, Collectors.toList()));
        return sets.values().stream()
                .filter(set -> set.get(0).family().openStrings().size()
                        <= set.stream()
                                .map(kind -> kind.spec().position())
                                .distinct()
                                .count())
                .map(set -> set.get(0))
                .toList();
    }

    /** What the strings of a set have in common. */
    private static List<Object> set(StringKind kind) {
        return List.of(kind.maker(), kind.line(), kind.family(), kind.madeFor());
    }

    /** {@return the strings of the set that a kind belongs to, by their place; empty when there is no such kind} */
    public Map<Position, StringKind> setOf(UUID id) {
        List<StringKind> all = entered();
        Map<Position, StringKind> set = new EnumMap<>(Position.class);
        all.stream()
                .filter(kind -> kind.id().equals(id))
                .findFirst()
                .ifPresent(one -> all.stream()
                        .filter(kind -> set(kind).equals(set(one)))
                        .forEach(kind -> set.putIfAbsent(kind.spec().position(), kind)));
        return set;
    }

    /** {@return one kind, entered or usual; empty when this workshop has none with that id} */
    public Optional<StringKind> find(UUID id) {
        return kinds.findById(id).map(StringKindEntity::view);
    }

    /**
     * A kind that somebody entered.
     *
     * @throws NotFoundException when this workshop has none with that id
     */
    public StringKind entered(UUID id) {
        return entity(id).view();
    }

    private StringKindEntity entity(UUID id) {
        return kinds.findById(id)
                .filter(kind -> !kind.view().isUsual())
                .orElseThrow(() -> new NotFoundException("kind of string " + id));
    }

    /** Adds kinds, all of them or none. */
    @Transactional
    public void add(List<Packaged> packaged) {
        kinds.saveAllAndFlush(packaged.stream().map(StringKindEntity::new).toList());
    }

    /**
     * Says how many of a kind are to lie ready in the drawer.
     *
     * @param id the kind
     * @param seen the {@link StringKind#version()} that whoever says it has seen
     * @param many how many; empty for as many as is usual
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void keepReady(UUID id, int seen, Optional<Integer> many) {
        StringKindEntity kind = entity(id);
        if (kind.version() != seen) {
            throw new OptimisticLockingFailureException("kind of string " + id);
        }
        kind.keepReady(many.orElse(null));
    }

    /**
     * Puts right what is on record of a kind.
     *
     * @param id the kind
     * @param seen the {@link StringKind#version()} that whoever changes it has seen
     * @param packaged how it is
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void change(UUID id, int seen, Packaged packaged) {
        StringKindEntity entity = entity(id);
        if (entity.version() != seen) {
            throw new OptimisticLockingFailureException("kind of string " + id + " has been changed meanwhile");
        }
        entity.describe(packaged);
        kinds.flush();
        events.publishEvent(new KindDescribed(id));
    }

    /**
     * Keeps what was learned of how long strings of a kind last.
     *
     * @param id the kind
     * @param factors that; empty when nothing is
     */
    @Transactional
    public void learn(UUID id, Optional<LearnedFactors> factors) {
        kinds.learn(
                id,
                factors.map(LearnedFactors::all).orElse(null),
                factors.map(LearnedFactors::concert).orElse(null),
                factors.map(LearnedFactors::study).orElse(null),
                factors.map(LearnedFactors::loan).orElse(null),
                factors.map(LearnedFactors::at).orElse(null));
        events.publishEvent(new LifeLearned(id));
    }

    /**
     * Takes out a kind that was never put on anything.
     *
     * @throws DataIntegrityViolationException when a string of it is on record
     */
    @Transactional
    public void remove(UUID id) {
        kinds.delete(entity(id));
        kinds.flush();
    }

    /** Adds a kind. */
    @Transactional
    public StringKind add(String maker, String line, Family family, StringSpec spec) {
        return kinds.save(new StringKindEntity(StringKind.Source.PACKET, maker, line, family, spec))
                .view();
    }
}
