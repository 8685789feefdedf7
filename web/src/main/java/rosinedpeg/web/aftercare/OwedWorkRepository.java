package rosinedpeg.web.aftercare;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

/** What is owed to instruments, as it is kept until somebody has done it. */
interface OwedWorkRepository extends CrudRepository<OwedWorkEntity, UUID> {

    List<OwedWorkEntity> findByInstrumentIdAndDoneAtIsNullOrderByOwedSince(UUID instrumentId);

    /** Everything that is owed, the longest owed first. */
    List<OwedWorkEntity> findByDoneAtIsNullOrderByOwedSince(Limit most);

    /** What came to be owed or was done last, the latest first. */
    @Query("select work from OwedWorkEntity work where work.instrumentId = :instrumentId"
            + " order by coalesce(work.doneAt, work.owedSince) desc, work.id")
    List<OwedWorkEntity> latest(UUID instrumentId, Limit most);
}
