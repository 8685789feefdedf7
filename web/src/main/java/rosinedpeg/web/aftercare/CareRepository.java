package rosinedpeg.web.aftercare;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.repository.CrudRepository;

/** What was done to strings and bow between changes, as it is kept. */
interface CareRepository extends CrudRepository<CareEntity, UUID> {

    boolean existsByPress(UUID press);

    List<CareEntity> findByInstrumentIdOrderByAtDesc(UUID instrumentId, Limit most);

    Optional<CareEntity> findFirstByInstrumentIdAndKindOrderByAtDesc(UUID instrumentId, CareKind kind);

    List<CareEntity> findByInstrumentIdAndKindAndAtAfter(UUID instrumentId, CareKind kind, Instant since);
}
