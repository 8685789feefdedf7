package rosinedpeg.web.aftercare;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.CrudRepository;

interface CareRepository extends CrudRepository<CareEntity, UUID> {

    boolean existsByPress(UUID press);

    List<CareEntity> findByInstrumentIdOrderByAt(UUID instrumentId);
}
