package rosinedpeg.web.drawer;

import java.time.Clock;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.CurrentWorkshop;

/**
 * Counts the drawer. What is found too little is gone, the oldest first; what is found too much lies there from now on, and nobody
 * knows when it was bought. What was taken or laid in while somebody counted is not held against the count: it is the difference to what
 * the counting page showed that is put right.
 */
@Service
@Transactional(readOnly = true)
class Counting {

    private static final Limit LATEST = Limit.of(5);

    private final Drawer drawer;
    private final DrawerStringRepository strings;
    private final DrawerCountRepository counts;
    private final Clock clock;

    Counting(Drawer drawer, DrawerStringRepository strings, DrawerCountRepository counts, Clock clock) {
        this.drawer = drawer;
        this.strings = strings;
        this.counts = counts;
        this.clock = clock;
    }

    /**
     * Records a count.
     *
     * @param found how many new strings of each kind were found, and how many the page had shown
     * @param press the press that this is; sent twice it counts once
     */
    @Transactional
    void count(Map<UUID, Found> found, UUID press) {
        if (counts.existsByPress(press)) {
            return;
        }
        // In one order for everybody, so that two who count at once wait for each other and not in a ring.
        found.entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(one -> {
            UUID kind = one.getKey();
            Found there = one.getValue();
            counts.save(new DrawerCountEntity(
                    kind, there.shown(), there.count(), press, clock.instant(), CurrentWorkshop.person()));
            if (there.count() < there.shown()) {
                strings.lying(List.of(kind)).stream()
                        .map(DrawerStringEntity::view)
                        .filter(string -> !string.old())
                        .flatMap(string -> strings.takeable(string.id()).stream())
                        .limit((long) there.shown() - there.count())
                        .forEach(string -> string.leave(LeftHow.MISSING, clock.instant()));
            } else if (there.count() > there.shown()) {
                Laid laid = new Laid(kind, "", null, null, null);
                drawer.lay(Collections.nCopies(there.count() - there.shown(), laid), UUID.randomUUID());
            }
        });
        counts.flush();
    }

    /** {@return when a kind was counted last, and what was found, the latest first} */
    List<Counted> latest(UUID kindId) {
        return counts.findByKindIdOrderByCountedAtDesc(kindId, LATEST).stream()
                .map(DrawerCountEntity::view)
                .toList();
    }

    /**
     * What was found of a kind.
     *
     * @param shown how many the page showed, 0 or more
     * @param count how many were there, 0 to 999
     */
    record Found(int shown, int count) {}
}
