package rosinedpeg.web.instrument;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.CrudRepository;

interface CareRepository extends CrudRepository<CareEntity, UUID> {

    boolean existsByPress(UUID press);

    List<CareEntity> findByInstrumentIdOrderByAt(UUID instrumentId);
}
