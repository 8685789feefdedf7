package rosinedpeg.web.drawer;

import static java.util.stream.Collectors.toMap;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.bench.PacketUse;
import rosinedpeg.core.stock.Lying;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.instrument.PastStrings;
import rosinedpeg.web.instrument.StringTakenOff;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;

/**
 * What lies in the drawer. A string is in it, in hand for a run, or gone; it is one row however often it goes to and fro, so that there
 * can never be fewer than none. A run takes what it needs when it begins, and each time its ledger changes it is held against what its
 * ledger asks for: a string that broke is spent and another taken, a step taken back gives that one back.
 */
@Service
@Transactional(readOnly = true)
public class Drawer {

    private final DrawerStringRepository strings;
    private final DrawerTakeRepository takes;
    private final Instruments instruments;
    private final PastStrings pastStrings;
    private final Clock clock;
    private final RandomGenerator lot = new SecureRandom();

    Drawer(
            DrawerStringRepository strings,
            DrawerTakeRepository takes,
            Instruments instruments,
            PastStrings pastStrings,
            Clock clock) {
        this.strings = strings;
        this.takes = takes;
        this.instruments = instruments;
        this.pastStrings = pastStrings;
        this.clock = clock;
    }

    /**
     * Lays new strings of one kind into the drawer.
     *
     * @param laid what they are
     * @param many how many
     * @param press the press that this is; sent twice it lays them in once
     */
    @Transactional
    public void lay(Laid laid, int many, UUID press) {
        lay(Collections.nCopies(many, laid), press);
    }

