package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** When instruments are not at hand. */
interface AwayRepository extends JpaRepository<AwayEntity, UUID> {

    List<AwayEntity> findByUntilDayGreaterThanEqualOrderByFromDayAscId(LocalDate today, Limit most);

    /** Those that share a day with some days, of some instruments. */
    @Query("select away from AwayEntity away where away.fromDay <= :until and away.untilDay >= :from"
            + " and among(away.instrumentId, :instrumentIds)")
    List<AwayEntity> between(LocalDate from, LocalDate until, UUID... instrumentIds);
}
