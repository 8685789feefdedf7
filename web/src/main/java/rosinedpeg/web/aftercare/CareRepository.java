package rosinedpeg.web.aftercare;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

/** What was done to strings and bow between changes, as it is kept. */
interface CareRepository extends CrudRepository<CareEntity, UUID> {

    boolean existsByPress(UUID press);

    List<CareEntity> findByInstrumentIdOrderByAtDesc(UUID instrumentId, Limit most);

    /**
     * When a kind of care was taken last.
     *
     * @param kind which
     * @param at when
     */
    record Last(CareKind kind, Instant at) {}

    /** That of an instrument, of each kind that was ever taken. */
    @Query("select new rosinedpeg.web.aftercare.CareRepository$Last(care.kind, max(care.at)) from CareEntity care"
            + " where care.instrumentId = :instrumentId group by care.kind")
    List<Last> last(UUID instrumentId);

    List<CareEntity> findByInstrumentIdAndKindAndAtAfter(UUID instrumentId, CareKind kind, Instant since);
}
