package rosinedpeg.web.instrument;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Measurements, as they are kept; the latest of a quantity counts, and none is removed. */
interface MeasurementRepository extends JpaRepository<MeasurementEntity, UUID> {

    /** All of some instruments, the earliest first. */
    @Query("select one from MeasurementEntity one where among(one.instrumentId, :instrumentIds)"
            + " order by one.measuredOn, one.recordedAt")
    List<MeasurementEntity> of(UUID... instrumentIds);

    boolean existsByPress(UUID press);
}
