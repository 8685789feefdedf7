package rosinedpeg.web.lend;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Which instruments are there to be lent. */
interface ShelfInstrumentRepository extends JpaRepository<ShelfInstrumentEntity, UUID> {

    @Query("select one.instrumentId from ShelfInstrumentEntity one order by one.instrumentId")
    List<UUID> ids(Limit most);
}
