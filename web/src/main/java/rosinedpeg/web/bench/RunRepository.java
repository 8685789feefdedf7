package rosinedpeg.web.bench;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface RunRepository extends JpaRepository<RunEntity, UUID> {

    List<RunEntity> findByOutcomeOrderByStartedAt(RunEntity.Outcome outcome);

    Optional<RunEntity> findByInstrumentIdAndOutcome(UUID instrumentId, RunEntity.Outcome outcome);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select run from RunEntity run where run.id = :id")
    Optional<RunEntity> lock(UUID id);
}
