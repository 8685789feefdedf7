package rosinedpeg.web.listen;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;
import rosinedpeg.core.hearing.Hearing;

/** Who listens to what now. */
@Component
class Ears {

    /** More at once would make all of them late. */
    private static final int MOST = 40;

    private final Map<UUID, Listening> alone = new ConcurrentHashMap<>();
    private final AtomicInteger count = new AtomicInteger();

    /** A device that listens, and what it heard. */
    interface Listening {

        HearingSession session();

        void close(WhyClosed why);
    }

    /**
     * One more begins to listen.
     *
     * @param listening the device
     * @param what what only one may listen to, if it is that
     * @param instead whether it takes the place of another device that does
     * @throws RefusedSoundException when another one listens, or too many do
     */
    void begin(Listening listening, Optional<UUID> what, boolean instead) {
        if (count.incrementAndGet() > MOST) {
            count.decrementAndGet();
            throw new RefusedSoundException(WhyClosed.TOO_MANY);
        }
        if (what.isEmpty()) {
            return;
        }
        Listening before = instead ? alone.put(what.get(), listening) : alone.putIfAbsent(what.get(), listening);
        if (before != null && !instead) {
            count.decrementAndGet();
            throw new RefusedSoundException(WhyClosed.ELSEWHERE);
        }
        if (before != null) {
            before.close(WhyClosed.ELSEWHERE);
        }
    }

    /** It listens no more. */
    void end(Listening listening, Optional<UUID> what) {
        count.decrementAndGet();
        what.ifPresent(one -> alone.remove(one, listening));
    }

    /** {@return what was heard in the last moments of something only one device listens to} */
    Optional<Hearing.Heard> lately(UUID what) {
        return Optional.ofNullable(alone.get(what))
                .flatMap(listening -> listening.session().lately(System.nanoTime()));
    }
}
