package rosinedpeg.web.week;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** Work that somebody asked for. */
interface WishRepository extends JpaRepository<WishEntity, UUID> {

    List<WishEntity> findByInstrumentIdAndKindAndDoneAtIsNull(UUID instrumentId, WishKind kind);

    List<WishEntity> findByDoneAtIsNullOrderByWishedAtAscId(Limit most);
}
