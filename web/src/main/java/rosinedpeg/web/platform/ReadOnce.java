package rosinedpeg.web.platform;

import static java.util.Objects.requireNonNull;

import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.support.ResourceHolderSupport;
import org.springframework.transaction.support.ResourceHolderSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What one transaction reads no more than once: a page asks several services, and most of them want to know the same of the same
 * instruments. Only within a transaction that only reads, in which nothing can become another than it was read; within any other, and
 * outside of all, everything is read whenever it is asked for.
 *
 * @param <K> by what it is known
 * @param <V> what is read; it never changes itself
 */
public final class ReadOnce<K, V> {

    /** {@return one, read unless it was read already} */
    public V one(K key, Supplier<V> read) {
        return requireNonNull(
                some(Set.of(key), unread -> Map.of(key, read.get())).get(key));
    }

    /**
     * Some, of which those that were not read yet are read together.
     *
     * @param keys by what they are known
     * @param read reads some; those that there are not are missing in what it brings
     * @return those of them that there are
     */
    public Map<K, V> some(Collection<K> keys, Function<Set<K>, Map<K, V>> read) {
        Set<K> wanted = new LinkedHashSet<>(keys);
        Map<K, Optional<V>> known = known();
        if (known == null) {
            return wanted.isEmpty() ? Map.of() : read.apply(wanted);
        }
        Set<K> missing = new LinkedHashSet<>(wanted);
        missing.removeAll(known.keySet());
        if (!missing.isEmpty()) {
            Map<K, V> found = read.apply(missing);
            missing.forEach(key -> known.put(key, Optional.ofNullable(found.get(key))));
        }
        Map<K, V> some = new HashMap<>();
        wanted.forEach(key -> requireNonNull(known.get(key)).ifPresent(value -> some.put(key, value)));
        return some;
    }

    /** What was read with something else need not be read again. */
    public void tell(K key, V read) {
        Map<K, Optional<V>> known = known();
        if (known != null) {
            known.put(key, Optional.of(read));
        }
    }

    /** What this transaction has read of it; null where it is read each time. */
    @SuppressWarnings("unchecked")
    private @Nullable Map<K, Optional<V>> known() {
        if (!TransactionSynchronizationManager.isSynchronizationActive()
                || !TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            return null;
        }
        Read<K, V> read = (Read<K, V>) TransactionSynchronizationManager.getResource(this);
        if (read == null) {
            read = new Read<>();
            TransactionSynchronizationManager.bindResource(this, read);
            // Puts it aside while another transaction runs within this one, and away at the end.
            TransactionSynchronizationManager.registerSynchronization(
                    new ResourceHolderSynchronization<>(read, (Object) this) {});
        }
        return read.known;
    }

    private static final class Read<K, V> extends ResourceHolderSupport {
        private final Map<K, Optional<V>> known = new HashMap<>();
    }
}
