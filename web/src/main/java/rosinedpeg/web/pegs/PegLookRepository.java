package rosinedpeg.web.pegs;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** Looks at pegs, as they are kept; none of them changes. */
interface PegLookRepository extends JpaRepository<PegLookEntity, UUID> {

    boolean existsByPress(UUID press);

    List<PegLookEntity> findByInstrumentIdOrderByLookedOnDescRecordedAtDesc(UUID instrumentId, Limit most);
}
