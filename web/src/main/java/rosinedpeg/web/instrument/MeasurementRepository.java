package rosinedpeg.web.instrument;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Measurements, as they are kept; the latest of a quantity counts, and none is removed. */
interface MeasurementRepository extends JpaRepository<MeasurementEntity, UUID> {

    /** All of some instruments, the earliest first. */
    @Query("select one from MeasurementEntity one where among(one.instrumentId, :instrumentIds)"
            + " order by one.measuredOn, one.recordedAt")
    List<MeasurementEntity> of(UUID... instrumentIds);

    boolean existsByPress(UUID press);

    /** The days of the last sittings at which an instrument was measured, the latest first; one for each person. */
    @Query("select one.measuredOn from MeasurementEntity one where one.instrumentId = :instrumentId"
            + " group by one.measuredOn, one.recordedBy order by one.measuredOn desc")
    List<LocalDate> sittings(UUID instrumentId, Limit most);

    List<MeasurementEntity> findByInstrumentIdAndMeasuredOnGreaterThanEqualOrderByMeasuredOnAscRecordedAtAsc(
            UUID instrumentId, LocalDate since);

    List<MeasurementEntity> findByInstrumentIdOrderByMeasuredOnAscRecordedAtAsc(UUID instrumentId);
}