    /**
     * Lays new strings into the drawer, all of them or none.
     *
     * @param all the strings
     * @param press the press that this is; sent twice it lays them in once
     */
    @Transactional
    public void lay(List<Laid> all, UUID press) {
        if (strings.existsByPress(press)) {
            return;
        }
        List<Code> codes = codes(all.size());
        List<DrawerStringEntity> rows = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            rows.add(new DrawerStringEntity(
                    all.get(i), codes.get(i), press, i + 1, clock.instant(), CurrentWorkshop.person()));
        }
        strings.saveAllAndFlush(rows);
    }

    /** {@return what a string of a kind costs: what its packet says, or what was paid last; empty where nobody knows} */
    public Function<StringKind, Optional<Price>> prices() {
        Map<UUID, Price> lastPaid = strings.paid().stream()
                .collect(toMap(
                        DrawerStringRepository.Paid::kindId,
                        paid -> new Price(paid.price(), paid.currency()),
                        (earlier, later) -> later));
        return kind -> kind.price().or(() -> Optional.ofNullable(lastPaid.get(kind.id())));
    }

    /** {@return whether that press has laid something in} */
    public boolean isLaid(UUID press) {
        return strings.existsByPress(press);
    }

    /** {@return how many that press has laid in} */
    int laid(UUID press) {
        return strings.countByPress(press);
    }

    /** {@return so many codes that nothing is marked with yet} */
    private List<Code> codes(int many) {
        Set<Code> drawn = new HashSet<>();
        while (drawn.size() < many) {
            Set<Code> more = Stream.generate(() -> Code.drawn(lot))
                    .limit(many - drawn.size())
                    .collect(Collectors.toSet());
            Set<String> taken = strings.taken(more.stream().map(Code::value).collect(Collectors.toSet()));
            more.stream().filter(code -> !taken.contains(code.value())).forEach(drawn::add);
        }
        return List.copyOf(drawn);
    }

    /** An old string that is kept lies in the drawer from then on. */
    @EventListener
    void kept(StringTakenOff off) {
        if (off.kept() && !strings.existsByFittedId(off.fittedId())) {
            strings.save(DrawerStringEntity.old(
                    off.kindId(), off.fittedId(), codes(1).get(0), clock.instant(), CurrentWorkshop.person()));
        }
    }

    /** Lays in the old strings that were kept and are not in the drawer yet. */
    @Transactional
    public void layKept() {
        List<DrawerStringRepository.Kept> kept = strings.keptElsewhere();
        List<Code> codes = codes(kept.size());
        List<DrawerStringEntity> rows = new ArrayList<>();
        for (int i = 0; i < kept.size(); i++) {
            DrawerStringRepository.Kept one = kept.get(i);
            rows.add(DrawerStringEntity.old(one.kindId(), one.fittedId(), codes.get(i), one.removedAt(), null));
        }
        strings.saveAllAndFlush(rows);
    }

    /** {@return whether anything ever lay in it} */
    public boolean isUsed() {
        return strings.anything();
    }

    /** {@return how many new ones of each kind lie there, of those that are there at all} */
    public Map<UUID, Integer> fresh() {
        return strings.heaps().stream()
                .filter(heap -> !heap.old())
                .collect(toMap(Heap::kindId, heap -> (int) heap.count(), Integer::sum));
    }

    /** {@return what lies there and came since, the oldest first, no more than so much} */
    List<InDrawer> since(Instant since, int most) {
        return strings.since(since, Limit.of(most)).stream()
                .map(DrawerStringEntity::view)
                .toList();
    }

    /** {@return the one that a plan for an instrument takes of some of a kind, where there is any} */
    public static Optional<InDrawer> next(Collection<InDrawer> ofKind, UUID instrumentId) {
        return ofKind.stream()
                .filter(string -> !string.old())
                .min(Comparator.comparing(string -> string.lying(null, instrumentId), Lying.PLANNED));
    }

    /** {@return what lies there, heap by heap} */
    List<Heap> heaps() {
        return strings.heaps();
    }

    /** {@return what lies there of some kinds, by kind: new ones first, the oldest before the others} */
    public Map<UUID, List<InDrawer>> lying(Collection<UUID> kindIds) {
        return kindIds.isEmpty()
                ? Map.of()
                : strings.lying(kindIds).stream()
                        .map(DrawerStringEntity::view)
                        .collect(Collectors.groupingBy(InDrawer::kindId, LinkedHashMap::new, Collectors.toList()));
    }

    /** {@return what lies there of a kind, or the part of it that fits on a page} */
    ListPage<InDrawer> lying(UUID kindId, int from) {
        return ListPage.of(strings.lying(kindId, ListPage.after(from))).flatMap(row -> Optional.of(row.view()));
    }

    /**
     * One string, wherever it is now.
     *
     * @throws NotFoundException when this workshop has marked none with that
     */
    InDrawer get(Code code) {
        return entity(code).view();
    }

    /** {@return the string that is marked with what somebody typed or scanned} */
    public Optional<InDrawer> marked(String typed) {
        return Code.read(typed)
                .flatMap(code -> strings.findByCode(code.value()))
                .map(DrawerStringEntity::view);
    }

    private DrawerStringEntity entity(Code code) {
        return strings.findByCode(code.value())
                .orElseThrow(() -> new NotFoundException("string " + code.value() + " in the drawer"));
    }

    /**
     * Says where a string lies.
     *
     * @param code what it is marked with
     * @param seen the {@link InDrawer#version()} that whoever moves it has seen
     * @param place where it lies
     * @param caseOf the instrument in whose case, if in one
     * @throws OptimisticLockingFailureException when something else became of it since
     */
    @Transactional
    void move(Code code, int seen, String place, Optional<UUID> caseOf) {
        caseOf.ifPresent(instruments::get);
        asSeen(code, seen).move(place, caseOf.orElse(null));
    }

    /**
     * A string leaves the drawer, or comes back after all.
     *
     * @param code what it is marked with
     * @param seen the {@link InDrawer#version()} that whoever does it has seen
     * @param how how it leaves; empty when it is back
     * @throws OptimisticLockingFailureException when something else became of it since
     */
    @Transactional
    void leave(Code code, int seen, Optional<LeftHow> how) {
        DrawerStringEntity string = asSeen(code, seen);
        if (how.isPresent()) {
            string.leave(how.get(), clock.instant());
        } else {
            string.giveBack();
        }
    }

    private DrawerStringEntity asSeen(Code code, int seen) {
        DrawerStringEntity string = entity(code);
        if (string.version() != seen || string.runId() != null) {
            throw new OptimisticLockingFailureException("string " + code.value());
        }
        return string;
    }

    /**
     * Takes for a run what its ledger asks for by now, and gives back what it asks for no more.
     *
     * @param runId the run
     * @param needs what it is for
     * @param uses how many packets each place takes in the run, and how many of them broke
     * @param chosen strings of the drawer that somebody chose to begin with, by their place
     */
    @Transactional
    public void supply(UUID runId, RunNeeds needs, Map<Position, PacketUse> uses, Map<Position, UUID> chosen) {
        Map<Position, Map<Integer, DrawerTakeEntity>> taken = new EnumMap<>(Position.class);
        for (DrawerTakeEntity take : takes.findByRunIdOrderByPositionAscTurnAsc(runId)) {
            taken.computeIfAbsent(take.position(), none -> new LinkedHashMap<>())
                    .put(take.turn(), take);
        }
        Map<UUID, DrawerStringEntity> inHand =
                strings.findByRunId(runId).stream().collect(toMap(DrawerStringEntity::id, Function.identity()));
        taken.forEach((position, turns) -> turns.forEach((turn, take) -> {
            int needed = uses.getOrDefault(position, new PacketUse(0, 0)).taken();
            if (turn > needed) {
                Optional.ofNullable(take.stringId()).map(inHand::get).ifPresent(DrawerStringEntity::giveBack);
                takes.delete(take);
            }
        }));
        uses.forEach((position, use) -> {
            UUID kind = needs.kinds().get(position);
            Map<Integer, DrawerTakeEntity> turns = taken.getOrDefault(position, Map.of());
            for (int turn = 1; turn <= use.taken(); turn++) {
                DrawerTakeEntity take = turns.get(turn);
                if (take == null && kind != null) {
                    Optional<DrawerStringEntity> string = pick(needs, kind, turn == 1 ? chosen.get(position) : null);
                    string.ifPresent(one -> one.take(runId));
                    takes.save(new DrawerTakeEntity(
                            runId,
                            position,
                            turn,
                            kind,
                            string.map(DrawerStringEntity::id).orElse(null),
                            clock.instant()));
                } else if (take != null && take.stringId() != null) {
                    DrawerStringEntity string = inHand.get(take.stringId());
                    if (string != null) {
                        spend(string, turn <= use.broken(), runId);
                    }
                }
            }
        });
        strings.flush();
    }

    private void spend(DrawerStringEntity string, boolean broke, UUID runId) {
        if (broke && string.view().leftHow() == null) {
            string.leave(LeftHow.BROKE, clock.instant());
        } else if (!broke && string.view().leftHow() == LeftHow.BROKE) {
            string.giveBack();
            string.take(runId);
        }
    }

    /** {@return the string that was chosen, if it still lies there, or else the one whose turn it is; locked} */
    private Optional<DrawerStringEntity> pick(RunNeeds needs, UUID kind, @Nullable UUID chosen) {
        if (chosen != null) {
            Optional<DrawerStringEntity> there = strings.takeable(chosen)
                    .filter(string -> string.view().kindId().equals(kind));
            if (there.isPresent()) {
                return there;
            }
        }
        return lying(List.of(kind)).getOrDefault(kind, List.of()).stream()
                .filter(string -> !string.old())
                .sorted(Comparator.comparing(
                        string -> string.lying(null, needs.instrumentId()),
                        needs.emergency() ? Lying.EMERGENCY : Lying.PLANNED))
                .map(string -> strings.takeable(string.id()))
                .flatMap(Optional::stream)
                .findFirst();
    }

    /**
     * What a run took goes its way: what is on has left the drawer, what broke as well, the rest lies there again.
     *
     * @param runId the run, which is over
     * @param on the places on which what it took last stays
     */
    @Transactional
    public void close(UUID runId, Set<Position> on) {
        Map<UUID, DrawerStringEntity> inHand =
                strings.findByRunId(runId).stream().collect(toMap(DrawerStringEntity::id, Function.identity()));
        for (DrawerTakeEntity take : takes.findByRunIdOrderByPositionAscTurnAsc(runId)) {
            DrawerStringEntity string = take.stringId() == null ? null : inHand.get(take.stringId());
            if (string != null && string.view().leftHow() == null) {
                if (on.contains(take.position())) {
                    string.leave(LeftHow.FITTED, clock.instant());
                } else {
                    string.giveBack();
                }
            }
        }
        strings.flush();
    }

    /**
     * Holds a string that somebody is about to open against what a run needs. One of the right kind that lies in the drawer is taken
     * instead of the one that was set aside for the run.
     *
     * @param runId the run, which is not over
     * @param typed what is on its packet, typed or scanned
     * @return whether it is the right one, and for which place
     */
    @Transactional
    public Held hold(UUID runId, String typed) {
        Optional<InDrawer> marked = marked(typed);
        if (marked.isEmpty()) {
            return new Held(Held.Verdict.UNKNOWN, Optional.empty(), Optional.empty());
        }
        InDrawer string = marked.get();
        Map<Position, DrawerTakeEntity> last = new EnumMap<>(Position.class);
        takes.findByRunIdOrderByPositionAscTurnAsc(runId).forEach(take -> last.put(take.position(), take));
        for (DrawerTakeEntity take : last.values()) {
            if (string.id().equals(take.stringId()) && string.leftHow() == null) {
                return new Held(Held.Verdict.RIGHT, Optional.of(take.position()), marked);
            }
        }
        for (DrawerTakeEntity take : last.values()) {
            Optional<DrawerStringEntity> free =
                    take.kindId().equals(string.kindId()) ? strings.takeable(string.id()) : Optional.empty();
            if (free.isPresent()) {
                Optional.ofNullable(take.stringId())
                        .flatMap(strings::findById)
                        .filter(held -> held.view().leftHow() == null)
                        .ifPresent(DrawerStringEntity::giveBack);
                free.get().take(runId);
                take.is(string.id());
                return new Held(Held.Verdict.INSTEAD, Optional.of(take.position()), marked);
            }
        }
        return new Held(Held.Verdict.WRONG, Optional.empty(), marked);
    }

    /** {@return what a run has in hand for each place: of several packets the last, and none where the drawer had none} */
    public Map<Position, InDrawer> inHand(UUID runId) {
        return takes.inHand(runId).stream()
                .collect(toMap(
                        DrawerTakeRepository.InHand::position,
                        held -> held.string().view(),
                        (one, other) -> one,
                        () -> new EnumMap<>(Position.class)));
    }

    /** {@return what the old ones among some strings were on an instrument, by the strings' own ids} */
    public Map<UUID, OldString> were(Collection<InDrawer> some) {
        Map<UUID, OldString> old = pastStrings.off(
                some.stream().map(InDrawer::fittedId).filter(Objects::nonNull).collect(Collectors.toSet()));
        Map<UUID, OldString> were = new LinkedHashMap<>();
        some.forEach(string -> {
            OldString was = string.fittedId() == null ? null : old.get(string.fittedId());
            if (was != null) {
                were.put(string.id(), was);
            }
        });
        return were;
    }
}
