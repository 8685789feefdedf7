package rosinedpeg.web.kinds;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import rosinedpeg.web.platform.CurrentWorkshop;

/**
 * All kinds of string of a workshop, kept as they were read last: pages want all of them, hundreds of thirty figures each, to put some in
 * order, and they change once in a while. One question tells whether what is kept still holds.
 */
@Component
class KnownKinds {

    /** So many kinds of all workshops together; one takes half a kB or more. */
    private static final int KINDS = 50_000;

    /** Versions count up: after a backup was restored beneath a running server the same one may stand for something else. */
    private static final Duration KEPT = Duration.ofMinutes(10);

    private final StringKindRepository kinds;

    private final Cache<UUID, Kept> kept = Caffeine.newBuilder()
            .maximumWeight(KINDS)
            .<UUID, Kept>weigher((workshop, ofIt) -> 1 + ofIt.all().size())
            .expireAfterWrite(KEPT)
            .build();

    private record Kept(String editions, List<StringKind> all) {}

    KnownKinds(StringKindRepository kinds) {
        this.kinds = kinds;
    }

    /** {@return every kind, entered and usual: by family, maker and line, long ones first, and place} */
    @Transactional(readOnly = true, propagation = Propagation.MANDATORY)
    public List<StringKind> all() {
        // What somebody is about to change may never come to be, and its version be another's afterwards.
        if (!TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            return read();
        }
        Kept last = kept.getIfPresent(CurrentWorkshop.id());
        // Asked before they are read: what is changed meanwhile is told by the next question.
        String editions = kinds.editions().orElse("");
        if (last != null && last.editions().equals(editions)) {
            return last.all();
        }
        Kept now = new Kept(editions, read());
        kept.put(CurrentWorkshop.id(), now);
        return now.all();
    }

    private List<StringKind> read() {
        return kinds.findAllByOrderByFamilyAscMakerAscLineAscDesignLengthMmDescPositionAscStringEndAsc().stream()
                .map(StringKindEntity::view)
                .toList();
    }
}
