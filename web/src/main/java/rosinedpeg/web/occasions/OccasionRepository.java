package rosinedpeg.web.occasions;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.dates.OccasionKind;

/** The dates of the workshop, as they are kept. */
interface OccasionRepository extends JpaRepository<OccasionEntity, UUID> {

    List<OccasionEntity> findByKindOrderByBeginsAt(OccasionKind kind, Limit most);

    List<OccasionEntity> findByKindInAndBeginsAtAfterOrderByBeginsAt(
            Collection<OccasionKind> kinds, Instant moment, Limit most);

    @Query(
            "select one from OccasionEntity one where one.beginsAt < :until and one.endsAt > :from order by one.beginsAt")
    List<OccasionEntity> between(Instant from, Instant until, Limit most);

    /** Those of a series from a moment on, the earliest first. */
    @Query(
            "select one from OccasionEntity one where one.seriesId = :series and one.beginsAt >= :from order by one.beginsAt")
    List<OccasionEntity> ofSeries(UUID series, Instant from);
}
