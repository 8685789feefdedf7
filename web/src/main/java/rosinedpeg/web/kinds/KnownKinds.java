package rosinedpeg.web.kinds;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.KeptWhileItHolds;

/**
 * All kinds of string of a workshop: pages want all of them, hundreds of thirty figures each, to put some in order, and they change once in
 * a while.
 */
@Component
class KnownKinds {

    /** So many kinds of all workshops together; one takes half a kB or more. */
    private static final int KINDS = 50_000;

    private final StringKindRepository kinds;
    private final KeptWhileItHolds<UUID, List<StringKind>> kept = new KeptWhileItHolds<>(KINDS, all -> 1 + all.size());

    KnownKinds(StringKindRepository kinds) {
        this.kinds = kinds;
    }

    /** {@return every kind, entered and usual: by family, maker and line, long ones first, and place} */
    @Transactional(readOnly = true, propagation = Propagation.MANDATORY)
    public List<StringKind> all() {
        return kept.get(CurrentWorkshop.id(), kinds::editions, this::read);
    }

    private List<StringKind> read() {
        return kinds.findAllByOrderByFamilyAscMakerAscLineAscDesignLengthMmDescPositionAscStringEndAsc().stream()
                .map(StringKindEntity::view)
                .toList();
    }
}
