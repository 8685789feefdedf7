package rosinedpeg.web.bench;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The ledger of every run, as it is kept: rows are added, none is changed. */
interface RunEventRepository extends JpaRepository<RunEventEntity, UUID> {

    List<RunEventEntity> findByRunIdInOrderBySequence(Collection<UUID> runIds);

    /** The id of the last row of a run. */
    @Query("select event.id from RunEventEntity event where event.runId = :runId order by event.sequence desc limit 1")
    Optional<UUID> last(UUID runId);

    /**
     * The last row of a run.
     *
     * @param runId the run
     * @param id the id of its last row
     */
    record LastOfRun(UUID runId, UUID id) {}

    /** The last rows of some runs, of those that have one. */
    @Query("""
            select new rosinedpeg.web.bench.RunEventRepository$LastOfRun(event.runId, event.id) from RunEventEntity event
            where event.runId in :runIds
              and event.sequence = (select max(later.sequence) from RunEventEntity later where later.runId = event.runId)
            """)
    List<LastOfRun> last(Collection<UUID> runIds);

    /** Every break of a string that was recorded on an instrument and not taken back. */
    @Query("""
            select event from RunEventEntity event, RunEntity run
            where run.id = event.runId and run.instrumentId = :instrumentId and event.mishap = STRING_BROKE
              and not exists (select 1 from RunEventEntity back
                              where back.runId = event.runId and back.undone = event.sequence)
            """)
    List<RunEventEntity> breaks(UUID instrumentId);
}
