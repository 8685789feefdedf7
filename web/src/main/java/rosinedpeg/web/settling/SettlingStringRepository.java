package rosinedpeg.web.settling;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface SettlingStringRepository extends JpaRepository<SettlingStringEntity, UUID> {

    /** Those that do not yet hold for a concert, newest first. */
    @Query("select string.fittedStringId from SettlingStringEntity string where string.steadyAt > :now"
            + " order by string.fittedAt desc, string.fittedStringId")
    Page<UUID> unsteady(Instant now, Pageable window);

    /** Those of which it has to be worked out; nobody else changes them until that is done. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    List<SettlingStringEntity> findBySteadyAtIsNull();
}
