package rosinedpeg.web.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What takes several questions to read and seldom changes, kept as it was read last, while one question says that it still holds. Asked
 * within a transaction that only reads; within any other it is read, since what somebody is about to change may never come to be, and
 * its version be another's afterwards.
 *
 * @param <K> by what it is known
 * @param <V> what is kept; it never changes itself
 */
public final class KeptWhileItHolds<K, V> {

    /**
     * Versions count up: after a backup was restored beneath a running server the same one may stand for something else. That is told after
     * so long at the latest.
     */
    private static final Duration KEPT = Duration.ofMinutes(10);

    private final Cache<K, Kept<V>> kept;

    private record Kept<V>(Object editions, V value) {}

    /**
     * Nothing yet.
     *
     * @param most how much is kept, by its weights together
     * @param weight what one weighs
     */
    public KeptWhileItHolds(long most, Function<V, Integer> weight) {
        kept = Caffeine.newBuilder()
                .maximumWeight(most)
                .<K, Kept<V>>weigher((key, one) -> weight.apply(one.value()))
                .expireAfterWrite(KEPT)
                .build();
    }

    /**
     * What is kept, or read anew.
     *
     * @param key by what it is known
     * @param editions asks for the versions of what it is read from; whatever is seen in it makes them others
     * @param read reads it
     * @return that
     */
    public V get(K key, Supplier<?> editions, Supplier<V> read) {
        if (!TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            return read.get();
        }
        Kept<V> last = kept.getIfPresent(key);
        // Asked before it is read: what is changed meanwhile is told by the next question.
        Object now = editions.get();
        if (last != null && last.editions().equals(now)) {
            return last.value();
        }
        V value = read.get();
        kept.put(key, new Kept<>(now, value));
        return value;
    }
}
