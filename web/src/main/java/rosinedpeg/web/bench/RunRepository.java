package rosinedpeg.web.bench;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Runs, open and over, as they are kept. */
interface RunRepository extends JpaRepository<RunEntity, UUID> {

    @Query("select run from RunEntity run where run.outcome = OPEN order by run.startedAt, run.id")
    Page<RunEntity> open(Pageable window);

    List<RunEntity> findByInstrumentIdInAndOutcome(Collection<UUID> instrumentIds, RunEntity.Outcome outcome);

    /** Every instrument that is on the bench. */
    @Query("select run.instrumentId from RunEntity run where run.outcome = OPEN")
    Set<UUID> onBench();

    /** Those of some instruments that are on the bench. */
    @Query(
            "select run.instrumentId from RunEntity run where run.outcome = OPEN and among(run.instrumentId, :instrumentIds)")
    Set<UUID> onBench(UUID... instrumentIds);

    /** When some instruments were served last, each with that moment. */
    @Query("select new rosinedpeg.web.bench.Served(run.instrumentId, max(run.endedAt)) from RunEntity run"
            + " where run.outcome = FINISHED and run.reason = SERVICE and among(run.instrumentId, :instrumentIds)"
            + " group by run.instrumentId")
    List<Served> served(UUID... instrumentIds);

    Optional<RunEntity> findByInstrumentIdAndOutcome(UUID instrumentId, RunEntity.Outcome outcome);

    /** The number of the last event of a run, 0 before the first. */
    @Query(
            "select coalesce(max(event.sequence), 0) from RunEntity run left join RunEventEntity event on event.runId = run.id"
                    + " where run.id = :id group by run.id")
    Optional<Long> lastSequence(UUID id);

    /** The same of the open runs of some instruments. */
    @Query(
            "select new rosinedpeg.web.bench.AtSequence(run.instrumentId, coalesce(max(event.sequence), 0)) from RunEntity run"
                    + " left join RunEventEntity event on event.runId = run.id"
                    + " where run.outcome = OPEN and among(run.instrumentId, :instrumentIds) group by run.instrumentId")
    List<AtSequence> lastSequences(UUID... instrumentIds);

    /**
     * A run and how far its ledger goes.
     *
     * @param run the run
     * @param lastEvent the id of the last row of its ledger, {@code null} before the first
     */
    record UpTo(RunEntity run, @Nullable UUID lastEvent) {}

    @Query(
            "select new rosinedpeg.web.bench.RunRepository$UpTo(run, (select event.id from RunEventEntity event"
                    + " where event.runId = run.id order by event.sequence desc limit 1)) from RunEntity run where run.id = :id")
    Optional<UpTo> upTo(UUID id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select run from RunEntity run where run.id = :id")
    Optional<RunEntity> lock(UUID id);
}
