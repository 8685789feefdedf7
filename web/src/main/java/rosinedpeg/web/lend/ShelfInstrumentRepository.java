package rosinedpeg.web.lend;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Which instruments are there to be lent. */
interface ShelfInstrumentRepository extends JpaRepository<ShelfInstrumentEntity, UUID> {

    @Query("select one.instrumentId from ShelfInstrumentEntity one order by one.instrumentId")
    List<UUID> ids(Limit most);

    /** Whoever lends an instrument does so after whoever lends it already: two that waited for each other would wait for ever. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select one from ShelfInstrumentEntity one where one.instrumentId = :instrumentId")
    Optional<ShelfInstrumentEntity> lock(UUID instrumentId);
}
