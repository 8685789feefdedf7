package rosinedpeg.web.lives;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.LearnedLife;
import rosinedpeg.core.wear.Lived;
import rosinedpeg.web.instrument.HistoryArrived;
import rosinedpeg.web.instrument.PastString;
import rosinedpeg.web.instrument.PastStrings;
import rosinedpeg.web.instrument.StringTakenOff;
import rosinedpeg.web.kinds.KindDescribed;
import rosinedpeg.web.kinds.LearnedFactors;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;

/**
 * Learns how long kinds of string last, after whatever says something of it is certain and in a transaction of its own: a run is
 * finished whether or not anything can be learned of it, and two that finish at one moment do not wait for one another.
 */
@Service
class Lives {

    private static final Logger LOG = LoggerFactory.getLogger(Lives.class);

    private final StringKinds kinds;
    private final PastStrings pastStrings;
    private final Clock clock;
    private final TransactionTemplate alone;

    Lives(StringKinds kinds, PastStrings pastStrings, Clock clock, PlatformTransactionManager transactions) {
        this.kinds = kinds;
        this.pastStrings = pastStrings;
        this.clock = clock;
        this.alone = new TransactionTemplate(transactions);
        this.alone.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    @EventListener
    void note(StringTakenOff event) {
        note(Set.of(event.kindId()));
    }

    @EventListener
    void note(KindDescribed event) {
        note(Set.of(event.kindId()));
    }

    @EventListener
    void note(HistoryArrived event) {
        note(event.kindIds().stream()
                .filter(kindId -> event.amongOthers() || !isLearned(kindId))
                .collect(Collectors.toSet()));
    }

    /** What was learned where they come from came with them. */
    private boolean isLearned(UUID kindId) {
        return kinds.find(kindId).flatMap(StringKind::learned).isPresent();
    }

    /** Each kind is learned once when the transaction is over, however many of it came off. */
    private void note(Set<UUID> kindIds) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            learn(kindIds);
            return;
        }
        Noted noted = TransactionSynchronizationManager.getSynchronizations().stream()
                .filter(Noted.class::isInstance)
                .map(Noted.class::cast)
                .findFirst()
                .orElseGet(() -> {
                    Noted first = new Noted();
                    TransactionSynchronizationManager.registerSynchronization(first);
                    return first;
                });
        noted.kindIds.addAll(kindIds);
    }

    /** The kinds of which a transaction says something. */
    private final class Noted implements TransactionSynchronization {

        private final Set<UUID> kindIds = new LinkedHashSet<>();

        @Override
        public void afterCommit() {
            learn(kindIds);
        }
    }

    private void learn(Collection<UUID> kindIds) {
        for (UUID kindId : kindIds) {
            try {
                alone.executeWithoutResult(status -> learn(kindId));
            } catch (RuntimeException failed) {
                LOG.error(
                        "How long strings of kind {} last was not learned anew; what was learned before stands",
                        kindId,
                        failed);
            }
        }
    }

    private void learn(UUID kindId) {
        Instant now = clock.instant();
        Optional<StringKind> found = kinds.find(kindId);
        if (found.isEmpty()) {
            return;
        }
        StringKind kind = found.get();
        List<Lived> lived = lived(pastStrings.ofKind(kindId, now));
        LearnedLife all = LearnedLife.of(kind.thought(), lived);
        if (all.isLearned() || kind.learned().isPresent()) {
            kinds.learn(
                    kindId,
                    all.isLearned()
                            ? Optional.of(new LearnedFactors(
                                    all.factor(),
                                    factor(kind, lived, Demand.CONCERT),
                                    factor(kind, lived, Demand.STUDY),
                                    factor(kind, lived, Demand.LOAN),
                                    now))
                            : Optional.empty());
        }
    }

    private static double factor(StringKind kind, List<Lived> lived, Demand demand) {
        return LearnedLife.of(kind.thought(), lived, demand).factor();
    }

    static List<Lived> lived(List<PastString> strings) {
        return strings.stream().map(PastString::lived).toList();
    }
}
