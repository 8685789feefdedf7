package rosinedpeg.web.aftercare;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.CrudRepository;

interface OwedWorkRepository extends CrudRepository<OwedWorkEntity, UUID> {

    List<OwedWorkEntity> findByInstrumentIdOrderByOwedSince(UUID instrumentId);
}
