package rosinedpeg.web.instrument;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MeasurementRepository extends JpaRepository<MeasurementEntity, UUID> {

    List<MeasurementEntity> findByInstrumentIdInOrderByMeasuredOnAscRecordedAtAsc(Collection<UUID> instrumentIds);

    boolean existsByPress(UUID press);

    List<MeasurementEntity> findByInstrumentIdOrderByMeasuredOnAscRecordedAtAsc(UUID instrumentId);
}
