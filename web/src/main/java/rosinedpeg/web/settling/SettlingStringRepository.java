package rosinedpeg.web.settling;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Which strings settle, and when they will hold, as it was worked out last. */
interface SettlingStringRepository extends JpaRepository<SettlingStringEntity, UUID> {

    /** Those that do not yet hold for a concert, newest first. */
    @Query("select string.fittedStringId from SettlingStringEntity string where string.steadyAt > :now"
            + " order by string.fittedAt desc, string.fittedStringId")
    Page<UUID> unsteady(Instant now, Pageable window);

    /** Those that came on since, the newest first. */
    @Query("select string.fittedStringId from SettlingStringEntity string where string.fittedAt > :since"
            + " order by string.fittedAt desc, string.fittedStringId")
    List<UUID> since(Instant since, Limit most);

    /**
     * From when one holds has to be worked out again. Written even if it is open already, so that it waits for whoever is working
     * it out just now from the readings before.
     */
    @Modifying
    @Query(
            "update SettlingStringEntity string set string.steadyAt = null where string.fittedStringId = :fittedStringId")
    void open(UUID fittedStringId);

    /** Those of which it has to be worked out; nobody else changes them until that is done. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    List<SettlingStringEntity> findBySteadyAtIsNull();
}
