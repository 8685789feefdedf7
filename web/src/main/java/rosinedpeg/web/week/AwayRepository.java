package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** When instruments are not at hand. */
interface AwayRepository extends JpaRepository<AwayEntity, UUID> {

    List<AwayEntity> findByUntilDayGreaterThanEqualOrderByFromDayAscId(LocalDate today, Limit most);

    List<AwayEntity> findByFromDayLessThanEqualAndUntilDayGreaterThanEqual(LocalDate until, LocalDate from);

    List<AwayEntity> findByInstrumentIdInAndFromDayLessThanEqualAndUntilDayGreaterThanEqual(
            Collection<UUID> instrumentIds, LocalDate until, LocalDate from);
}
