package rosinedpeg.web.week;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** Instruments on which two sets take turns. */
interface TwoSetsRepository extends JpaRepository<TwoSetsEntity, UUID> {

    List<TwoSetsEntity> findByOrderByFromDayAscInstrumentId(Limit most);
}
